// The one public list of the core: a glossary, grouped by noun in the order of understanding. A name stands here only
// when something outside the core uses it; a test holds both.

// fault
export { type Failure, type Fault, requireValue, type Result, success, type TextSpan } from './fault.ts';

// choices
export {
  ANSWER_FORMS,
  ASKED_DEPTHS,
  BARRE_LEVELS,
  BLOCK_KINDS,
  BRIDGE_KINDS,
  CADENCE_KINDS,
  CHORD_SHOWS,
  CUE_WISHES,
  DEPTHS,
  KEY_ORDERS,
  NAMING_SCHOOLS,
  OUTCOMES,
  PAGE_SIZES,
  PAPER_NAMES,
  PART_KINDS,
  QUESTION_KINDS,
  RHYTHMS,
  SCORE_FORMATS,
  STUDIES,
  TONE_KINDS,
} from './choices.ts';

// pitch
export { parseNote, printNote, withGlyphs } from './pitch/note-text.ts';
export { accidentals, chroma, letterStep, type Note, plainNote } from './pitch/note.ts';
export { octaveOf, parseRange, type PitchRange } from './pitch/pitch-text.ts';

// interval
export { printScaleNumber } from './interval/interval-text.ts';
export { intervalName, intervalSemitones } from './interval/interval.ts';

// scale
export type { ChordScaleName, ScaleName } from './scale/scale-table.ts';
export { chordScaleIntervals, isMinorScale, SCALE_NAMES, scaleIntervals, scaleSteps, type Step } from './scale/scale.ts';

// key
export { makeKey, parseKey, parseScale, printKey, printScale } from './key/key-text.ts';
export { isSpellable, type Key, keyNotes, moveKey, sameKey, semitonesBetween, simplestKey } from './key/key.ts';
export { noteName } from './key/note-name.ts';
export { printRange } from './key/range-text.ts';

// chord
export { parseChord, printChord } from './chord/chord-text.ts';
export { type Chord, chordNotes, transposeChord, writableChord } from './chord/chord.ts';
export { findTone, formulaNames, formulaTones, type Tone } from './chord/formula.ts';
export { type ChordCandidate, COMMON_COST, identify } from './chord/identify.ts';
export { qualityName } from './chord/quality-name.ts';
export { printQuality } from './chord/quality-text.ts';
export { checkSpelling, tellApart } from './chord/spelling.ts';

// degree
export { chordOnTonic, type NumberChord, numberChord } from './degree/degree.ts';
export { parseNumberOrLetters, printNumber } from './degree/number-text.ts';
export { printRoman } from './degree/roman-text.ts';

// naming
export { numberInWords, setText } from './naming/in-words.ts';
export { DEFAULT_NAMING, letterSchool, nameChord, nameKey, nameNote, nameRoman, nameStep, type Naming } from './naming/naming.ts';
export { letterView, numberView, symbolText, type SymbolView } from './naming/symbol-view.ts';

// harmony
export { homesOf, type Mode, modesOf, nearMisses, twinDegrees } from './harmony/belonging.ts';
export { chordInKey } from './harmony/chord-in-key.ts';
export { compareKeys } from './harmony/compare.ts';
export type { HarmonicFunction } from './harmony/function-table.ts';
export { type Depth, functionOfDegree, harmonize, type HarmonizedChord } from './harmony/harmonize.ts';
export { climb, LADDER, type ToneChange, toneChanges } from './harmony/motion.ts';
export { stackFourths } from './harmony/quartal.ts';

// chart
export { type BarChord, printBarToken, type WrittenBar } from './chart/bars.ts';
export { parseChange, printChange } from './chart/change-text.ts';
export { parseChart } from './chart/chart-text.ts';
export type { Change, Problem } from './chart/chart.ts';
export { countingTonic, headValue, type Numbering } from './chart/head.ts';
export {
  type ChartReading,
  keysReadFrom,
  type Letters,
  lettersFrom,
  lettersTonic,
  printBar,
  readChart,
  soundingChords,
} from './chart/reading.ts';
export { renderChart } from './chart/render.ts';
export { linesOf } from './chart/text-lines.ts';
export { secondsOf, type TimedBar, timelineOf } from './chart/timeline.ts';

// edit
export type { Cell } from './edit/bar-draft.ts';
export { cellsOf, type ChartedLetters, chartedLetters, type OpenChart, openChart, type SlotMark } from './edit/bar-edits.ts';
export { readChange, storeChange } from './edit/change-json.ts';
export { type ChartEdit, compileEdit } from './edit/chart-edit.ts';
export { type BarChange, comparedParts } from './edit/compare-charts.ts';
export { deepenBars, type FormerChords } from './edit/deepen.ts';
export { withHeadLine } from './edit/head-edit.ts';
export type { BarSign, ChangeKind } from './edit/mark-edits.ts';
export { type ChartClash, mergeCharts, type Side } from './edit/merge-charts.ts';
export { mergeOrder } from './edit/merge-order.ts';
export { withOwnQualities } from './edit/own-chords.ts';
export { type ChordsABar, countedLines, pastedText, readPasted } from './edit/pasted-text.ts';
export { type QuickFix, quickFix } from './edit/quick-fix.ts';
export type { KeptInRekeying } from './edit/rekey.ts';
export { insertSection, replaceSection, sectionText } from './edit/section-edits.ts';
export { applyChange, changeBetween, invertChange, mapChange, spansOf, type TextChange } from './edit/text-change.ts';

// progression
export { type Progression, progressionOf, readProgression } from './progression/progression.ts';

// analysis
export type { Analysis, AnalysisWish, AnalyzedChord, RankedKey, Region } from './analysis/analysis.ts';
export { analyze, analyzeText } from './analysis/analyze.ts';
export { romanUnder } from './analysis/applied-roman.ts';
export type { ChordScale } from './analysis/chord-scales.ts';
export { type Override, sayReading, sayRegion, takeBack } from './analysis/override-text.ts';
export type { Pattern } from './analysis/pattern.ts';
export { heightsOver, type RidgeRole, type RidgeSpan, type SongProfile, songProfile } from './analysis/profile.ts';
export { type Reading, READING_KINDS, type ReadingKind } from './analysis/reading.ts';
export { replaceChord } from './analysis/replace-chord.ts';
export { changesOf, changesSought, roundsOf } from './analysis/rounds.ts';
export { whatIf, type WhatIfKind } from './analysis/what-if.ts';
export { roleHeight } from './analysis/ridge.ts';

// check
export { checkChart, type Finding } from './check/chart-check.ts';

// fretboard
export { chordOnNeck, type Tuning } from './fretboard/fretboard.ts';
export {
  checkInstrument,
  FEWEST_FRETS,
  type Instrument,
  INSTRUMENTS,
  MOST_FRETS,
  positionDots,
  STANDARD_GUITAR,
  tuningOddities,
} from './fretboard/instrument.ts';
export { scaleOnString } from './fretboard/one-string.ts';
export { parseTuning, pitchName, printTuning } from './fretboard/tuning-text.ts';

// voicing
export { type Colour, comfortOf, easierByColour, neighboursOf } from './voicing/easier.ts';
export { fingerings } from './voicing/fingering.ts';
export { COMFORTABLE } from './voicing/hand.ts';
export { holdsAlong, holdsOf, stayingFingers } from './voicing/holding.ts';
export {
  FAMILIES_OF_BOTH,
  keyAlongNeck,
  type KeyDepth,
  keyInOpenChords,
  keyInPosition,
  type KeyShape,
  type KeyShapesWish,
  ladderShapes,
  movesBetween,
  type OpenKeyShape,
  shiftBetween,
  stringSets,
} from './voicing/key-shapes.ts';
export type { PathLimits } from './voicing/path-cost.ts';
export { type Path, type PathChord, type PathStep, solvePath } from './voicing/path.ts';
export { leftRinging, nameFrets, newBasses, type Reshaped, voiceUp } from './voicing/reshape.ts';
export { findVoicings, type VoicingSearch, type VoicingWish } from './voicing/search.ts';
export {
  type Barre,
  FAMILIES,
  type Family,
  type Finger,
  type Fingering,
  type Frets,
  fromCapo,
  printFrets,
  soundingMidi,
  type Voicing,
} from './voicing/voicing.ts';

// run
export { arpeggioRun, type ArpeggioWish } from './run/arpeggio.ts';
export type { Run, RunNote } from './run/run.ts';
export { type ScaleLayout, scaleRun } from './run/scale-run.ts';
export type { Picking } from './run/strokes.ts';
export { sweepRun } from './run/sweep.ts';

// notation
export { analysisPages, type AnalysisSheetContent } from './notation/analysis-sheet.ts';
export { diagram, type DotLabel } from './notation/diagram.ts';
export { type Drawing, type Face, type Ink, moved, PRINT_INKS, printSvg, scaled, type Shape } from './notation/drawing.ts';
export { setPages, type SetSheetContent } from './notation/set-sheet.ts';
export { musicWidth, type Paper, PAPERS, type SheetLine, stackedLines, studyPages } from './notation/study-sheet.ts';
export { drawDiagrams, layOutTab, runEvents, shapeEvents, type TabEvent, type TabSystem } from './notation/tab.ts';
export { type SheetTable, tablePages } from './notation/table-sheet.ts';

// reader
export {
  CONCERT_READER,
  playerReader,
  playsGuitar,
  type Reader,
  TRANSPOSITION_SEMITONES,
  writtenChord,
  writtenKey,
} from './reader/reader.ts';
export { withSwaps } from './reader/swaps.ts';

// capo
export { type CapoPair, pairCapos } from './capo/capo-pairs.ts';
export { type BarreLevel, type CapoOption, type CapoShape, type CapoWish, planCapo, wishOf } from './capo/capo-plan.ts';
export { type EasierChord, easierChords, type HardChord } from './capo/easier-chords.ts';
export { planSetCapos } from './capo/set-capo.ts';
export { shapeOverCapo } from './capo/shape-name.ts';

// bridge
export { type Bridge, type BridgeEnd, findBridges, homeOfChord } from './bridge/bridge.ts';

// singer
export {
  accidentalsFor,
  checkVoice,
  type GuitarKindness,
  guitarKindness,
  isAtEdge,
  type Kindness,
  type SingerKey,
  singerKeys,
  type SungRange,
  sungRange,
} from './singer/singer-key.ts';

// setlist
export { type Evening, eveningOf, type EveningSong, NEW_SET_SONG } from './setlist/evening.ts';
export { parseLength, printLength } from './setlist/length-text.ts';
export { firstChord, lastChord, type NextUp, nextUp, type PlayedText, playedTexts } from './setlist/medley.ts';
export { clockAfter, GAP_SECONDS, type SetTime, setTimes, type SetWarning, setWarnings } from './setlist/set-list.ts';

// part
export {
  type BarCell,
  type CellRow,
  type CellSection,
  type ChordCell,
  type ChordShow,
  type PartKind,
  projectChart,
  type Projected,
  type ProjectionLens,
} from './part/projection.ts';
export { cueNames, lensOn, partPages, type PartReader, type TonightSong } from './part/reader-part.ts';
export { countedSections } from './part/counted-bars.ts';
export { drummedLines, isFolded, playedLines, type StandLine, standPages, writtenLines } from './part/stand-lines.ts';

// sound
export { chordMidi, climbingMidi, scaleMidi } from './sound/sounding.ts';

// groove
export { type BandPart, type BandSound, bandBar, DRUM_KEYS, type Hit, type PlayedBar } from './groove/band-bar.ts';
export { GROOVE_NAMES, type GrooveName } from './groove/groove-table.ts';
export { type GrooveBar, grooveBar, grooveOf, hasDrums, swung } from './groove/groove.ts';
export { walkingScales } from './groove/walking-scales.ts';

// practice
export { depthStood, KINDS_OF_DEPTH } from './practice/asked-depth.ts';
export { ALOUD_STUDIES, firstTempo, fits, isQuestionKind, RUN_STUDIES, SHAPE_STUDIES } from './practice/catalogue.ts';
export { chainLinks, chainUnits, nextUnit } from './practice/chain.ts';
export { diceOf } from './practice/dice.ts';
export type { Drill, DrillStep, Say } from './practice/drill-step.ts';
export { brokenOrder, drillFor } from './practice/drill.ts';
export { findItem, type Item, itemId, itemIn, keyOfItem } from './practice/item.ts';
export { keyText } from './practice/key-questions.ts';
export { cleanInARow, FASTEST, nextTempo, SLOWEST, USUAL_STEPS } from './practice/ladder.ts';
export { type Mark, markAnswer, oneQuality, readMarked } from './practice/mark.ts';
export { type RoadLegName, type RoadStep, roadOf } from './practice/road.ts';
export { isSafe, medianOf, type Memory, remember } from './practice/memory.ts';
export { type Outcome, type Pass, placeOfBreak } from './practice/pass.ts';
export type { BlockKind } from './practice/plan-minutes.ts';
export { FEWEST_MINUTES, MOST_MINUTES, type PlanBlock, type PlannedItem, planPractice, type SetSongToPractise } from './practice/plan.ts';
export {
  type KeyOrder,
  MOST_NIGHTS,
  type Night,
  NIGHT_STAGES,
  type NightStage,
  nightsOf,
  type Programme,
  programmeKeys,
  USUAL_NIGHTS,
} from './practice/programme.ts';
export type { Answer, AnswerForm, AskedDepth, Prompt, Question, QuestionKind } from './practice/question.ts';
export { askQuestions, EAR_KINDS, RECALL_KINDS } from './practice/questions.ts';
export { songLoops } from './practice/song-loops.ts';
export { CHAIN_STAGES, type ChainStage, type Cue, cued, CUES, type Fade, FADES, isShown, nextStage } from './practice/stages.ts';
export { checkCell, WORKSHEET_ROWS, worksheetOf, type WorksheetRow } from './practice/worksheet.ts';

// score
export { placeOf, type ScorePlace, timeOf } from './score/place.ts';
export { type Score, type ScoreNote, TICKS } from './score/score.ts';

// reduce
export { barPrint } from './reduce/bar-print.ts';
export type { Rhythm } from './reduce/chord-path.ts';
export { columnsAt, type Depth as ReductionDepth, REDUCTION_DEPTHS } from './reduce/depth.ts';
export { pieceProfile } from './reduce/profile.ts';
export { reduce } from './reduce/reduce.ts';
export type { Column, KeySpan, ReducedTone, Reduction } from './reduce/reduction.ts';
export { readSaid, type RememberedJson, storeSaid } from './reduce/said-json.ts';
export { placeOfSaid, type Said, subjectOf } from './reduce/said.ts';
export type { ToneKind } from './reduce/tones/tone-kinds.ts';

// wording
export {
  chordScaleName,
  homeWords,
  keyReasonWords,
  leadWords,
  patternWords,
  READING_NAMES,
  regionWords,
  RESOLUTION_NAMES,
  runnerUpWords,
  scaleWords,
} from './wording/analysis-words.ts';
export { bridgeWords } from './wording/bridge-words.ts';
export { capoWords, pairWords } from './wording/capo-words.ts';
export { changeWords } from './wording/change-words.ts';
export { findingWords } from './wording/check-words.ts';
export { circleWords } from './wording/circle-words.ts';
export { faultWords } from './wording/fault-words.ts';
export { explainTerm, GLOSSARY, type Term } from './wording/glossary.ts';
export {
  colourWords,
  costWords,
  difficultyWord,
  FAMILY_NAMES,
  holdWords,
  inversionWord,
  moveWords,
  oddityWords,
} from './wording/neck-words.ts';
export {
  BLOCK_NAMES,
  blockReasonWords,
  cellWords,
  lastWords,
  itemWords,
  markWords,
  ORDER_NAMES,
  planReasonWords,
  QUESTION_NAMES,
  whatWords,
  wholeKeyWords,
} from './wording/practice-words.ts';
export { answerWords, questionReason, questionWords } from './wording/question-words.ts';
export { readingWords } from './wording/reading-words.ts';
export {
  type AccentSchool,
  cadenceName,
  columnWords,
  countWords,
  gestureWords,
  inversionWords,
  keySpanWords,
  toneName,
  toneWords,
} from './wording/reduction-words.ts';
export { easeWord, smoothnessWord } from './wording/score-words.ts';
export { lengthWords, setSheet, songFacts, tonightWords } from './wording/set-sheet.ts';
export { setWarningWords } from './wording/set-words.ts';
export { sungWords } from './wording/singer-words.ts';
export { keyWords, whyWords } from './wording/why-words.ts';
