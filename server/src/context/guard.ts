import { isIP } from 'node:net';
import type { RequestHandler } from 'express';
import { HttpFault } from '../http-fault.ts';

/** What the house is called from outside, beside this machine's own names. */
export interface GuardSettings {
  /** Where the house stands, as people type it: `https://band.example`; null on a machine of one's own. */
  readonly publicUrl: string | null;
  /** Further names it answers to. */
  readonly hosts: readonly string[];
}

const WRITES = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);

/**
 * Refuses requests to a name that is not the house's, and writes that another site had a browser send.
 * An address in numbers is always answered: a name somebody else owns is what could be turned against us.
 */
export function guard({ publicUrl, hosts }: GuardSettings): RequestHandler {
  const known = new Set(
    ['localhost', ...hosts, ...(publicUrl === null ? [] : [new URL(publicUrl).hostname])].map((name) => name.toLowerCase()),
  );
  return (request, _response, next) => {
    const name = hostName(request.headers.host ?? '');
    if (name === null || (isIP(name.replaceAll(/[[\]]/g, '')) === 0 && !known.has(name)))
      throw new HttpFault('misdirected', 'This server does not answer to that name. Its own is set with PUBLIC_URL or ALLOWED_HOSTS.');
    if (WRITES.has(request.method) && isForeign(request.headers, publicUrl))
      throw new HttpFault('foreign', 'This was sent by another site; the server takes changes from its own pages alone.');
    next();
  };
}

function hostName(host: string): string | null {
  try {
    return host === '' ? null : new URL(`http://${host}`).hostname.toLowerCase();
  } catch {
    return null;
  }
}

/** Browsers say where a write comes from; programs say nothing, and carry no cookie somebody else could use. */
function isForeign(headers: { readonly [name: string]: string | string[] | undefined }, publicUrl: string | null): boolean {
  const { origin, host } = headers;
  if (typeof origin === 'string') return !(origin === publicUrl || hostOf(origin) === host);
  const site = headers['sec-fetch-site'];
  return typeof site === 'string' && site !== 'same-origin' && site !== 'none';
}

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}
