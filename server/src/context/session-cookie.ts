import { parse } from 'cookie';
import type { Request, Response } from 'express';

/** Over TLS the name itself keeps other hosts and plain connections from setting it. */
const nameFor = ({ secure }: Request) => (secure ? '__Host-aurora' : 'aurora');
const DAY_S = 86_400;
/** A device that was not opened for so long is forgotten. */
export const DEVICE_DAYS = 180;

/** What the device shows; null when it shows nothing. */
export function shownToken(request: Request): string | null {
  return parse(request.headers.cookie ?? '')[nameFor(request)] ?? null;
}

/** Has the device show this from now on. */
export function giveToken(request: Request, response: Response, token: string): void {
  setCookie(request, response, token, DEVICE_DAYS * DAY_S);
}

/** Has the device show nothing any more. */
export function takeToken(request: Request, response: Response): void {
  setCookie(request, response, '', 0);
}

function setCookie(request: Request, response: Response, value: string, seconds: number): void {
  const { secure } = request;
  response.cookie(nameFor(request), value, { httpOnly: true, sameSite: 'lax', path: '/', secure, maxAge: seconds * 1000 });
}
