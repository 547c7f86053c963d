import {
  type Barre,
  checkInstrument,
  FAMILIES,
  type Family,
  type Fingering,
  findVoicings,
  fingerings,
  fromCapo,
  type Instrument,
  parseChord,
  printChord,
  printNote,
  STANDARD_GUITAR,
  type Voicing,
} from '@aurora/core';
import { type VoicingsAnswer, type VoicingsRequest, voicingsAnswer, voicingsRequest } from '@aurora/wire';
import { type Call, openCall } from '../call/call.ts';
import { HttpFault } from '../http-fault.ts';
import { required, requiredTuning } from '../validate.ts';

const DEFAULT_MAX_FRET = 15;
const DEFAULT_LIMIT = 500;

/** `/voicings`: a thin handler over the core's search. */
export const VOICING_CALLS: readonly Call[] = [
  openCall(
    {
      id: 'findVoicings',
      method: 'post',
      path: '/voicings',
      tag: 'neck',
      summary: 'Shapes of a chord on an instrument',
      body: voicingsRequest,
      answer: voicingsAnswer,
      isLimited: true,
      isHeavy: true,
    },
    ({ body }) => voicingsFor(body),
  ),
];

function voicingsFor({
  symbol,
  tuning,
  maxFret = DEFAULT_MAX_FRET,
  capo = 0,
  families,
  without = [],
  limit = DEFAULT_LIMIT,
}: VoicingsRequest): VoicingsAnswer {
  const chord = required(parseChord(symbol.trim()), 'symbol');
  const strings = tuning === undefined ? STANDARD_GUITAR.tuning : requiredTuning(tuning, 'tuning');
  const instrument = required(checkInstrument({ ...STANDARD_GUITAR, tuning: strings, capo, frets: 24, comfortFret: 24 }), 'tuning');
  const wanted = families === undefined ? {} : { families: families.flatMap(readFamily) };
  const { voicings, leftOut, partial } = findVoicings(chord, instrument, { ...wanted, maxFret: Math.max(maxFret, capo), without });
  return {
    symbol: printChord(chord),
    tuning: [...strings],
    capo,
    voicings: voicings.slice(0, limit).map((voicing) => describe(voicing, instrument, wanted.families)),
    total: voicings.length,
    leftOut: [...leftOut],
    partial,
  };
}

/** Families by name, however they are joined: `drop-2`, `drop 2`, `Drop2`; `barre` is both of them. */
function readFamily(text: string, index: number): readonly Family[] {
  const plain = text
    .toLowerCase()
    .replace(/[^a-z0-9]/g, '')
    .replace(/s$/, '');
  if (plain === 'barre') return ['barre-6', 'barre-5'];
  const family = FAMILIES.find((name) => name.replace('-', '') === plain || `${name.replace('-', '')}triad` === plain);
  if (family !== undefined) return [family];
  const message = `There is no family “${text}”. The families are: ${FAMILIES.join(', ')}.`;
  throw new HttpFault('invalid', message, { errors: [{ message, path: `families.${index}` }] });
}

function describe(voicing: Voicing, instrument: Instrument, wanted: readonly Family[] | undefined): VoicingsAnswer['voicings'][number] {
  const { frets, fingering, families, tones } = voicing;
  return {
    frets: [...frets],
    fromCapo: [...fromCapo(frets, instrument.capo)],
    fingers: fingering.fingers as (number | null)[],
    barres: fingering.barres.map(barreOf),
    fingerings: fingerings(frets, instrument).map(fingersOf),
    family: families.find((family) => wanted?.includes(family)) ?? families[0],
    families: [...families],
    inversion: voicing.inversion,
    difficulty: voicing.difficulty,
    notes: tones.map(({ note }) => printNote(note)),
    formula: tones.map(({ formula }) => formula),
    omitted: [...voicing.omitted],
    added: [...voicing.added],
  };
}

/** Only the first way to hold a shape is answered with its barres, and it never uses the thumb. */
function barreOf({ finger, fret, from, to }: Barre): VoicingsAnswer['voicings'][number]['barres'][number] {
  return { finger: finger as number, fret, from, to };
}

function fingersOf({ fingers }: Fingering): VoicingsAnswer['voicings'][number]['fingerings'][number] {
  return [...fingers];
}
