import { type Evening, type NextUp, nameChord, nameKey, nextUp, type Reader, writtenChord, writtenKey } from '@aurora/core';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { useLens } from '../../session/lens.ts';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { STAND_WORDS } from '../../wording/stand.ts';

/** What comes after a song, as whoever reads has to know it. */
export interface NextSong {
  readonly title: string;
  /** Tonight's key as it is read; empty for a break. */
  readonly key: string;
  /** How it begins and what is to be done before: segue or stop, tempo, who counts in, another capo. */
  readonly facts: readonly string[];
}

/** What comes after the entry of an evening with this id; null after the last. */
export function useNextSong(evening: Evening, id: string): NextSong | null {
  const { reader, naming } = useLens();
  const at = evening.entries.findIndex((entry) => entry.id === id);
  const next = nextUp(evening, at);
  if (next === null) return null;
  const { entry, segue } = next;
  const capoIn = (one: NextUp['entry'] | undefined) => capoOf(one, reader.member?.id, reader.member?.reads.capo ?? reader.reader.capo);
  const [before, capo] = [capoIn(evening.entries[at]), capoIn(entry)];
  const eyes: Reader = { ...reader.reader, capo };
  const key = entry.song?.key;
  const chords = key === undefined ? [] : (segue ?? []).map((chord) => nameChord(writtenChord(eyes, chord, key), naming));
  return {
    title: entry.name,
    key: key === undefined ? '' : nameKey(writtenKey(eyes, key), naming),
    facts: [
      segue === null ? STAND_WORDS.stop : chords.length === 0 ? STAND_WORDS.segue : STAND_WORDS.segueVia(chords.join(' ')),
      entry.tempo === null ? '' : PARTS_WORDS.bpm(entry.tempo),
      entry.starts === '' ? '' : STAND_WORDS.countsIn(entry.starts),
      capo === before || key === undefined ? '' : capo === 0 ? STAND_WORDS.capoOff : STAND_WORDS.capoTo(capo),
    ].filter((fact) => fact !== ''),
  };
}

function capoOf(one: NextUp['entry'] | undefined, memberId: string | undefined, usual: number): number {
  return one?.entry.kind !== 'song' || memberId === undefined ? usual : (one.entry.capos[memberId] ?? usual);
}

/** At the foot, always in sight: what comes next, and in which key. */
export function NextLine({ next }: { readonly next: NextSong }) {
  return (
    <p className="flex min-w-0 items-baseline gap-2 text-base whitespace-nowrap" data-testid="stand-next">
      <span className="text-quiet">{STAND_WORDS.next}</span>
      <b className="truncate">{next.title}</b>
      <b className="music-glyph text-accent">
        <Glyphs text={next.key} />
      </b>
    </p>
  );
}

/** Room the card takes at the foot of a page, in pixels. */
export const CARD_ROOM = 108;

/** On the last page, where there is room under the music: all that has to be known before the next song. */
export function NextCard({ next }: { readonly next: NextSong }) {
  return (
    <section
      aria-label={STAND_WORDS.next}
      className="absolute right-3 bottom-3 left-3 ml-auto max-w-[560px] rounded-xl border-2 border-accent bg-raised px-4 py-2"
    >
      <p className="flex items-baseline gap-3 font-numeral text-head font-bold">
        <span className="text-base font-normal text-quiet">{STAND_WORDS.next}</span>
        <span className="min-w-0 truncate">{next.title}</span>
        <span className="music-glyph ml-auto text-accent">
          <Glyphs text={next.key} />
        </span>
      </p>
      <p className="music-glyph truncate text-lead">
        <Glyphs text={next.facts.join(' · ')} />
      </p>
    </section>
  );
}
