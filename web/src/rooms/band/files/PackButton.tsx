import type { PackRequest } from '@aurora/wire';
import { usePartsPack } from '../../../api/jobs.ts';
import { Button } from '../../../ui/Button.tsx';
import { PartsIcon } from '../../../ui/icons.ts';
import { BAND_WORDS } from '../../../wording/band.ts';
import { WorkLine } from './WorkLine.tsx';

interface PackButtonProps {
  readonly wish: PackRequest;
  /** Beside other buttons it says less on narrow screens. */
  readonly isShort?: boolean;
}

/** A PDF for everyone, zipped: made on the server while one goes on. */
export function PackButton({ wish, isShort = false }: PackButtonProps) {
  const pack = usePartsPack();
  return (
    <div className="flex flex-wrap items-center gap-3">
      <Button aria-label={BAND_WORDS.partsForEveryone} onClick={() => pack.start(wish)} disabled={pack.state?.state === 'working'}>
        <PartsIcon size={17} aria-hidden="true" />
        <span className={isShort ? 'max-sm:hidden' : ''}>
          {BAND_WORDS.parts} <span className={isShort ? 'hidden 3xl:inline' : ''}>{BAND_WORDS.forEveryone}</span>
        </span>
      </Button>
      <WorkLine work={pack} what={BAND_WORDS.settingTheParts} fetch={BAND_WORDS.fetchTheParts} />
    </div>
  );
}
