/** A link that was just made: it is shown once. */
export interface MadeLink {
  readonly name: string;
  readonly token: string;
  readonly expiresAt: string;
}
