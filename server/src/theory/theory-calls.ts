import {
  type ChordCandidate,
  COMMON_COST,
  chordNotes,
  formulaNames,
  type HarmonizedChord,
  harmonize,
  identify,
  intervalName,
  keyNotes,
  parseChord,
  parseNote,
  printChord,
  printNote,
  printNumber,
  printRoman,
  printScaleNumber,
  qualityName,
  scaleSteps,
  writableChord,
} from '@aurora/core';
import {
  type ChordIdentifyAnswer,
  chordIdentifyAnswer,
  chordIdentifyRequest,
  chordParseAnswer,
  chordParseRequest,
  type HarmonizeAnswer,
  harmonizeAnswer,
  harmonizeRequest,
} from '@aurora/wire';
import { type Call, openCall } from '../call/call.ts';
import { required, requiredKey } from '../validate.ts';

/** `/harmonize`, `/chords/parse` and `/chords/identify`: thin handlers over the core. */
export const THEORY_CALLS: readonly Call[] = [
  openCall(
    {
      id: 'harmonize',
      method: 'post',
      path: '/harmonize',
      tag: 'theory',
      summary: 'Harmonize a key',
      body: harmonizeRequest,
      answer: harmonizeAnswer,
      isLimited: true,
    },
    ({ body: { tonic, scale, depth } }) => {
      const key = requiredKey({ tonic, scale }, '');
      return {
        key: { tonic: printNote(key.tonic), scale: key.scale },
        notes: keyNotes(key).map((note) => printNote(note)),
        steps: scaleSteps(key.scale),
        chords: harmonize(key, depth).map(describeChord),
      };
    },
  ),
  openCall(
    {
      id: 'parseChord',
      method: 'post',
      path: '/chords/parse',
      tag: 'theory',
      summary: 'Read a chord symbol',
      body: chordParseRequest,
      answer: chordParseAnswer,
      isLimited: true,
    },
    ({ body }) => {
      const chord = writableChord(required(parseChord(body.symbol.trim()), 'symbol'));
      return {
        symbol: printChord(chord),
        root: printNote(chord.root),
        bass: chord.bass === null ? null : printNote(chord.bass),
        quality: qualityName(chord.formula),
        notes: chordNotes(chord).map((note) => printNote(note)),
        formula: formulaNames(chord.formula),
      };
    },
  ),
  openCall(
    {
      id: 'identifyChord',
      method: 'post',
      path: '/chords/identify',
      tag: 'theory',
      summary: 'Name a set of notes',
      body: chordIdentifyRequest,
      answer: chordIdentifyAnswer,
      isLimited: true,
    },
    ({ body: { notes, key } }) => {
      const read = notes.map((note, index) => required(parseNote(note), `notes.${index}`));
      const heardIn = key === undefined ? null : requiredKey(key, 'key');
      return { candidates: identify(read, heardIn).map((candidate, place) => describeCandidate(candidate, place, read[0] as number)) };
    },
  ),
];

function describeCandidate(
  { chord, inversion, missing, cost }: ChordCandidate,
  place: number,
  lowest: number,
): ChordIdentifyAnswer['candidates'][number] {
  // a chord without its root has whatever is lowest in the bass
  const bass = chord.bass ?? (inversion === null ? lowest : null);
  return {
    symbol: printChord(chord),
    root: printNote(chord.root),
    bass: bass === null ? null : printNote(bass),
    inversion,
    missing: missing.map((note) => printNote(note)),
    quality: qualityName(chord.formula),
    rank: place + 1,
    common: cost <= COMMON_COST,
  };
}

function describeChord({ number, chord, tones, stack, function: role }: HarmonizedChord): HarmonizeAnswer['chords'][number] {
  return {
    degree: printScaleNumber(number.degree),
    number: printNumber(number),
    roman: printRoman(number),
    symbol: printChord(chord),
    quality: qualityName(chord.formula),
    function: role,
    notes: tones.map(({ note }) => printNote(note)),
    formula: tones.map(({ formula }) => formula),
    parentDegrees: tones.map(({ parentDegree }) => printScaleNumber(parentDegree)),
    stack: stack.map(intervalName),
  };
}
