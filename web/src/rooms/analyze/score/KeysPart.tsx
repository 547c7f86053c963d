import { type Column, cadenceName, keySpanWords, nameKey, nameRoman, placeOf } from '@aurora/core';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { Button } from '../../../ui/Button.tsx';
import { SCORE_WORDS } from '../../../wording/score.ts';
import type { ScorePartProps } from './score-part.ts';

/** The keys of the piece, how each is come into, and where phrases close. */
export function KeysPart({ work: { reduction }, naming, onChoose }: ScorePartProps) {
  const { keys, score, cadences, columns } = reduction;
  if (keys.length === 0) return <p>{SCORE_WORDS.noKeysHere}</p>;
  return (
    <div className="flex flex-wrap gap-x-10 gap-y-3">
      <ol className="flex min-w-72 flex-1 flex-col gap-2">
        {keys.map((span) => (
          <li key={span.from} className="flex flex-col gap-1">
            <button
              type="button"
              className="text-left text-lead font-bold hover:text-accent"
              onClick={() => onChoose(columns.findIndex(({ from }) => from === span.from))}
            >
              <span className="mr-2 text-fine font-semibold text-quiet">
                {SCORE_WORDS.bar} {placeOf(score, span.from).bar}
              </span>
              <Glyphs text={nameKey(span.key, naming)} />
              {span.by === 'player' && <span className="ml-2 text-fine text-outside">{SCORE_WORDS.yours}</span>}
            </button>
            <Pivot reduction={reduction} span={span} naming={naming} />
            <p className="text-base text-quiet">
              <Glyphs text={keySpanWords(reduction, span, naming).join(' ')} />
            </p>
          </li>
        ))}
      </ol>
      <ul aria-label={SCORE_WORDS.keys} className="flex flex-col gap-1">
        {cadences.map(({ kind, harmony, at }) => (
          <li key={harmony}>
            <Button look="bare" onClick={() => onChoose(harmony)}>
              {SCORE_WORDS.cadence(cadenceName(kind), placeOf(score, at).bar)}
            </Button>
          </li>
        ))}
      </ul>
    </div>
  );
}

interface PivotProps extends Pick<ScorePartProps, 'naming'> {
  readonly reduction: ScorePartProps['work']['reduction'];
  readonly span: ScorePartProps['work']['reduction']['keys'][number];
}

/** The chord that stands for both keys, one numeral over the other, with its neighbours in their own key. */
function Pivot({ reduction: { columns, keys }, span, naming }: PivotProps) {
  const { pivot } = span;
  const before = keys[keys.indexOf(span) - 1];
  if (pivot === null || before === undefined) return null;
  const near = [-1, 0, 1, 2].flatMap((step) => {
    const column: Column | undefined = columns[pivot.column + step];
    return column?.analyzed == null ? [] : [{ step, roman: nameRoman(column.analyzed.number, naming), key: column.key }];
  });
  const own = keys.indexOf(span);
  const rows = [
    [
      nameKey(before.key, naming),
      near.map(({ step, roman, key }) => (step === 0 ? nameRoman(pivot.before, naming) : key < own ? roman : '')),
    ],
    [
      nameKey(span.key, naming),
      near.map(({ step, roman, key }) => (step === 0 ? nameRoman(pivot.after, naming) : key >= own ? roman : '')),
    ],
  ] as const;
  return (
    <table className="w-fit text-base">
      <tbody>
        {rows.map(([name, romans]) => (
          <tr key={name}>
            <th scope="row" className="pr-4 text-left font-semibold text-quiet">
              <Glyphs text={name} />
            </th>
            {romans.map((roman, place) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: chords side by side have no name but their place
              <td key={place} className={`music-glyph px-2 ${near[place]?.step === 0 ? 'border-x-2 border-accent font-bold' : ''}`}>
                <Glyphs text={roman} />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
