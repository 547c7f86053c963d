import { type Bridge, type BridgeEnd, bridgeWords, chordMidi, findBridges, type Naming, nameChord, smoothnessWord } from '@aurora/core';
import { Popover } from 'radix-ui';
import { endsOf, withEntry } from '../../../document/evening-view.ts';
import type { Tonight } from '../../../document/use-evening.ts';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { useNaming } from '../../../session/lens.ts';
import { play } from '../../../transport/player.ts';
import { Button } from '../../../ui/Button.tsx';
import { Hint } from '../../../ui/Hint.tsx';
import { HearIcon, StraightOnIcon } from '../../../ui/icons.ts';
import { BAND_WORDS } from '../../../wording/band.ts';

const BRIDGE_NAMES: Readonly<Record<Bridge['kind'], string>> = {
  dominant: BAND_WORDS.dominant,
  'two-five': BAND_WORDS.twoAndFive,
  'tritone-substitute': BAND_WORDS.tritoneSubstitute,
  'diminished-approach': BAND_WORDS.diminishedFromBelow,
  pivot: BAND_WORDS.aChordOfBothKeys,
  direct: BAND_WORDS.straightIn,
};

/** Unseen between two rows until it is pointed at or tabbed to; nothing moves for it. */
const QUIET =
  'pointer-events-none absolute top-1/2 z-10 -translate-y-1/2 bg-raised! opacity-0 group-hover:pointer-events-auto group-hover:opacity-100 focus:opacity-100 aria-expanded:opacity-100';

interface JoinLineProps {
  readonly tonight: Tonight;
  readonly at: number;
  /** Whether a plain stop is left unsaid until somebody points at it or tabs to it. */
  readonly isQuiet: boolean;
}

/** How a song goes over into the next: a stop, or straight on over a bridge. */
export function JoinLine({ tonight, at, isQuiet }: JoinLineProps) {
  const { evening, desk } = tonight;
  const one = evening.entries[at];
  const ends = endsOf(evening, at);
  if (one === undefined || one.entry.kind === 'break' || ends === null) return null;
  const { join } = one.entry;
  const hides = isQuiet && join.kind === 'gap';
  const bridges = findBridges(ends.from, ends.to);
  const taken = join.kind === 'gap' ? undefined : bridges.find(({ kind }) => kind === join.bridge);
  const choose = (bridge: Bridge['kind'] | null) =>
    desk.change((body) =>
      withEntry(body, one.id, (entry) =>
        entry.kind === 'break' ? entry : { ...entry, join: bridge === null ? { kind: 'gap' } : { kind: 'bridge', bridge } },
      ),
    );
  return (
    <div className={`group flex items-center pl-[6.6rem] max-sm:pl-11 ${hides ? 'relative h-2.5' : ''}`}>
      {join.kind === 'bridge' && <span aria-hidden="true" className="-my-1 mr-2 h-9 w-[3px] rounded bg-accent" />}
      <Popover.Root>
        <Popover.Trigger asChild>
          <Button
            look="bare"
            className={`min-h-8! px-2! py-0! text-fine! ${join.kind === 'gap' ? 'text-quiet' : 'text-accent'} ${hides ? QUIET : ''}`}
          >
            {join.kind === 'gap' ? BAND_WORDS.thenAStop : <StraightOn taken={taken} />}
          </Button>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="start"
            collisionPadding={12}
            aria-label={BAND_WORDS.howGoesOverIntoWhatComes(one.name)}
            className="z-50 max-h-(--radix-popover-content-available-height) w-[min(34rem,94vw)] overflow-auto rounded-2xl border border-edge bg-raised p-3 shadow-lg"
          >
            <Ways ends={ends} bridges={bridges} taken={taken} stops={join.kind === 'gap'} onTake={choose} />
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
  );
}

/** That it goes straight on, and over which chords. */
function StraightOn({ taken }: { readonly taken: Bridge | undefined }) {
  const naming = useNaming();
  return (
    <>
      <StraightOnIcon size={15} aria-hidden="true" /> {BAND_WORDS.straightOn}
      {taken !== undefined && taken.chords.length > 0 && (
        <b className="music-glyph">
          {BAND_WORDS.over} <Glyphs text={chordsOf(taken, naming)} />
        </b>
      )}
    </>
  );
}

interface WaysProps {
  readonly ends: { readonly from: BridgeEnd; readonly to: BridgeEnd };
  readonly bridges: readonly Bridge[];
  readonly taken: Bridge | undefined;
  readonly stops: boolean;
  readonly onTake: (bridge: Bridge['kind'] | null) => void;
}

/** Every way into the next song, the smoothest first. */
function Ways({ ends, bridges, taken, stops, onTake }: WaysProps) {
  const naming = useNaming();
  return (
    <>
      <p className="px-2 pb-2 text-base text-quiet">
        {BAND_WORDS.from} <Glyphs text={nameChord(ends.from.chord, naming)} /> {BAND_WORDS.to}{' '}
        <Glyphs text={nameChord(ends.to.chord, naming)} />
        {BAND_WORDS.theSmoothestFirstWhatYouChoose}
      </p>
      <ul className="flex flex-col gap-1">
        <li>
          <Button aria-pressed={stops} onClick={() => onTake(null)} className="w-full justify-start! aria-pressed:border-accent">
            {BAND_WORDS.stopBetweenTheSongs}
          </Button>
        </li>
        {bridges.map((bridge) => (
          <BridgeRow
            key={bridge.kind}
            bridge={bridge}
            ends={ends}
            naming={naming}
            taken={bridge === taken}
            onTake={() => onTake(bridge.kind)}
          />
        ))}
      </ul>
    </>
  );
}

function chordsOf({ chords }: Bridge, naming: Naming): string {
  return chords.map((chord) => nameChord(chord, naming)).join(' ');
}

interface BridgeRowProps {
  readonly bridge: Bridge;
  readonly ends: { readonly from: BridgeEnd; readonly to: BridgeEnd };
  readonly naming: Naming;
  readonly taken: boolean;
  readonly onTake: () => void;
}

const HEAR_TEMPO = 96;
const LAST_BEATS = 3;

function BridgeRow({ bridge, ends: { from, to }, naming, taken, onTake }: BridgeRowProps) {
  const { kind, chords, beats, smoothness } = bridge;
  const hear = () => {
    const each = chords.length === 0 ? 2 : beats / chords.length;
    const steps = [
      { chord: from.chord, beats: 2 },
      ...chords.map((chord) => ({ chord, beats: each })),
      { chord: to.chord, beats: LAST_BEATS },
    ];
    void play(
      `bridge ${kind}`,
      steps.map((step) => ({ midi: chordMidi(step.chord), beats: step.beats })),
      HEAR_TEMPO,
    );
  };
  return (
    <li className="flex items-stretch gap-2">
      <button
        type="button"
        aria-pressed={taken}
        onClick={onTake}
        className="min-w-0 flex-1 rounded-lg border border-hairline px-3 py-2 text-left hover:border-accent aria-pressed:border-accent aria-pressed:bg-wash"
      >
        <span className="flex items-baseline gap-2">
          <b className="music-glyph font-numeral text-lead">
            <Glyphs text={chords.length === 0 ? '–' : chordsOf(bridge, naming)} />
          </b>
          <span className="font-semibold">{BRIDGE_NAMES[kind]}</span>
          <span className="ml-auto text-fine whitespace-nowrap text-quiet">
            {beats === 0 ? BAND_WORDS.noBeats : BAND_WORDS.beats(beats)} ·{' '}
            <span title={BAND_WORDS.of100(smoothness)}>{smoothnessWord(smoothness)}</span>
          </span>
        </span>
        <span className="mt-0.5 block text-fine text-quiet">
          <Glyphs text={bridgeWords(bridge, from, to, naming)} />
        </span>
      </button>
      <Hint text={BAND_WORDS.hear(BRIDGE_NAMES[kind])}>
        <Button aria-label={BAND_WORDS.hear(BRIDGE_NAMES[kind])} onClick={hear}>
          <HearIcon size={17} aria-hidden="true" /> {BAND_WORDS.hearWord}
        </Button>
      </Hint>
    </li>
  );
}
