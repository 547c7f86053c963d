import type { ChartReading } from '../chart/reading.ts';
import type { CUE_WISHES } from '../choices.ts';
import type { Naming } from '../naming/naming.ts';
import type { Drawing } from '../notation/drawing.ts';
import type { Paper } from '../notation/study-sheet.ts';
import type { Note } from '../pitch/note.ts';
import { type Reader, writtenKey } from '../reader/reader.ts';
import { chartPages, type PageSize } from './chart-pages.ts';
import { chartPart } from './chart-part.ts';
import type { ChordShow, PartKind, ProjectionLens } from './projection.ts';

/** Somebody in the band, and how they like to read. */
export interface PartReader {
  readonly name: string;
  /** What they play, in words; cues go by it. */
  readonly plays: string;
  readonly reader: Reader;
  readonly show: ChordShow;
  readonly kind: PartKind;
  readonly size: PageSize;
  /** Lyrics under the bars. */
  readonly words: boolean;
  readonly cues: (typeof CUE_WISHES)[number];
  readonly naming: Naming;
}

/** A song as it is played tonight. */
export interface TonightSong {
  readonly reading: ChartReading;
  /** The home tonic that sounds. */
  readonly tonic: Note;
  /** What is said about it tonight: who counts in, notes. */
  readonly tonight: string;
  /** Bars of the song itself, where a bridge to the next one follows. */
  readonly ownBars?: number;
}

/** The pages of one player's part: transposed, in the player's own school, with the cues that are theirs. */
export function partPages({ reading, tonic, tonight, ownBars }: TonightSong, who: PartReader, paper: Paper): readonly Drawing[] {
  const foot = [`Aurora Ridge · ${who.name}`, who.plays].filter((word) => word !== '').join(', ');
  const lens = { ...lensOf(who, reading, tonic), ...(ownBars === undefined ? {} : { ownBars }) };
  return chartPages(chartPart(reading, { ...lens, capo: who.reader.capo, tonight, foot }), paper, who.size);
}

function lensOf(who: PartReader, reading: Pick<ChartReading, 'head'>, tonic: Note): ProjectionLens {
  const { reader, naming, show, kind, words } = who;
  return lensOn(reader, { naming, show, kind, words, cuesFor: cueNames(who) }, reading, tonic);
}

/** How a reader sees a chart that sounds with its home on `tonic`: on the screen as on paper. */
export function lensOn(
  reader: Reader,
  look: Omit<ProjectionLens, 'sounding' | 'written'>,
  { head }: Pick<ChartReading, 'head'>,
  tonic: Note,
): ProjectionLens {
  return { ...look, sounding: tonic, written: writtenKey(reader, { tonic, scale: head.key.scale }).tonic };
}

/** The names whose cues somebody wants to see, for `isFor`: null for every cue, none for no cue. */
export function cueNames({ cues, name, plays }: Pick<PartReader, 'cues' | 'name' | 'plays'>): readonly string[] | null {
  if (cues === 'all') return null;
  return cues === 'own' ? [name, ...instrumentNames(plays)] : [];
}

const HORNS = /sax|trumpet|trombone|cornet|flugel|tuba|horn|clarinet/i;

/** An instrument with what cues may call it: a saxophone is a horn too. */
function instrumentNames(plays: string): readonly string[] {
  return HORNS.test(plays) ? [plays, 'horns'] : [plays];
}
