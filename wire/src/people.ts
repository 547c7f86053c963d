import { z } from 'zod';
import { words } from './band.ts';

const role = z.enum(['leader', 'member', 'guest']).meta({ id: 'Role' });
const name = words.trim().min(1, { error: 'give a name' }).max(60, { error: 'a name has at most 60 letters' });
const email = z
  .email({ error: 'this is no e-mail address' })
  .max(254, { error: 'an e-mail address has at most 254 letters' })
  .meta({ format: 'email' });
const password = z
  .string()
  .min(10, { error: 'a password has at least 10 letters; a few words do well' })
  .max(200, { error: 'a password has at most 200 letters' });
/** What a link carries behind its `#`. */
export const linkToken = z.string().regex(/^[\w-]{20,100}$/, { error: 'this link is not whole: copy all of it' });

const bandSeat = z
  .object({
    id: z.string(),
    name: z.string(),
    role,
    memberId: z.string().describe('the player one is there'),
    playerName: z.string(),
    guestSet: z.string().nullable().describe('of a guest: the one set that may be read'),
    leavesAt: z.string().nullable().describe('when the band is deleted; null while nobody wants that'),
  })
  .meta({ id: 'BandSeat' });

/** Who one is on this device, and where one plays. */
export const me = z
  .object({
    person: z
      .object({
        id: z.string(),
        name: z.string(),
        email: z.string().nullable(),
        hasPassword: z.boolean(),
        leavesAt: z.string().nullable().describe('when the account is deleted; null while nobody wants that'),
      })
      .nullable()
      .describe('null where nobody is signed in'),
    deviceId: z.string().nullable(),
    bands: z.array(bandSeat),
    demo: z
      .array(z.object({ memberId: z.string(), name: z.string(), plays: z.string() }))
      .nullable()
      .describe('in the demo: the players one can be; null elsewhere'),
    mailbox: z.boolean().describe('whether mail is shown here instead of being sent'),
    isEmpty: z.boolean().describe('whether there is no band at all yet'),
  })
  .meta({ id: 'Me' });

export const meChange = z
  .object({
    name: name.optional(),
    email: email.nullable().optional().describe('a link is sent there first; null takes it away'),
    password: password.nullable().optional().describe('null takes it away'),
  })
  .meta({ id: 'MeChange' });

export const devicesAnswer = z
  .object({
    devices: z.array(
      z.object({ id: z.string(), name: z.string(), madeAt: z.string(), seenAt: z.string().describe('to the day'), isThis: z.boolean() }),
    ),
  })
  .meta({ id: 'Devices' });

export const signInRequest = z.object({ email, password: z.string().max(200) }).meta({ id: 'SignInRequest' });
export const mailLinkRequest = z.object({ email }).meta({ id: 'MailLinkRequest' });
export const openLinkRequest = z.object({ token: linkToken }).meta({ id: 'OpenLinkRequest' });
/** Sent whether or not anybody has that address. */
export const sentAnswer = z.object({ sent: z.boolean() }).meta({ id: 'Sent' });
export const doneAnswer = z.object({ done: z.boolean() }).meta({ id: 'Done' });
/** A link to be opened on another device, once and soon. */
export const linkAnswer = z.object({ token: z.string(), expiresAt: z.string() }).meta({ id: 'Link' });

export const invitationLook = z
  .object({
    band: z.string(),
    name: z.string().describe('who is invited'),
    role,
    set: z.string().nullable().describe('of a guest: the name of the set'),
    madeBy: z.string(),
    until: z.string().nullable().describe('of a guest: until when'),
  })
  .meta({ id: 'InvitationLook' });

export const beginRequest = z
  .object({ token: linkToken, band: name, name, plays: words.trim().max(60, { error: 'an instrument has at most 60 letters' }) })
  .meta({ id: 'BeginRequest' });
export const bandCreateRequest = beginRequest.omit({ token: true }).meta({ id: 'BandCreateRequest' });
export const bandChange = z.object({ name }).meta({ id: 'BandChange' });

export const peopleAnswer = z
  .object({
    people: z.array(
      z.object({
        memberId: z.string(),
        name: z.string(),
        role,
        isIn: z.boolean().describe('whether somebody has signed in as this player'),
        isYou: z.boolean(),
        guestUntil: z.string().nullable(),
      }),
    ),
    invitations: z.array(
      z.object({
        id: z.string(),
        memberId: z.string().nullable(),
        name: z.string(),
        role,
        madeBy: z.string(),
        madeAt: z.string(),
        expiresAt: z.string(),
      }),
    ),
  })
  .meta({ id: 'People' });

/** A player of the band, or a guest for one evening. */
export const invitationRequest = z
  .discriminatedUnion('role', [
    z.object({ role: z.literal('leader'), memberId: z.uuid() }),
    z.object({ role: z.literal('member'), memberId: z.uuid() }),
    z.object({ role: z.literal('guest'), name, setId: z.uuid(), until: z.iso.datetime({ error: 'until is a moment in time' }).optional() }),
  ])
  .meta({ id: 'InvitationRequest' });
export const invitation = z
  .object({ id: z.string(), token: z.string().describe('shown once: only its hash is kept'), expiresAt: z.string() })
  .meta({ id: 'Invitation' });

export const roleRequest = z.object({ role: z.enum(['leader', 'member']) }).meta({ id: 'RoleRequest' });

export const auditQuery = z.object({ before: z.iso.datetime().optional() });
export const auditAnswer = z
  .object({
    entries: z.array(z.object({ at: z.string(), who: z.string(), what: z.string(), about: z.string() })),
    next: z.string().nullable().describe('what the next page begins before; null on the last one'),
  })
  .meta({ id: 'Audit' });

export const mailboxAnswer = z
  .object({ mail: z.array(z.object({ id: z.string(), at: z.string(), to: z.string(), subject: z.string(), body: z.string() })) })
  .meta({ id: 'Mailbox' });
export const demoPlayerRequest = z.object({ memberId: z.uuid() }).meta({ id: 'DemoPlayerRequest' });

export type Me = z.infer<typeof me>;
export type BandSeat = z.infer<typeof bandSeat>;
export type MeChange = z.infer<typeof meChange>;
export type BandRole = z.infer<typeof role>;
export type People = z.infer<typeof peopleAnswer>;
export type Device = z.infer<typeof devicesAnswer>['devices'][number];
export type InvitationRequest = z.infer<typeof invitationRequest>;
export type Invitation = z.infer<typeof invitation>;
export type InvitationLook = z.infer<typeof invitationLook>;
export type AuditEntry = z.infer<typeof auditAnswer>['entries'][number];
