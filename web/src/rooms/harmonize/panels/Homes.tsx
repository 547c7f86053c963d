import { homesOf, nameChord, nameNote, printScale, printScaleNumber, SCALE_NAMES, sameKey } from '@aurora/core';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { setKey } from '../../../session/lens-store.ts';
import { HARMONIZE_WORDS } from '../../../wording/harmonize.ts';
import type { ColumnView } from '../harmonize-view.ts';
import { NameNotes } from './NameNotes.tsx';
import type { PanelProps } from './panel.ts';

/** All keys that hold every note of the selected chord, with its degree in each. */
export function Homes({ sounding, naming, columns, index }: PanelProps) {
  const { chord } = columns[index] as ColumnView;
  const homes = homesOf(chord);
  return (
    <div>
      <NameNotes heardIn={sounding} naming={naming} />
      <p className="mt-3 mb-2">
        {HARMONIZE_WORDS.allNotesOf} <b className="music-glyph">{nameChord(chord, naming)}</b>
        {HARMONIZE_WORDS.asItSoundsAreIn} {homes.length} {HARMONIZE_WORDS.keysPressOneToGoThere}
      </p>
      <table className="w-full text-left">
        <tbody>
          {SCALE_NAMES.filter((scale) => homes.some(({ key }) => key.scale === scale)).map((scale) => (
            <tr key={scale} className="border-t border-hairline">
              <th className="w-48 py-1 font-semibold">{printScale(scale, 'glyph')}</th>
              <td className="flex flex-wrap gap-1 py-1">
                {homes
                  .filter(({ key }) => key.scale === scale)
                  .map(({ key, degree }) => (
                    <button
                      key={key.tonic}
                      type="button"
                      aria-pressed={sameKey(key, sounding)}
                      onClick={() => setKey(key)}
                      className="music-glyph min-h-11 rounded-lg border border-hairline px-3 hover:border-accent aria-pressed:bg-wash"
                    >
                      <b>
                        <Glyphs text={nameNote(key.tonic, naming.notes)} />
                      </b>
                      <span className="ml-2 text-quiet">
                        {HARMONIZE_WORDS.asThe} {printScaleNumber(degree, 'glyph')}
                      </span>
                    </button>
                  ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
