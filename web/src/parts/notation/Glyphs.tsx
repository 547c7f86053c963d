const ACCIDENTALS = /([♭♯]+)/;

/** Text whose sharps and flats are as heavy as the letters beside them. */
export function Glyphs({ text }: { readonly text: string }) {
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
