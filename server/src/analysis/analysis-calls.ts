import {
  type Analysis,
  type AnalyzedChord,
  analyze,
  chordScaleName,
  keyReasonWords,
  printChord,
  printNote,
  printNumber,
  type Reading,
  type Region,
  readingWords,
  regionWords,
  scaleWords,
} from '@aurora/core';
import { type AnalyzeAnswer, type AnalyzeRequest, analyzeAnswer, analyzeRequest } from '@aurora/wire';
import { type Call, openCall } from '../call/call.ts';
import { requiredKey } from '../validate.ts';
import { readSong, unreadOf } from './read-song.ts';

/** `/analyze`: keys, regions, readings, scales and patterns of a chart or of plain chords. */
export const ANALYSIS_CALLS: readonly Call[] = [
  openCall(
    {
      id: 'analyze',
      method: 'post',
      path: '/analyze',
      tag: 'theory',
      summary: 'Keys, readings and scales of a progression',
      body: analyzeRequest,
      answer: analyzeAnswer,
      isLimited: true,
    },
    ({ body }) => analyzeFor(body),
  ),
];

function analyzeFor({ source, key, reading }: AnalyzeRequest): AnalyzeAnswer {
  const progression = readSong(source);
  return describeAnalysis(
    analyze(progression, { ...(key === undefined ? {} : { key: requiredKey(key, 'key') }), hearing: reading ?? 'local' }),
  );
}

function describeAnalysis(analysis: Analysis): AnalyzeAnswer {
  const { lead, keys, regions, chords, patterns, progression } = analysis;
  return {
    lead,
    keys: keys.map(({ key, score, reasons }) => ({ ...nameKey(key), score, reasons: reasons.map(keyReasonWords) })),
    regions: regions.map((region, index) => describeRegion(region, regions[index - 1], chords)),
    chords: chords.map((_, index) => describeChord(analysis, index)),
    patterns: patterns.map(({ kind, tonic, from, to, minor }) => ({ kind, tonic: printNote(tonic), from, to, minor })),
    unread: unreadOf(progression),
  };
}

function nameKey({ tonic, scale }: Region['key']) {
  return { tonic: printNote(tonic), scale };
}

function describeRegion(region: Region, before: Region | undefined, chords: readonly AnalyzedChord[]): AnalyzeAnswer['regions'][number] {
  const { key, from, to, pivot } = region;
  return {
    ...nameKey(key),
    from,
    to,
    ...(pivot === null ? {} : { pivot: { index: pivot.index, numberBefore: printNumber(pivot.numberBefore) } }),
    why: regionWords(region, before?.key ?? null, chords),
  };
}

function describeChord(analysis: Analysis, index: number): AnalyzeAnswer['chords'][number] {
  const { chord, number, roman, function: role, reading, others, scales, override } = analysis.chords[index] as AnalyzedChord;
  return {
    symbol: printChord(chord),
    number: printNumber(number),
    roman,
    function: role,
    reading: describeReading(reading),
    others: others.map(describeReading),
    scales: scales.map((scale) => ({
      tonic: printNote(scale.tonic),
      name: chordScaleName(scale.scale, 'ascii'),
      why: scaleWords(scale),
      sharesWithNext: scale.sharesWithNext.map((note) => printNote(note)),
    })),
    why: readingWords(analysis, index).join(' '),
    bar: analysis.progression.chords[index]?.bar ?? 0,
    height: (analysis.ridge[index]?.ground ?? 0) + (analysis.ridge[index]?.height ?? 0),
    ...(override === null ? {} : { note: override.note }),
  };
}

function describeReading({ kind, target, resolution, sources }: Reading): AnalyzeAnswer['chords'][number]['reading'] {
  return {
    kind,
    ...(target === null ? {} : { target: printNumber(target) }),
    ...(resolution === undefined ? {} : { resolution }),
    ...(sources === undefined ? {} : { sources: [...sources] }),
  };
}
