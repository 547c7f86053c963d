export {
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
// The one public list of the core, grouped by noun. It reads as a glossary, in order of understanding.

export type { Analysis, AnalysisWish, AnalyzedChord, Hearing, Lead, LocalPart, RankedKey, Region } from './analysis/analysis.ts';
export { analyze, analyzeText } from './analysis/analyze.ts';
export { romanUnder } from './analysis/applied-roman.ts';
export type { ChordScale } from './analysis/chord-scales.ts';
export { type Override, sayReading, sayRegion, takeBack } from './analysis/override-text.ts';
export type { Pattern, PatternKind } from './analysis/pattern.ts';
export { heightsOver, type RidgeRole, type RidgeSection, type RidgeSpan, type SongProfile, songProfile } from './analysis/profile.ts';
export { READING_KINDS, type Reading, type ReadingKind, type Resolution } from './analysis/reading.ts';
export { replaceChord } from './analysis/replace-chord.ts';
export { changesOf, changesSought, roundsOf } from './analysis/rounds.ts';
export { type WhatIf, type WhatIfKind, whatIf } from './analysis/what-if.ts';
export { type Bridge, type BridgeEnd, type BridgeKind, findBridges, homeOfChord } from './bridge/bridge.ts';
export { type CapoPair, pairCapos } from './capo/capo-pairs.ts';
export { type BarreLevel, type CapoOption, type CapoShape, type CapoWish, planCapo, wishOf } from './capo/capo-plan.ts';
export { type EasierChord, easierChords, type HardChord } from './capo/easier-chords.ts';
export { type ChordHold, easiestHold } from './capo/hold.ts';
export { planSetCapos, type SetCapo } from './capo/set-capo.ts';
export { shapeOverCapo } from './capo/shape-name.ts';
export {
  type BarChord,
  type BarForm,
  type BarRemark,
  type KeyStretch,
  printBarToken,
  type Section,
  type WrittenBar,
} from './chart/bars.ts';
export { parseChange, printChange } from './chart/change-text.ts';
export type { Change, Meter, Place, Problem, Severity } from './chart/chart.ts';
export { parseChart, printChart } from './chart/chart-text.ts';
export { countingTonic, type Head, headValue, type Numbering } from './chart/head.ts';
export { type ChartReading, keysReadFrom, type Letters, lettersFrom, lettersTonic, printBar, readChart } from './chart/reading.ts';
export { type ChordView, type RenderedChart, renderChart } from './chart/render.ts';
export { linesOf } from './chart/text-lines.ts';
export { pulseOf, secondsOf, type TimedBar, type TimedChord, timelineOf } from './chart/timeline.ts';
export { checkChart, type Finding } from './check/chart-check.ts';
export { type Chord, chordNotes, transposeChord } from './chord/chord.ts';
export { parseChord, printChord } from './chord/chord-text.ts';
export { type Formula, findTone, formulaNames, formulaTones, type Tone } from './chord/formula.ts';
export { type ChordCandidate, COMMON_COST, identify } from './chord/identify.ts';
export { qualityName } from './chord/quality-name.ts';
export { CHART_SCHOOL, LETTER_SCHOOL, printQuality, type QualitySchool } from './chord/quality-text.ts';
export { checkSpelling, type SpelledTone, tellApart } from './chord/spelling.ts';
export { chartNumber, chordOnTonic, type Degree, type NumberChord, numberChord } from './degree/degree.ts';
export { parseNumberOrLetters, printNumber } from './degree/number-text.ts';
export { printRoman } from './degree/roman-text.ts';
export type { Cell } from './edit/bar-draft.ts';
export {
  type BarRange,
  type ChartedLetters,
  cellsOf,
  chartedLetters,
  deleteBars,
  duplicateBars,
  insertCells,
  joinBars,
  markEnding,
  moveBars,
  type OpenChart,
  openChart,
  type SlotMark,
  splitBar,
  type TypedBar,
  toggleMark,
  toggleRepeat,
  writeBar,
} from './edit/bar-edits.ts';
export { readChange, storeChange } from './edit/change-json.ts';
export { type ChartEdit, compileEdit } from './edit/chart-edit.ts';
export { type BarChange, compareCharts, comparedParts } from './edit/compare-charts.ts';
export { deepenBars, type FormerChords } from './edit/deepen.ts';
export { withHeadLine } from './edit/head-edit.ts';
export { type BarSign, type ChangeKind, changeFrom, toggleSign } from './edit/mark-edits.ts';
export { type ChartClash, type MergedCharts, mergeCharts, type Side } from './edit/merge-charts.ts';
export { mergeOrder } from './edit/merge-order.ts';
export { withOwnQualities } from './edit/own-chords.ts';
export { type ChordsABar, countedLines, type PastedLine, pastedText, readPasted } from './edit/pasted-text.ts';
export { applyQuickFix, type QuickFix, quickFix } from './edit/quick-fix.ts';
export type { KeptInRekeying } from './edit/rekey.ts';
export {
  beginSection,
  deleteSection,
  duplicateSection,
  type Heading,
  insertSection,
  leadText,
  moveSection,
  nameSection,
  renumber,
  replaceSection,
  sectionText,
} from './edit/section-edits.ts';
export {
  applyChange,
  changeBetween,
  changeOf,
  composeChanges,
  invertChange,
  isNothing,
  mapChange,
  type Span,
  spansOf,
  type TextChange,
} from './edit/text-change.ts';
export {
  assertNever,
  type Failure,
  type Fault,
  type FaultCode,
  type Result,
  requireValue,
  type Success,
  success,
  type TextSpan,
} from './fault.ts';
export { chordOnNeck, type NeckTone, STANDARD_TUNING, type Tuning } from './fretboard/fretboard.ts';
export {
  checkInstrument,
  type DotStyle,
  FEWEST_FRETS,
  INSTRUMENTS,
  type Instrument,
  MOST_CAPO,
  MOST_FRETS,
  positionDots,
  STANDARD_GUITAR,
  type TuningOddity,
  tuningOddities,
  tuningOffset,
} from './fretboard/instrument.ts';
export { type StringNote, scaleOnString } from './fretboard/one-string.ts';
export { parseTuning, pitchName, printTuning } from './fretboard/tuning-text.ts';
export { type Home, homesOf, type Mode, modesOf, type NearMiss, nearMisses, twinDegrees } from './harmony/belonging.ts';
export { chordInKey, type ToneInKey } from './harmony/chord-in-key.ts';
export { type ComparedChord, compareKeys, type ScaleComparison } from './harmony/compare.ts';
export type { HarmonicFunction } from './harmony/function-table.ts';
export { type Depth, functionOfDegree, type HarmonizedChord, harmonize } from './harmony/harmonize.ts';
export { climb, LADDER, type ToneChange, toneChanges, type VoiceStep } from './harmony/motion.ts';
export { type FourthStack, type QuartalChord, stackFourths } from './harmony/quartal.ts';
export { type Interval, intervalName, intervalSemitones } from './interval/interval.ts';
export { printScaleNumber } from './interval/interval-text.ts';
export { isSpellable, type Key, keyNotes, moveKey, sameKey, semitonesBetween, simplestKey } from './key/key.ts';
export { makeKey, parseKey, parseScale, printKey, printScale } from './key/key-text.ts';
export { noteName } from './key/note-name.ts';
export { printRange } from './key/range-text.ts';
export { numberInWords, type SetText, setText } from './naming/in-words.ts';
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
export { letterParts, numberParts, type SymbolParts } from './naming/symbol-parts.ts';
export { letterView, numberView, type SymbolView, symbolText } from './naming/symbol-view.ts';
export { type AnalysisSheetContent, analysisPages } from './notation/analysis-sheet.ts';
export { type DiagramLook, type DotLabel, diagram } from './notation/diagram.ts';
export { type Drawing, type Face, type Ink, moved, PRINT_INKS, printSvg, type Shape, scaled } from './notation/drawing.ts';
export { type SetSheetContent, type SetSheetLine, setPages } from './notation/set-sheet.ts';
export {
  musicWidth,
  PAPERS,
  type Paper,
  type SheetLine,
  type StudySheet,
  stackedLines,
  studyPages,
} from './notation/study-sheet.ts';
export {
  drawDiagrams,
  drawTab,
  layOutTab,
  type PlacedEvent,
  runEvents,
  shapeEvents,
  TAB,
  type TabEvent,
  type TabSystem,
  tabHeight,
} from './notation/tab.ts';
export { type SheetTable, type TableSheetContent, tablePages } from './notation/table-sheet.ts';
export { chartPages, type PageSize } from './part/chart-pages.ts';
export { type ChartPart, chartPart, type PartLook } from './part/chart-part.ts';
export {
  type BarCell,
  type CellRow,
  type CellSection,
  type ChordCell,
  type ChordShow,
  type PartKind,
  type Projected,
  type ProjectionLens,
  projectChart,
} from './part/projection.ts';
export { cueNames, lensOn, type PartReader, partPages, type TonightSong } from './part/reader-part.ts';
export { drummedLines, isFolded, playedLines, type StandLine, standPages, writtenLines } from './part/stand-lines.ts';
export { accidentals, chroma, isEnharmonic, letterStep, type Note, plainNote, simplest } from './pitch/note.ts';
export { type AccidentalStyle, parseNote, printAccidentals, printNote, withGlyphs } from './pitch/note-text.ts';
export { octaveOf, type PitchRange, parsePitch, parseRange, pitchOf } from './pitch/pitch-text.ts';
export {
  ALOUD_STUDIES,
  firstTempo,
  fits,
  isQuestionKind,
  itemsOf,
  RUN_STUDIES,
  SHAPE_STUDIES,
} from './practice/catalogue.ts';
export { type ChainLink, type ChainUnit, type ChainWish, chainLinks, chainUnits, nextUnit } from './practice/chain.ts';
export { type Dice, diceOf } from './practice/dice.ts';
export { brokenOrder, drillFor } from './practice/drill.ts';
export type { Drill, DrillStep, DrillTone, DrillWish, Say } from './practice/drill-step.ts';
export { findItem, type Item, itemId, itemIn, keyOfItem, type Study } from './practice/item.ts';
export { keyText } from './practice/key-questions.ts';
export { cleanInARow, FASTEST, type LadderSteps, nextTempo, SLOWEST, USUAL_STEPS } from './practice/ladder.ts';
export { type Mark, markAnswer } from './practice/mark.ts';
export { daysSince, daysUntil, isSafe, type Memory, medianOf, recallNow, remember } from './practice/memory.ts';
export { isBad, isGood, type Outcome, type Pass } from './practice/pass.ts';
export {
  FEWEST_MINUTES,
  MOST_MINUTES,
  type PlanBlock,
  type PlannedItem,
  type PlanReason,
  type PlanWish,
  planPractice,
  type SetSongToPractise,
} from './practice/plan.ts';
export type { BlockKind } from './practice/plan-minutes.ts';
export {
  type KeyOrder,
  MOST_NIGHTS,
  NIGHT_STAGES,
  type Night,
  nightStrings,
  nightsOf,
  type Programme,
  type ProgrammeWish,
  programmeKeys,
  USUAL_NIGHTS,
} from './practice/programme.ts';
export type { Answer, AnswerForm, Prompt, Question, QuestionKind, QuestionWish, Sound } from './practice/question.ts';
export { askQuestions, EAR_KINDS, RECALL_KINDS } from './practice/questions.ts';
export { type LoopedSong, type SongLoop, songLoops } from './practice/song-loops.ts';
export {
  CHAIN_STAGES,
  type ChainStage,
  CUES,
  type Cue,
  cued,
  FADES,
  type Fade,
  isShown,
  nextStage,
} from './practice/stages.ts';
export { type CellMark, checkCell, WORKSHEET_ROWS, type WorksheetRow, worksheetOf } from './practice/worksheet.ts';
export { type Progression, type ProgressionChord, progressionOf, readProgression, type UnreadChord } from './progression/progression.ts';
export {
  CONCERT_READER,
  type Player,
  playerReader,
  playsGuitar,
  type Reader,
  TRANSPOSITION_SEMITONES,
  type Transposition,
  writtenChord,
  writtenKey,
} from './reader/reader.ts';
export { type ChordSwap, withSwaps } from './reader/swaps.ts';
export { barPrint } from './reduce/bar-print.ts';
export type { Cadence, CadenceKind } from './reduce/cadences.ts';
export type { Rhythm } from './reduce/chord-path.ts';
export { columnsAt, type Depth as ReductionDepth, REDUCTION_DEPTHS } from './reduce/depth.ts';
export { pieceProfile } from './reduce/profile.ts';
export { type ReduceWish, reduce } from './reduce/reduce.ts';
export type { Column, KeySpan, Leading, PedalSpan, ReducedTone, Reduction, SpelledPitch } from './reduce/reduction.ts';
export { placeOfSaid, type Remembered, type Said, sayAbout, subjectOf, takeBackSaid } from './reduce/said.ts';
export { type RememberedJson, readSaid, storeSaid } from './reduce/said-json.ts';
export type { ToneKind } from './reduce/tone-kinds.ts';
export { type ArpeggioWish, arpeggioRun } from './run/arpeggio.ts';
export type { Run, RunNote } from './run/run.ts';
export { type ScaleLayout, type ScaleRunWish, scaleRun } from './run/scale-run.ts';
export type { Picking } from './run/strokes.ts';
export { type SweepWish, sweepRun } from './run/sweep.ts';
export { chordScaleIntervals, isMinorScale, SCALE_NAMES, type Step, scaleIntervals, scaleSteps } from './scale/scale.ts';
export type { ChordScaleName, ScaleName } from './scale/scale-table.ts';

export { placeOf, type ScorePlace, timeOf } from './score/place.ts';
export { type Measure, type Score, type ScoreNote, type ScorePart, TICKS } from './score/score.ts';
export {
  type Evening,
  type EveningEntry,
  type EveningSong,
  eveningOf,
  NEW_SET_SONG,
  type ShelfSong,
  type StoredSet,
  type StoredSetBreak,
  type StoredSetSong,
} from './setlist/evening.ts';
export { parseLength, printLength } from './setlist/length-text.ts';
export { firstChord, lastChord, type MedleySong, type PlayedText, playedTexts, withBridge } from './setlist/medley.ts';
export {
  clockAfter,
  GAP_SECONDS,
  type Join,
  type SetBreak,
  type SetEntry,
  type SetSong,
  type SetTime,
  type SetWarning,
  setTimes,
  setWarnings,
} from './setlist/set-list.ts';
export {
  accidentalsFor,
  checkVoice,
  type Fit,
  isAtEdge,
  type Kindness,
  roomOf,
  type SingerKey,
  type SungRange,
  singerKeys,
  sungRange,
  type Voice,
} from './singer/singer-key.ts';
export { chordMidi, climbingMidi, scaleMidi } from './sound/sounding.ts';
export { type Colour, type Comfort, comfortOf, easierByColour, type Neighbours, neighboursOf } from './voicing/easier.ts';
export { fingerings } from './voicing/fingering.ts';
export { COMFORTABLE, EASY } from './voicing/hand.ts';
export { type Hold, type HoldReason, holdsAlong, holdsOf, stayingFingers } from './voicing/holding.ts';
export {
  chordsOfFamily,
  FAMILIES_OF_BOTH,
  type KeyDepth,
  type KeyShape,
  type KeyShapesWish,
  keyAlongNeck,
  keyInOpenChords,
  keyInPosition,
  ladderShapes,
  movesBetween,
  type OpenKeyShape,
  type StringMove,
  shiftBetween,
  stringSets,
} from './voicing/key-shapes.ts';
export { findPath, type Path, type PathAlternative, type PathChord, type PathStep, solvePath } from './voicing/path.ts';
export type { PathLimits, StepCost } from './voicing/path-cost.ts';
export { leftRinging, nameFrets, newBasses, notesAt, type Reshaped, voiceUp } from './voicing/reshape.ts';
export { findVoicings, type VoicingSearch, type VoicingWish } from './voicing/search.ts';
export {
  type Barre,
  FAMILIES,
  type Family,
  type Finger,
  type Fingering,
  type Frets,
  fromCapo,
  positionOf,
  printFrets,
  soundingMidi,
  type Voicing,
  type VoicingTone,
} from './voicing/voicing.ts';
export {
  chordScaleName,
  homeWords,
  keyReasonWords,
  leadWords,
  PATTERN_NAMES,
  patternWords,
  READING_NAMES,
  RESOLUTION_NAMES,
  regionWords,
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
  dueWords,
  itemWords,
  markWords,
  ORDER_NAMES,
  OUTCOME_NAMES,
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
  toneMeaning,
  toneName,
  toneWords,
} from './wording/reduction-words.ts';
export { easeWord, smoothnessWord } from './wording/score-words.ts';
export { lengthWords, setSheet, songFacts, tonightWords } from './wording/set-sheet.ts';
export { setWarningWords } from './wording/set-words.ts';
export { sungWords } from './wording/singer-words.ts';
export { keyWords, whyWords } from './wording/why-words.ts';
