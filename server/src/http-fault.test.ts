import { describe, expect, test } from '@jest/globals';
import { asHttpFault, HttpFault, problemOf } from './http-fault.ts';

describe('whatever is thrown becomes an answer', () => {
  test.each<[what: string, thrown: unknown, status: number]>([
    ['a known fault', new HttpFault('stale-save', 'newer'), 409],
    ['a refused connection', Object.assign(new Error('connect'), { code: 'ECONNREFUSED' }), 503],
    ['a database shutting down', Object.assign(new Error('terminating'), { code: '57P01' }), 503],
    ['a lost connection', Object.assign(new Error('x'), { code: '08006' }), 503],
    ['a pool that waits in vain', new Error('timeout exceeded when trying to connect'), 503],
    ['all addresses refused', new AggregateError([Object.assign(new Error('x'), { code: 'ECONNREFUSED' })]), 503],
    ['a body past the limit', { type: 'entity.too.large' }, 413],
    ['a broken body', { type: 'entity.parse.failed' }, 400],
    ['a charset nobody knows', { type: 'charset.unsupported' }, 400],
    ['a broken address', new URIError('malformed'), 404],
    ['a bug', new TypeError('oops'), 500],
    ['a string', 'oops', 500],
    ['nothing', undefined, 500],
  ])('%s: %#', (_, thrown, status) => {
    const problem = problemOf(asHttpFault(thrown));
    expect(problem.status).toBe(status);
    expect(problem.detail).not.toMatch(/oops|ECONN|entity/);
  });
});
