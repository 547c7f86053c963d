import { setText } from '@aurora/core';

const ACCIDENTALS = /([♭♯]+)/;

/** Text of a musician: sharps and flats as heavy as the letters beside them, qualities of numbers raised. */
export function Glyphs({ text }: { readonly text: string }) {
  return setText(text).map((part, index) =>
    part.raised ? (
      // biome-ignore lint/suspicious/noArrayIndexKey: parts have no name but their place
      <span key={index} className="inline-block -translate-y-[0.4em] text-[0.68em] leading-none">
        <Accidentals text={part.text} />
      </span>
    ) : (
      // biome-ignore lint/suspicious/noArrayIndexKey: parts have no name but their place
      <Accidentals key={index} text={part.text} />
    ),
  );
}

function Accidentals({ text }: { readonly text: string }) {
  return text.split(ACCIDENTALS).map((part, index) =>
    ACCIDENTALS.test(part) ? (
      // biome-ignore lint/suspicious/noArrayIndexKey: parts have no name but their place
      <span key={index} className="accidental">
        {part}
      </span>
    ) : (
      part
    ),
  );
}
