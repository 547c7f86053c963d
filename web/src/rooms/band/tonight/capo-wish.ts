import { type CapoWish, wishOf } from '@aurora/core';
import type { Member } from '@aurora/wire';
import { instrumentOf } from '../../../session/playing.ts';

/** What a member's hands, neck and strings mean for a capo. */
export function capoWishOf(member: Member): CapoWish {
  return { ...wishOf({ ...instrumentOf(member), capo: 0 }), level: member.reads.barres, maxFret: member.reads.maxCapo };
}
