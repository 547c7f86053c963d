import type { Request } from 'express';
import { HttpFault } from '../http-fault.ts';
import type { Post } from '../mail/post.ts';
import { addLink } from './link-store.ts';
import type { PeopleDeps } from './people-deps.ts';

const MAIL_LINK_MINUTES = 30;

/** The address is kept once a link sent there has been opened. */
export async function confirmEmail(deps: PeopleDeps, account: string, email: string, request: Request): Promise<void> {
  const { house, publicUrl } = deps;
  const post = posting(deps);
  const { token } = await addLink(house, { purpose: 'email', account, email, minutes: MAIL_LINK_MINUTES });
  await post({
    to: email,
    subject: 'Is this your address?',
    body: `Open this link to have your lost-phone mail sent here. It opens once, within ${MAIL_LINK_MINUTES} minutes:\n\n${linkTo(publicUrl, request, token)}\n\nIf you did not ask for it, do nothing.\n`,
  });
}

/** Sends a way back in to an address whose account it is. */
export async function sendWayBack(deps: PeopleDeps, account: string, email: string, request: Request): Promise<void> {
  const post = posting(deps);
  const { token } = await addLink(deps.house, { purpose: 'sign-in', account, email, minutes: MAIL_LINK_MINUTES });
  const link = linkTo(deps.publicUrl, request, token);
  const body = `Open this link on your new device. It opens once, within ${MAIL_LINK_MINUTES} minutes:\n\n${link}\n\nAfterwards remove the lost device under You and your devices. If you did not ask for this, do nothing.\n`;
  await post({ to: email, subject: 'Your way back in', body });
}

/**
 * How mail is sent here.
 * @throws HttpFault where none is.
 */
export function posting({ post }: PeopleDeps): Post {
  if (post !== null) return post;
  throw new HttpFault('invalid', 'This server sends no mail. The leader of your band can make you a new link.');
}

/** Behind the `#` a token is sent to no server and stands in no log. */
function linkTo(publicUrl: string | null, request: Request, token: string): string {
  return `${publicUrl ?? `${request.protocol}://${request.get('Host')}`}/open#${token}`;
}
