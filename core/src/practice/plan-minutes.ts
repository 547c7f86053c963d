import type { BLOCK_KINDS } from '../choices.ts';

export type BlockKind = (typeof BLOCK_KINDS)[number];

/** A block before anybody has said what is in it: how long it is, and how many items it holds. */
export interface Slot {
  readonly kind: BlockKind;
  readonly minutes: number;
  readonly items: number;
}

/** The hands rest after so many minutes of playing. */
const MOST_IN_A_ROW = 25;
const BREAK_MINUTES = 3;
const MOST_WARM_UP = 5;

/** How much of a stretch each kind of block takes against the others, and the fewest minutes it is worth beginning for. */
const SHARES: Readonly<Record<Exclude<BlockKind, 'break' | 'warm-up'>, { readonly share: number; readonly fewest: number }>> = {
  recall: { share: 4, fewest: 2 },
  programme: { share: 6, fewest: 4 },
  shapes: { share: 4, fewest: 4 },
  runs: { share: 4, fewest: 4 },
  chain: { share: 3, fewest: 3 },
  ear: { share: 3, fewest: 3 },
  song: { share: 5, fewest: 4 },
};

type PlayedKind = keyof typeof SHARES;

/** What hands and ears take in turn, from stretch to stretch. */
const HANDS: readonly PlayedKind[] = ['shapes', 'chain', 'runs', 'ear'];

/** Minutes an item takes, about; answers are quicker than shapes. */
const ITEM_MINUTES: Readonly<Record<BlockKind, number>> = {
  'warm-up': 5,
  recall: 1,
  programme: 1.5,
  shapes: 2,
  runs: 2,
  chain: 2,
  ear: 2,
  song: 10,
  break: BREAK_MINUTES,
};

interface Has {
  readonly programme: boolean;
  readonly song: boolean;
  /** What is taken first of hands and ears. */
  readonly turn: number;
  /** Where nothing was ever played here: what the hands begin with beside numbers. Null for everybody else. */
  readonly firstHands: 'shapes' | 'runs' | null;
}

/** Cuts the minutes into blocks: breaks so that nobody plays for more than 25 minutes, and what fits in between. They sum to the minutes given. */
export function layOut(minutes: number, has: Has): readonly Slot[] {
  const breaks = breaksIn(minutes);
  const playing = minutes - breaks * BREAK_MINUTES;
  const warmUp = minutes < 5 ? 1 : Math.min(MOST_WARM_UP, Math.max(2, Math.round(minutes / 10)));
  const stretches = Array.from({ length: breaks + 1 }, (_, place) => share(playing, breaks + 1, place));
  return stretches.flatMap((length, place): readonly Slot[] => {
    const isFirst = place === 0;
    const kinds = kindsFor(place, stretches.length, has);
    const left = length - (isFirst ? warmUp : 0);
    return [
      ...(isFirst ? [slotOf('warm-up', warmUp)] : [slotOf('break', BREAK_MINUTES)]),
      ...cut(left, kinds).map(({ kind, minutes: long }) => slotOf(kind, long)),
    ];
  });
}

function breaksIn(minutes: number): number {
  let breaks = 0;
  while ((minutes - breaks * BREAK_MINUTES) / (breaks + 1) > MOST_IN_A_ROW) breaks += 1;
  return breaks;
}

/** One of so many whole parts that sum to the whole. */
function share(whole: number, parts: number, place: number): number {
  return Math.floor((whole * (place + 1)) / parts) - Math.floor((whole * place) / parts);
}

/** What a stretch would hold, the most wanted first. */
function kindsFor(place: number, stretches: number, { programme, song, turn, firstHands }: Has): readonly PlayedKind[] {
  const isLast = place === stretches - 1;
  if (firstHands !== null) {
    const tonight = programme && place === 0 ? (['programme'] as const) : [];
    return ['recall', ...tonight, ...(song && isLast ? (['song'] as const) : []), firstHands];
  }
  const hands = [0, 1].map((step) => HANDS[(turn + place * 2 + step) % HANDS.length] as PlayedKind);
  return [
    'recall',
    ...(programme && place === 0 ? (['programme'] as const) : []),
    ...hands.slice(0, 1),
    ...(song && isLast ? (['song'] as const) : []),
    ...hands.slice(1),
  ];
}

/** As many of the kinds as there is time for, each with its share, in whole minutes. */
function cut(minutes: number, kinds: readonly PlayedKind[]): readonly { readonly kind: PlayedKind; readonly minutes: number }[] {
  const taken: PlayedKind[] = [];
  for (const kind of kinds) {
    const wanted = [...taken, kind].reduce((sum, one) => sum + SHARES[one].fewest, 0);
    if (taken.length === 0 || wanted <= minutes) taken.push(kind);
  }
  const whole = taken.reduce((sum, kind) => sum + SHARES[kind].share, 0);
  const spare = minutes - taken.reduce((sum, kind) => sum + Math.min(SHARES[kind].fewest, minutes), 0);
  let given = 0;
  return taken.map((kind) => {
    const before = Math.floor((spare * given) / whole);
    given += SHARES[kind].share;
    return { kind, minutes: Math.min(SHARES[kind].fewest, minutes) + Math.floor((spare * given) / whole) - before };
  });
}

/** A block of so many minutes, with as many items as fit. */
export function slotOf(kind: BlockKind, minutes: number): Slot {
  return { kind, minutes, items: kind === 'break' ? 0 : Math.max(1, Math.round(minutes / ITEM_MINUTES[kind])) };
}
