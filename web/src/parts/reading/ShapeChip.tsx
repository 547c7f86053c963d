import { type CapoShape, type Naming, nameChord } from '@aurora/core';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { Glyphs } from '../notation/Glyphs.tsx';

interface ShapeChipProps {
  readonly shape: CapoShape;
  readonly naming: Naming;
  /** Without what it sounds, where that stands elsewhere. */
  readonly brief?: boolean;
}

/** What is held behind a capo, and what it sounds; boxed where it is held closed. */
export function ShapeChip({ shape: { shape, sounding, hold }, naming, brief = false }: ShapeChipProps) {
  const [held, heard] = [nameChord(shape, naming), nameChord(sounding, naming)];
  return (
    <li
      className={`flex min-w-11 flex-col rounded-md border px-2 py-0.5 leading-tight ${hold.open ? 'border-transparent bg-wash' : 'border-edge'}`}
    >
      <b className="font-numeral text-lead">
        <Glyphs text={held} />
        <span className="sr-only">{hold.open ? ', open' : ', closed'}</span>
      </b>
      {held !== heard && !brief && (
        <span className="text-fine text-quiet">
          {PARTS_WORDS.sounds} <Glyphs text={heard} />
        </span>
      )}
    </li>
  );
}
