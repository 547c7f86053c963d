import { circleWords, type Key, nameChord, nameKey, nameNote } from '@aurora/core';
import { useState } from 'react';
import { Word } from '../../../parts/glossary/Word.tsx';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { circleKeys } from '../../../session/key-view.ts';
import { setKey } from '../../../session/lens-store.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { HARMONIZE_WORDS } from '../../../wording/harmonize.ts';
import { columnsOf } from '../harmonize-view.ts';
import type { PanelProps } from './panel.ts';

/** Pixels: the circle is drawn as large as it is shown. */
const MIDDLE = 92;
const RADIUS = 74;
const PLACE = 17;

/** All keys at once, in circle order, and the circle itself, either way round. */
export function AllKeys({ sounding, naming, build }: PanelProps) {
  const [way, setWay] = useState<'fifths' | 'fourths'>('fifths');
  const [mode, setMode] = useState<'major' | 'natural minor'>(sounding.scale === 'natural minor' ? 'natural minor' : 'major');
  const keys = inOrder(
    circleKeys(mode).map((key) => (isSame(key, sounding) ? { ...key, tonic: sounding.tonic } : key)),
    way,
  );
  const here = keys.findIndex((key) => isSame(key, sounding));
  const place = Math.max(0, here);
  const from = keys[place] as Key;
  const neighbours = [keys[(place + 1) % keys.length], keys[(place + keys.length - 1) % keys.length]] as readonly Key[];
  return (
    <div className="grid gap-5 lg:grid-cols-[196px_170px_1fr]">
      <div>
        <p className="mb-1 font-semibold text-quiet">
          <Word term="circle of fifths">{HARMONIZE_WORDS.theCircle}</Word>
        </p>
        <Choice
          label={HARMONIZE_WORDS.whichWayRound}
          value={way}
          options={[
            ['fifths', HARMONIZE_WORDS.inFifths],
            ['fourths', HARMONIZE_WORDS.inFourths],
          ]}
          onChange={setWay}
        />
        <Circle keys={keys} here={here} way={way} naming={naming} />
      </div>
      <div className="flex flex-col gap-2 text-fine leading-snug lg:pt-8">
        {neighbours.map((neighbour) => (
          <div key={neighbour.tonic}>
            {circleWords(from.tonic, neighbour.tonic, naming).map((sentence) => (
              <p key={sentence}>{sentence}</p>
            ))}
          </div>
        ))}
      </div>
      <div className="overflow-x-auto">
        <Choice
          label={HARMONIZE_WORDS.majorOrMinor}
          value={mode}
          options={[
            ['major', HARMONIZE_WORDS.majorKeys],
            ['natural minor', HARMONIZE_WORDS.minorKeys],
          ]}
          onChange={setMode}
        />
        <KeyTable keys={keys} here={here} build={build} naming={naming} />
      </div>
    </div>
  );
}

interface KeysProps extends Pick<PanelProps, 'naming'> {
  readonly keys: readonly Key[];
  /** Where the key that is read stands; −1 for nowhere. */
  readonly here: number;
}

/** The circle as it is walked just now. */
function Circle({ keys, here, way, naming }: KeysProps & { readonly way: 'fifths' | 'fourths' }) {
  return (
    <svg
      viewBox="0 0 184 184"
      className="mt-1 size-[184px]"
      role="img"
      aria-label={HARMONIZE_WORDS.theCircleClockwiseIn(way, keys.map((key) => nameKey(key, naming)).join(', '))}
    >
      <circle cx={MIDDLE} cy={MIDDLE} r={RADIUS} fill="none" stroke="var(--edge)" strokeWidth={2} />
      {keys.map((key, index) => {
        const angle = (index / keys.length) * 2 * Math.PI - Math.PI / 2;
        const [x, y] = [MIDDLE + RADIUS * Math.cos(angle), MIDDLE + RADIUS * Math.sin(angle)];
        return (
          <g key={key.tonic}>
            <circle cx={x} cy={y} r={PLACE} fill={index === here ? 'var(--accent)' : 'var(--raised)'} stroke="var(--edge)" />
            <text
              x={x}
              y={y + 5}
              textAnchor="middle"
              fontSize={13}
              fontWeight={700}
              fill={index === here ? 'var(--on-accent)' : 'var(--ink)'}
              className="music-glyph"
            >
              {nameNote(key.tonic, naming.notes)}
              {key.scale === 'major' ? '' : 'm'}
            </text>
          </g>
        );
      })}
      <text x={MIDDLE} y={MIDDLE + 5} textAnchor="middle" fontSize={13} fill="var(--quiet)">
        {HARMONIZE_WORDS.upIn} {way}
      </text>
    </svg>
  );
}

/** Every key with its seven chords; pressed, it is read. */
function KeyTable({ keys, here, build, naming }: KeysProps & Pick<PanelProps, 'build'>) {
  return (
    <table className="mt-1 w-full text-left text-fine max-lg:min-w-[600px]">
      <tbody>
        {keys.map((key, index) => (
          <tr key={key.tonic} className={`border-t border-hairline ${index === here ? 'bg-wash' : ''}`}>
            <th className="pr-2">
              <button
                type="button"
                onClick={() => setKey(key)}
                className="music-glyph min-h-7 min-w-10 rounded px-1 text-left text-base leading-none font-bold max-lg:min-h-11 hover:text-accent"
              >
                <Glyphs text={nameNote(key.tonic, naming.notes)} />
              </button>
            </th>
            {columnsOf(key, key, build, naming).map((column) => (
              <td key={column.number.degree} className="music-glyph pr-1 whitespace-nowrap">
                {nameChord(column.chord, naming)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Whether two keys lie at one place of the circle, whichever way they are spelled. */
function isSame(key: Key, other: Key): boolean {
  return (key.tonic - other.tonic) % 12 === 0;
}

function inOrder(keys: readonly Key[], way: 'fifths' | 'fourths'): readonly Key[] {
  const [home, ...rest] = keys;
  return way === 'fifths' || home === undefined ? keys : [home, ...rest.reverse()];
}
