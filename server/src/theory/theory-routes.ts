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
} from '@aurora/core';
import {
  type ChordIdentifyAnswer,
  type ChordParseAnswer,
  chordIdentifyRequest,
  chordParseRequest,
  type HarmonizeAnswer,
  harmonizeRequest,
} from '@aurora/wire';
import { Router } from 'express';
import { bodyOf, required, requiredKey } from '../validate.ts';

/** `/harmonize`, `/chords/parse` and `/chords/identify`: thin handlers over the core. */
export function theoryRoutes(): Router {
  const routes = Router();

  routes.post('/harmonize', (request, response) => {
    const { tonic, scale, depth } = bodyOf(request, harmonizeRequest);
    const key = requiredKey({ tonic, scale }, '');
    const answer: HarmonizeAnswer = {
      key: { tonic: printNote(key.tonic), scale: key.scale },
      notes: keyNotes(key).map((note) => printNote(note)),
      steps: [...scaleSteps(key.scale)],
      chords: harmonize(key, depth).map(describeChord),
    };
    response.json(answer);
  });

  routes.post('/chords/parse', (request, response) => {
    const chord = required(parseChord(bodyOf(request, chordParseRequest).symbol.trim()), 'symbol');
    const answer: ChordParseAnswer = {
      symbol: printChord(chord),
      root: printNote(chord.root),
      bass: chord.bass === null ? null : printNote(chord.bass),
      quality: qualityName(chord.formula),
      notes: chordNotes(chord).map((note) => printNote(note)),
      formula: [...formulaNames(chord.formula)],
    };
    response.json(answer);
  });

  routes.post('/chords/identify', (request, response) => {
    const { notes, key } = bodyOf(request, chordIdentifyRequest);
    const read = notes.map((note, index) => required(parseNote(note), `notes.${index}`));
    const heardIn = key === undefined ? null : requiredKey(key, 'key');
    const answer: ChordIdentifyAnswer = {
      candidates: identify(read, heardIn).map((candidate, place) => describeCandidate(candidate, place, read[0] as number)),
    };
    response.json(answer);
  });

  return routes;
}

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
