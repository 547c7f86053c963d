import type { Fault } from '../fault.ts';
import { parseKey, printKey } from '../key/key-text.ts';
import type { Change } from './chart.ts';
import { findMeter, findTempo } from './head.ts';

const MOST_SEMITONES = 11;

/**
 * Reads what stands in braces when it changes something from here on: `3/4`, `key: A`,
 * `key: +2`, `tempo: 132`, `pickup: 1`. Undefined when the braces hold no change at all.
 */
export function parseChange(text: string): Change | Fault | undefined {
  const meter = findMeter(text);
  if (meter !== undefined) return { kind: 'meter', meter };
  const match = /^\s*([A-Za-z]+)\s*:\s*(.*?)\s*$/.exec(text.slice(0, 80));
  const value = match?.[2] ?? '';
  switch (match?.[1]?.toLowerCase()) {
    case 'key':
      return parseKeyChange(value);
    case 'tempo': {
      const bpm = findTempo(value);
      return bpm === undefined ? { code: 'head-value', name: 'tempo', value, wanted: 'beats a minute, 20 to 400' } : { kind: 'tempo', bpm };
    }
    case 'pickup': {
      const beats = /^\d{1,2}(\.5)?$/.test(value) ? Number(value) : 0;
      return beats > 0
        ? { kind: 'pickup', beats }
        : { code: 'head-value', name: 'pickup', value, wanted: 'a number of beats, such as 1 or 1.5' };
    }
    default:
      return undefined;
  }
}

/** The change as it is written inside braces. */
export function printChange(change: Change): string {
  switch (change.kind) {
    case 'key':
      return `key: ${printKey(change.key)}`;
    case 'step':
      return `key: ${change.semitones > 0 ? '+' : '-'}${Math.abs(change.semitones)}`;
    case 'meter':
      return `${change.meter.beats}/${change.meter.unit}`;
    case 'tempo':
      return `tempo: ${change.bpm}`;
    case 'pickup':
      return `pickup: ${change.beats}`;
  }
}

function parseKeyChange(value: string): Change | Fault {
  const step = /^([+−–-])\s*(\d{1,2})$/.exec(value);
  if (step !== null) {
    const semitones = Number(step[2]) * (step[1] === '+' ? 1 : -1);
    if (semitones !== 0 && Math.abs(semitones) <= MOST_SEMITONES) return { kind: 'step', semitones };
    return { code: 'head-value', name: 'key', value, wanted: 'a key, or 1 to 11 half steps up or down such as +2' };
  }
  const key = parseKey(value);
  return key.ok ? { kind: 'key', key: key.value } : key.fault;
}
