import { type AnalyzedChord, harmonize, type Key, keyWords, type Naming, nameChord, nameRoman } from '@aurora/core';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { ANALYZE_WORDS } from '../../wording/analyze.ts';

interface ParallelKeysProps {
  readonly chord: AnalyzedChord;
  readonly home: Key | null;
  readonly naming: Naming;
}

/** Both keys of a borrowed chord written out, the chord pointed at where it comes from. */
export function ParallelKeys({ chord, home, naming }: ParallelKeysProps) {
  const source = chord.reading.sources?.[0];
  if (home === null || source === undefined) return null;
  const depth = harmonize({ tonic: home.tonic, scale: source }, 'seventh').some((own) => own.chord.formula === chord.chord.formula)
    ? 'seventh'
    : 'triad';
  return (
    <table className="mt-1 w-full text-center">
      <caption className="pb-1 text-left text-base text-quiet">{ANALYZE_WORDS.bothKeysWrittenOut}</caption>
      <tbody>
        {[home, { tonic: home.tonic, scale: source }].map((key) => (
          <tr key={key.scale} className="border-t border-hairline">
            <th scope="row" className="py-1 pr-2 text-left text-fine font-semibold">
              {keyWords(key, naming)}
            </th>
            {harmonize(key, depth).map((own) => {
              const here = own.chord.root === chord.chord.root && key.scale === source;
              return (
                <td
                  key={own.number.degree}
                  className={`music-glyph px-1 py-1 text-fine ${here ? 'rounded-md bg-wash font-bold text-outside outline-2 outline-dashed outline-outside' : ''}`}
                >
                  <Glyphs text={nameRoman(own.number, { ...naming, degrees: 'roman' })} />
                  <span className="block text-fine">{nameChord(own.chord, naming)}</span>
                  {here && <span className="sr-only">{ANALYZE_WORDS.whereTheChordComesFrom}</span>}
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
