import {
  type BarChord,
  type ChartReading,
  CONCERT_READER,
  faultWords,
  type Letters,
  lettersFrom,
  parseKey,
  printChord,
  printKey,
  printNumber,
  type Reader,
  readChart,
  renderChart,
  TRANSPOSITION_SEMITONES,
  type WrittenBar,
  writtenKey,
} from '@aurora/core';
import {
  type ChartParseAnswer,
  type ChartRenderAnswer,
  type ChartRenderRequest,
  chartParseAnswer,
  chartParseRequest,
  chartRenderAnswer,
  chartRenderRequest,
} from '@aurora/wire';
import { type Call, openCall } from '../call/call.ts';
import { required } from '../validate.ts';

/** `/charts/parse` and `/charts/render`: any text is read; what is wrong with it is in the answer. */
export const CHART_CALLS: readonly Call[] = [
  openCall(
    {
      id: 'parseChart',
      method: 'post',
      path: '/charts/parse',
      tag: 'charts',
      summary: 'Read a chart text',
      body: chartParseRequest,
      answer: chartParseAnswer,
      isLimited: true,
    },
    ({ body }) => describeChart(readChart(body.source)),
  ),
  openCall(
    {
      id: 'renderChart',
      method: 'post',
      path: '/charts/render',
      tag: 'charts',
      summary: 'Write a chart for a key and a reader',
      body: chartRenderRequest,
      answer: chartRenderAnswer,
      isLimited: true,
    },
    ({ body }) => renderFor(body),
  ),
];

function describeChart(chart: ChartReading): ChartParseAnswer {
  const letters = lettersFrom(chart, chart.head.key.tonic);
  return {
    title: chart.head.title,
    key: printKey(chart.head.key),
    writtenBars: chart.bars.length,
    performedBars: chart.performance.count,
    sections: chart.sections.map(({ name, times, from, count }) => ({ name, times, from, count })),
    bars: chart.bars.map((bar) => describeBar(bar, chart, letters)),
    problems: chart.problems.map(({ fault, severity, at }) => ({ ...at, code: fault.code, message: faultWords(fault), severity })),
  };
}

function describeBar(bar: WrittenBar, chart: ChartReading, letters: Letters): ChartParseAnswer['bars'][number] {
  const key = letters.keys[bar.stretch];
  return {
    section: bar.section === null ? null : (chart.sections[bar.section]?.name ?? null),
    key: key === undefined ? '' : printKey(key),
    time: `${bar.meter.beats}/${bar.meter.unit}`,
    pickup: bar.pickup,
    chords: bar.chords.map((chord) => describeBarChord(chord, bar, letters)),
    remarks: bar.remarks.map(({ to, text }) => ({ to, text })),
  };
}

function describeBarChord({ chord, beats, push, ring, stop, optional }: BarChord, bar: WrittenBar, letters: Letters) {
  const marks = { beats, push, ring, stop, optional };
  if (chord === null) return { number: 'NC', letters: 'NC', ...marks };
  return { number: printNumber(chord), letters: printChord(letters.chordIn(chord, bar.stretch)), ...marks };
}

function renderFor({ source, key, as, reader }: ChartRenderRequest): ChartRenderAnswer {
  const chart = readChart(source);
  const tonic = key === undefined ? chart.head.key.tonic : required(parseKey(key), 'key').tonic;
  const sounding = { tonic, scale: chart.head.key.scale };
  const written = writtenKey(readerOf(reader), sounding);
  const { text, bars, performed, key: name } = renderChart(chart, written.tonic, as);
  return { key: name, soundingKey: printKey(sounding), text, bars: [...bars], performed: [...performed] };
}

function readerOf(reader: ChartRenderRequest['reader']): Reader {
  return {
    transpose: TRANSPOSITION_SEMITONES[reader?.transpose ?? 'C'],
    capo: reader?.capo ?? CONCERT_READER.capo,
    tuning: reader?.tuning ?? CONCERT_READER.tuning,
  };
}
