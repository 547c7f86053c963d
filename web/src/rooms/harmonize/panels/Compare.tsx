import {
  compareKeys,
  isSpellable,
  type Key,
  moveKey,
  type Naming,
  nameChord,
  nameKey,
  nameNote,
  printScale,
  SCALE_NAMES,
  type ScaleName,
  simplestKey,
  withGlyphs,
} from '@aurora/core';
import { useState } from 'react';
import { Word } from '../../../parts/glossary/Word.tsx';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { KeyInput } from '../../../parts/reading/KeyInput.tsx';
import { Select } from '../../../ui/Select.tsx';
import { HARMONIZE_WORDS } from '../../../wording/harmonize.ts';
import type { PanelProps } from './panel.ts';

const RELATIVE: Partial<Record<ScaleName, { readonly semitones: number; readonly scale: ScaleName }>> = {
  major: { semitones: 9, scale: 'natural minor' },
  'natural minor': { semitones: 3, scale: 'major' },
};

/** Two scales side by side: the changed notes, the chords they touch, and how. */
export function Compare({ written, naming, build }: PanelProps) {
  const [scale, setScale] = useState<ScaleName | 'relative'>(() =>
    written.scale === 'natural minor' ? 'harmonic minor' : 'natural minor',
  );
  const [typed, setTyped] = useState<Key | null>(null);
  const other = typed ?? otherKey(written, scale);
  const depth = build.kind === 'thirds' && build.depth === 'triad' ? 'triad' : 'seventh';
  const { changed, chords } = compareKeys(written, other, depth);
  const relative = RELATIVE[written.scale];
  return (
    <div>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <b className="music-glyph">{nameKey(written, naming)}</b> {HARMONIZE_WORDS.beside}
        <Select
          aria-label={HARMONIZE_WORDS.theOtherScale}
          value={scale}
          onChange={(event) => {
            setTyped(null);
            setScale(event.target.value as ScaleName | 'relative');
          }}
        >
          {relative !== undefined && (
            <option value="relative">
              {HARMONIZE_WORDS.itsRelative} {nameKey(otherKey(written, 'relative'), naming)}
            </option>
          )}
          {SCALE_NAMES.map((name) => (
            <option key={name} value={name}>
              {printScale(name, 'glyph')}
            </option>
          ))}
        </Select>
        <Word term="relative keys">{HARMONIZE_WORDS.relativeOrParallel}</Word>
        <KeyInput label={HARMONIZE_WORDS.orAnyOtherKey} onKey={setTyped} />
        <span role="status">{changedWords(changed, naming)}</span>
      </div>
      <div className="overflow-x-auto">
        <BothScales first={written} second={other} chords={chords} naming={naming} />
      </div>
    </div>
  );
}

interface BothScalesProps extends Pick<PanelProps, 'naming'> {
  readonly first: Key;
  readonly second: Key;
  readonly chords: ReturnType<typeof compareKeys>['chords'];
}

/** The chords of both, degree by degree, and what becomes of each changed note. */
function BothScales({ first, second, chords, naming }: BothScalesProps) {
  return (
    <table className="w-full min-w-[640px] text-left">
      <tbody>
        {(['first', 'second'] as const).map((side) => (
          <tr key={side} className="border-t border-hairline">
            <th className="music-glyph py-2 pr-3 font-semibold">{nameKey(side === 'first' ? first : second, naming)}</th>
            {chords.map((chord) => (
              <td key={chord.first.chord.root} className={`py-2 pr-2 ${chord.changes.length > 0 ? 'font-bold' : 'text-quiet'}`}>
                <span className="music-glyph text-lead">
                  <Glyphs text={nameChord(chord[side].chord, naming)} />
                </span>
              </td>
            ))}
          </tr>
        ))}
        <tr className="border-t border-hairline align-top text-fine">
          <th className="py-2 pr-3 font-semibold text-quiet">{HARMONIZE_WORDS.whatChanges}</th>
          {chords.map((chord) => (
            <td key={chord.first.chord.root} className="music-glyph py-2 pr-2 leading-snug">
              {chord.changes.map(({ from, to, before, after }) => (
                <span key={from} className="block">
                  {withGlyphs(before.name)} {nameNote(from, naming.notes)} → {withGlyphs(after?.name ?? '')} {nameNote(to, naming.notes)}
                </span>
              ))}
              {chord.changes.length === 0 && <span className="text-quiet">{HARMONIZE_WORDS.theSame}</span>}
            </td>
          ))}
        </tr>
      </tbody>
    </table>
  );
}

function otherKey(key: Key, scale: ScaleName | 'relative'): Key {
  const relative = RELATIVE[key.scale];
  if (scale === 'relative' && relative !== undefined) return { ...moveKey(key, relative.semitones), scale: relative.scale };
  const wanted = { ...key, scale: scale === 'relative' ? key.scale : scale };
  return isSpellable(wanted) ? wanted : simplestKey(wanted, key);
}

function changedWords(changed: readonly { readonly from: number; readonly to: number }[], naming: Naming): string {
  if (changed.length === 0) return HARMONIZE_WORDS.theSameSevenNotes;
  const notes = changed.map(({ from, to }) => HARMONIZE_WORDS.becomes(nameNote(from, naming.notes), nameNote(to, naming.notes))).join(', ');
  return HARMONIZE_WORDS.notesChanged(changed.length, String(notes));
}
