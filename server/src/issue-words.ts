import type { z } from 'zod';

type Issue = Parameters<z.core.$ZodErrorMap>[0];

const KINDS: Readonly<Partial<Record<string, string>>> = {
  string: 'this must be text',
  number: 'this must be a number',
  int: 'this must be a whole number',
  boolean: 'this must be true or false',
  array: 'this must be a list',
  object: 'this must be an object with fields of its own',
  record: 'this must be an object with fields of its own',
  null: 'this must be null',
};

const FORMATS: Readonly<Partial<Record<string, string>>> = {
  uuid: 'this must be an id, as the server gave it',
  datetime: 'this must be a time such as 2026-11-26T20:30:00Z',
};

/** What is wrong with a field that has no words of its own for it, in plain ones. */
export function issueWords(issue: Issue): string | undefined {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined ? 'this is missing' : KINDS[issue.expected];
    case 'invalid_value':
      return `this must be ${issue.values.map(String).join(' or ')}`;
    case 'too_big':
      return `this can be ${counted(Number(issue.maximum), issue.origin)} at most`;
    case 'too_small':
      return `this must be ${counted(Number(issue.minimum), issue.origin)} at least`;
    case 'invalid_format':
      return FORMATS[issue.format];
    default:
      return undefined;
  }
}

function counted(count: number, of: string): string {
  if (of === 'string') return count === 1 ? 'one letter' : `${count} letters`;
  if (of === 'array') return count === 1 ? 'one entry' : `${count} entries`;
  return String(count);
}
