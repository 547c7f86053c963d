import { expect, test } from '@jest/globals';
import { z } from 'zod';
import { issueWords } from './issue-words.ts';

const said = (schema: z.ZodType, value: unknown) => schema.safeParse(value, { error: issueWords }).error?.issues[0]?.message;

test.each([
  [z.string(), undefined, 'this is missing'],
  [z.string(), 5, 'this must be text'],
  [z.number(), 'five', 'this must be a number'],
  [z.number().int(), 1.5, 'this must be a whole number'],
  [z.boolean(), 'yes', 'this must be true or false'],
  [z.array(z.string()), 'a', 'this must be a list'],
  [z.object({}), [], 'this must be an object with fields of its own'],
  [z.record(z.string(), z.number()), true, 'this must be an object with fields of its own'],
  [z.enum(['dim', '°']), 'o', 'this must be dim or °'],
  [z.string().max(80), 'x'.repeat(81), 'this can be 80 letters at most'],
  [z.string().min(1), '', 'this must be one letter at least'],
  [z.array(z.number()).max(3), [1, 2, 3, 4], 'this can be 3 entries at most'],
  [z.number().min(0), -1, 'this must be 0 at least'],
  [z.number().max(11), 12, 'this can be 11 at most'],
  [z.uuid(), 'mine', 'this must be an id, as the server gave it'],
  [z.iso.datetime(), 'yesterday', 'this must be a time such as 2026-11-26T20:30:00Z'],
] as const)('%# is said in plain words', (schema, value, words) => expect(said(schema, value)).toBe(words));

test('a field that has words of its own says those', () => {
  expect(said(z.number({ error: 'a capo sits at fret 0 to 11' }), 'x')).toBe('a capo sits at fret 0 to 11');
});
