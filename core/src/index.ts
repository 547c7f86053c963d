// The one public list of the core, grouped by noun. It reads as a glossary, in order of understanding.

export { type BarChord, type BarRemark, type KeyStretch, printBarToken, type Section, type WrittenBar } from './chart/bars.ts';
export type { Meter, Place, Problem, Severity } from './chart/chart.ts';
export { parseChart, printChart } from './chart/chart-text.ts';
export { countingTonic, type Head } from './chart/head.ts';
export { type ChartReading, keysReadFrom, type Letters, lettersFrom, printBar, readChart } from './chart/reading.ts';
export { type ChordView, type RenderedChart, renderChart } from './chart/render.ts';
export { type Chord, chordNotes, transposeChord } from './chord/chord.ts';
export { parseChord, printChord } from './chord/chord-text.ts';
export { type Formula, findTone, formulaNames, formulaTones, type Tone } from './chord/formula.ts';
export { type ChordCandidate, COMMON_COST, identify } from './chord/identify.ts';
export { qualityName } from './chord/quality-name.ts';
export { CHART_SCHOOL, LETTER_SCHOOL, printQuality, type QualitySchool } from './chord/quality-text.ts';
export { checkSpelling, type SpelledTone, tellApart } from './chord/spelling.ts';
export { chordOnTonic, type Degree, type NumberChord, numberChord } from './degree/degree.ts';
export { parseNumberOrLetters, printNumber } from './degree/number-text.ts';
export { printRoman } from './degree/roman-text.ts';
export { assertNever, type Failure, type Fault, type FaultCode, type Result, requireValue, type Success, type TextSpan } from './fault.ts';
export { chordOnNeck, type NeckTone, STANDARD_TUNING, type Tuning } from './fretboard/fretboard.ts';
export { type StringNote, scaleOnString } from './fretboard/one-string.ts';
export { type Home, homesOf, type Mode, modesOf, type NearMiss, nearMisses, twinDegrees } from './harmony/belonging.ts';
export { chordInKey, type ToneInKey } from './harmony/chord-in-key.ts';
export { type ComparedChord, compareKeys, type ScaleComparison } from './harmony/compare.ts';
export type { HarmonicFunction } from './harmony/function-table.ts';
export { DEPTHS, type Depth, functionOfDegree, type HarmonizedChord, harmonize } from './harmony/harmonize.ts';
export { climb, LADDER, type ToneChange, toneChanges, type VoiceStep } from './harmony/motion.ts';
export { type FourthStack, type QuartalChord, stackFourths } from './harmony/quartal.ts';
export { type Interval, intervalName, intervalSemitones } from './interval/interval.ts';
export { printScaleNumber } from './interval/interval-text.ts';
export { isSpellable, type Key, keyNotes, moveKey, semitonesBetween, simplestKey } from './key/key.ts';
export { makeKey, parseKey, parseScale, printKey, printScale } from './key/key-text.ts';
export {
  DEFAULT_NAMING,
  letterSchool,
  type Naming,
  nameChord,
  nameKey,
  nameNote,
  nameRoman,
  nameStep,
  numberSchool,
} from './naming/naming.ts';
export { accidentals, chroma, isEnharmonic, letterStep, type Note, simplest } from './pitch/note.ts';
export { type AccidentalStyle, parseNote, printAccidentals, printNote, withGlyphs } from './pitch/note-text.ts';
export { CONCERT_READER, type Reader, TRANSPOSITION_SEMITONES, type Transposition, writtenChord, writtenKey } from './reader/reader.ts';
export { isMinorScale, SCALE_NAMES, type Step, scaleIntervals, scaleSteps } from './scale/scale.ts';
export type { ScaleName } from './scale/scale-table.ts';

export { chordMidi, scaleMidi } from './sound/sounding.ts';
export { circleWords } from './wording/circle-words.ts';
export { faultWords } from './wording/fault-words.ts';
export { explainTerm, GLOSSARY, type Term } from './wording/glossary.ts';
export { keyWords, whyWords } from './wording/why-words.ts';
