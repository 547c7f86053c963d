import { wholeKeyWords } from '@aurora/core';
import type { PracticeLog } from '@aurora/wire';
import { useState } from 'react';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { useNaming } from '../../../session/lens.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import { type KeyRow, keyMap, MAP_STAGES, unseenKeys } from './log-view.ts';

const SCALES = [
  ['major', PRACTICE_WORDS.majorKeys],
  ['natural minor', PRACTICE_WORDS.minorKeys],
] as const;
const MOST_UNSEEN = 3;

/** The twelve keys by what is practised in them: each cell as full as it went well. */
export function KeyMapPicture({ log }: { readonly log: PracticeLog }) {
  const naming = useNaming();
  const [scale, setScale] = useState<(typeof SCALES)[number][0]>('major');
  const rows = keyMap(log, scale, Date.now());
  return (
    <section aria-label={PRACTICE_WORDS.keyMap}>
      <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 className="font-numeral text-head font-bold">{PRACTICE_WORDS.keyMap}</h2>
        <Choice label={PRACTICE_WORDS.scale} value={scale} options={SCALES} onChange={setScale} />
        <p className="text-base text-quiet">{PRACTICE_WORDS.fullIs}</p>
      </div>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: where the map is wider than the window, the keyboard must be able to scroll it */}
      <div role="group" aria-label={PRACTICE_WORDS.keyMap} tabIndex={0} className="overflow-x-auto">
        <table className="w-full min-w-[46rem] table-fixed border-separate border-spacing-1 text-base">
          <thead>
            <tr>
              <th scope="col" className="w-28 text-left font-semibold text-quiet">
                {PRACTICE_WORDS.key}
              </th>
              {MAP_STAGES.map((stage) => (
                <th key={stage} scope="col" className="text-left text-fine font-semibold text-quiet">
                  {PRACTICE_WORDS.mapStages[stage]}
                </th>
              ))}
              <th scope="col" className="text-right text-fine font-semibold text-quiet">
                {PRACTICE_WORDS.lastSeen}
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <MapRow key={row.key.tonic} row={row} name={wholeKeyWords(row.key, naming)} />
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-2 text-base">
        <Glyphs
          text={PRACTICE_WORDS.unseen(
            unseenKeys(rows, MOST_UNSEEN).map(({ key, days }) => PRACTICE_WORDS.unseenKey(wholeKeyWords(key, naming), days)),
          )}
        />
      </p>
    </section>
  );
}

function MapRow({ row: { stages, days }, name }: { readonly row: KeyRow; readonly name: string }) {
  return (
    <tr>
      <th scope="row" className="music-glyph text-left font-numeral text-lead font-bold">
        <Glyphs text={name} />
      </th>
      {stages.map(({ stage, passes, share }) => (
        <td key={stage} className="h-8 rounded-md border border-hairline bg-raised p-0">
          {share !== null && (
            <span className="relative block h-8 overflow-hidden rounded-md">
              <span
                aria-hidden="true"
                style={{ width: `${Math.round(share * 100)}%` }}
                className="absolute inset-y-0 left-0 bg-accent/35"
              />
              <span className="relative flex h-8 items-center px-2 text-fine font-semibold">{PRACTICE_WORDS.shareOf(share, passes)}</span>
            </span>
          )}
        </td>
      ))}
      <td className="text-right text-fine text-quiet">{PRACTICE_WORDS.daysAgo(days)}</td>
    </tr>
  );
}
