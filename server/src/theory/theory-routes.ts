import {
  chordNotes,
  formulaNames,
  type HarmonizedChord,
  harmonize,
  intervalName,
  keyNotes,
  makeKey,
  parseChord,
  parseNote,
  parseScale,
  printChord,
  printNote,
  printNumber,
  printRoman,
  printScaleNumber,
  qualityName,
  scaleSteps,
} from '@aurora/core';
import { type ChordParseAnswer, chordParseRequest, type HarmonizeAnswer, harmonizeRequest } from '@aurora/wire';
import { Router } from 'express';
import { bodyOf, required } from '../validate.ts';

/** `/harmonize` and `/chords/parse`: thin handlers over the core. */
export function theoryRoutes(): Router {
  const routes = Router();

  routes.post('/harmonize', (request, response) => {
    const { tonic, scale, depth } = bodyOf(request, harmonizeRequest);
    const key = required(makeKey(required(parseNote(tonic), 'tonic'), required(parseScale(scale), 'scale')), 'tonic');
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

  return routes;
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
