import { failure, type Result, success } from '../fault.ts';
import { type AccidentalStyle, printNote, scanNote } from '../pitch/note-text.ts';
import { findScale, SCALE_NAMES } from '../scale/scale.ts';
import { type ChordScaleName, SCALE_ALIASES, type ScaleName } from '../scale/scale-table.ts';
import { isSpellable, type Key, simplestKey } from './key.ts';

/** Reads `G`, `Em`, `Bb major`, `F# harmonic minor`, `D dorian`. Major when no scale is named. */
export function parseKey(text: string): Result<Key> {
  const trimmed = text.trim();
  if (trimmed === '') return failure({ code: 'empty', wanted: 'key' }, 0, 0);
  const scanned = scanNote(trimmed);
  if ('ok' in scanned) return scanned;
  const rest = trimmed.slice(scanned.end).trim();
  const scale = rest === '' ? 'major' : /^(m|-|−)$/.test(rest) ? 'natural minor' : findScale(rest);
  if (scale === undefined) {
    return failure({ code: 'scale-unknown', text: rest, nearest: nearestScale(rest) }, trimmed.length - rest.length, rest.length);
  }
  return makeKey(scanned.note, scale);
}

/** Reads a scale name alone; a miss names the nearest scale there is. */
export function parseScale(text: string): Result<ScaleName> {
  const scale = findScale(text);
  return scale === undefined
    ? failure({ code: 'scale-unknown', text: text.trim(), nearest: nearestScale(text) }, 0, text.length)
    : success(scale);
}

/** A key, or the fault that it needs triple accidentals together with its easier name. */
export function makeKey(tonic: number, scale: ScaleName): Result<Key> {
  const key = { tonic, scale };
  if (isSpellable(key)) return success(key);
  const easier = printKey(simplestKey(key, key));
  return failure({ code: 'key-unspellable', key: printKey(key), easier }, 0, printNote(tonic).length);
}

/** `G`, `Em`, and every other scale by its name: `F# harmonic minor`. */
export function printKey(key: Key, style: AccidentalStyle = 'ascii'): string {
  const tonic = printNote(key.tonic, style);
  if (key.scale === 'major') return tonic;
  return key.scale === 'natural minor' ? `${tonic}m` : `${tonic} ${printScale(key.scale, style)}`;
}

/** A scale's name, its accidentals as glyphs when asked: `locrian ♯2`. */
export function printScale(scale: ChordScaleName, style: AccidentalStyle = 'ascii'): string {
  if (style === 'ascii') return scale;
  return scale.replace(/#(?=\d)/, '♯').replace(/b(?=\d)/, '♭');
}

function nearestScale(text: string): string | null {
  const wanted = text.trim().toLowerCase();
  const names = [...SCALE_NAMES, ...Object.keys(SCALE_ALIASES)];
  const ranked = names.map((name) => ({ name, distance: editDistance(wanted.slice(0, 40), name) })).sort((a, b) => a.distance - b.distance);
  const best = ranked[0];
  return best !== undefined && best.distance <= Math.max(2, wanted.length / 3) ? best.name : null;
}

/** Levenshtein distance, by rows. */
function editDistance(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, index) => index);
  for (let i = 1; i <= a.length; i += 1) {
    const next = [i];
    for (let j = 1; j <= b.length; j += 1) {
      const substitution = (row[j - 1] as number) + (a[i - 1] === b[j - 1] ? 0 : 1);
      next.push(Math.min(substitution, (row[j] as number) + 1, (next[j - 1] as number) + 1));
    }
    row = next;
  }
  return row[b.length] as number;
}
