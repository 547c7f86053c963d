import { QRCodeSVG } from 'qrcode.react';
import { Button } from '../../ui/Button.tsx';
import { DuplicateIcon } from '../../ui/icons.ts';
import { sayDone } from '../../ui/say.ts';
import { PEOPLE_WORDS } from '../../wording/people.ts';
import { sayDay } from './say-day.ts';

interface LinkCardProps {
  readonly title: string;
  readonly path: '/join' | '/open' | '/read';
  readonly token: string;
  /** Null while it opens until it is taken back. */
  readonly expiresAt: string | null;
  readonly children: string;
}

/** A link to be sent, or pointed a camera at. */
export function LinkCard({ title, path, token, expiresAt, children }: LinkCardProps) {
  const link = `${window.location.origin}${path}#${token}`;
  const copy = () => void navigator.clipboard.writeText(link).then(() => sayDone(PEOPLE_WORDS.copied));
  return (
    <section aria-label={title} className="flex flex-wrap items-start gap-5 rounded-xl border border-accent bg-raised p-4">
      <div className="shrink-0 rounded-lg bg-white p-3">
        <QRCodeSVG value={link} size={168} title={title} />
      </div>
      <div className="flex min-w-60 flex-1 flex-col gap-2">
        <h3 className="text-lead font-bold">{title}</h3>
        <p className="text-base text-quiet">{children}</p>
        <input
          readOnly
          aria-label={title}
          value={link}
          onFocus={(event) => event.target.select()}
          className="min-h-11 w-full rounded-lg border border-edge bg-sheet px-3 text-base"
        />
        <div className="flex flex-wrap items-center gap-3">
          <Button look="strong" onClick={copy}>
            <DuplicateIcon size={17} aria-hidden="true" /> {PEOPLE_WORDS.copyTheLink}
          </Button>
          <span className="text-fine text-quiet">
            {expiresAt === null ? PEOPLE_WORDS.opensUntilTakenBack : PEOPLE_WORDS.opensUntil(sayDay(expiresAt))}
          </span>
        </div>
      </div>
    </section>
  );
}
