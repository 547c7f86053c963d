import { RHYTHMS, SCORE_FORMATS, TONE_KINDS } from '@aurora/core';
import { z } from 'zod';
import { words } from './band.ts';

const MOST_BAR = 10_000;
const place = { bar: z.number().int().min(0).max(MOST_BAR), beat: z.number().min(1).max(200) };
const at = z.object(place);

const said = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('border'), at, isBorder: z.boolean() }),
  z.object({ kind: z.literal('chord'), at, chord: words.min(1).max(40).describe('a plain symbol: F#dim7/C') }),
  z.object({
    kind: z.literal('tone'),
    note: z.object({ ...place, part: words.min(1).max(80), midi: z.number().int().min(0).max(127) }),
    tone: z.enum([...TONE_KINDS, 'chord']),
  }),
  z.object({ kind: z.literal('key'), at, key: words.min(1).max(60).describe('as in a chart’s head: Ebm') }),
  z.object({ kind: z.literal('pivot'), at }),
  z.object({ kind: z.literal('pedal'), at, isPedal: z.boolean() }),
]);

/** What a player says of a piece, with a print of the bar as it was then. */
const remembered = z.object({ said, print: words.max(20) });

const title = words.max(200);

/** What can be changed of a piece; its notes stay as they came. */
export const pieceWork = z.object({
  title,
  rhythm: z.enum(RHYTHMS),
  said: z.array(remembered).max(5000),
  songId: z.uuid().nullable().describe('the chart that was made of it'),
});

const head = {
  id: z.uuid(),
  title,
  by: z.string(),
  format: z.enum(SCORE_FORMATS),
  songId: z.uuid().nullable(),
  revision: z.number().int(),
  savedAt: z.string(),
};

export const piecesAnswer = z.object({ pieces: z.array(z.object(head)) }).meta({ id: 'Pieces' });

export const piece = z
  .object({ ...head, ...pieceWork.shape, data: z.string().describe('text, or base64 for mxl and midi') })
  .meta({ id: 'Piece' });

export const pieceCreateRequest = z
  .object({ title: title.default(''), format: z.enum(SCORE_FORMATS), data: z.string(), rhythm: z.enum(RHYTHMS).default('auto') })
  .meta({ id: 'PieceCreateRequest' });

export const pieceSaveRequest = pieceWork
  .extend({ baseRevision: z.number().int().min(1), data: z.string().optional().describe('new notes, in the piece’s format') })
  .meta({ id: 'PieceSaveRequest' });

export type Piece = z.infer<typeof piece>;
export type PieceHead = z.infer<typeof piecesAnswer>['pieces'][number];
export type PieceWork = z.infer<typeof pieceWork>;
export type PieceSaveRequest = z.infer<typeof pieceSaveRequest>;
export type RememberedSaid = z.infer<typeof remembered>;
