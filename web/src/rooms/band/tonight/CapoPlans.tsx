import type { Member } from '@aurora/wire';
import { useState } from 'react';
import { useMembers } from '../../../api/members.ts';
import { withPlannedCapos } from '../../../document/evening-view.ts';
import type { Tonight } from '../../../document/use-evening.ts';
import { planCaposOfSet } from '../../../parts/neck/neck-engine.ts';
import { isGuitar } from '../../../session/reader-view.ts';
import { Button } from '../../../ui/Button.tsx';
import { PlanIcon } from '../../../ui/icons.ts';
import { sayFault } from '../../../ui/say.ts';
import { BAND_WORDS } from '../../../wording/band.ts';
import { capoWishOf } from './capo-wish.ts';

/** For each guitar, frets for the whole set with the fewest moves. */
export function CapoPlans({ tonight }: { readonly tonight: Tonight }) {
  const members = (useMembers() ?? []).filter(isGuitar);
  const { desk, evening } = tonight;
  const [told, setTold] = useState<string | null>(null);
  const plan = async (member: Member) => {
    try {
      const { entries } = evening;
      const songs = entries.map(({ song }) => (song === null ? null : { source: song.source, tonic: song.key.tonic }));
      const frets = await planCaposOfSet(songs, capoWishOf(member));
      // the set may have changed while the frets were worked out
      desk.change((body) => withPlannedCapos(body, member.id, new Map(entries.map(({ id }, at) => [id, frets[at] ?? null]))));
      setTold(`${member.name}: ${movesWords(frets)}`);
    } catch {
      void sayFault(BAND_WORDS.theCaposCouldNotBePlanned);
    }
  };
  if (members.length === 0 || evening.entries.length === 0) return null;
  return (
    <div className="mt-4 flex flex-col items-start gap-2 border-t border-hairline pt-3">
      <h2 className="font-semibold">{BAND_WORDS.caposForTheWholeSet}</h2>
      <p className="text-fine text-quiet">{BAND_WORDS.theFewestMovesWithShapesAbout}</p>
      {members.map((member) => (
        <Button key={member.id} onClick={() => void plan(member)}>
          <PlanIcon size={17} aria-hidden="true" /> {BAND_WORDS.plan} {member.name}
          {BAND_WORDS.sCapo}
        </Button>
      ))}
      {told !== null && (
        <p role="status" className="text-base">
          {told}
        </p>
      )}
    </div>
  );
}

/** How often a capo moves, a break apart. */
function movesWords(frets: readonly (number | null)[]): string {
  const moves = frets.filter((fret, at) => at > 0 && fret !== null && frets[at - 1] !== null && frets[at - 1] !== fret).length;
  return moves === 0
    ? BAND_WORDS.theCapoStaysWhereItIs
    : moves === 1
      ? BAND_WORDS.oneMoveBetweenSongs
      : BAND_WORDS.movesBetweenSongs(moves);
}
