import type { ServerWork } from '../../../api/jobs.ts';
import { Button, buttonLook } from '../../../ui/Button.tsx';
import { FetchIcon } from '../../../ui/icons.ts';
import { BAND_WORDS } from '../../../wording/band.ts';

interface WorkLineProps {
  readonly work: Pick<ServerWork<never>, 'state' | 'fault' | 'file' | 'stop'>;
  /** What is being done, for as long as it is. */
  readonly what: string;
  /** What the finished file's link says. */
  readonly fetch: string;
}

/** How far work on the server is, with a way to stop it, and the way to what it made. */
export function WorkLine({ work: { state, fault, file, stop }, what, fetch }: WorkLineProps) {
  if (fault !== null)
    return (
      <p role="alert" className="font-semibold text-alarm">
        {fault}
      </p>
    );
  if (state === null) return null;
  if (state.state === 'working')
    return (
      <span className="flex items-center gap-3">
        <progress
          aria-label={what}
          max={Math.max(1, state.total)}
          value={state.done}
          className="h-2.5 w-44 overflow-hidden rounded-full accent-accent"
        />
        <span className="text-base text-quiet">
          {what}: {state.done} {BAND_WORDS.ofWordText} {state.total}
        </span>
        <Button look="bare" onClick={stop}>
          {BAND_WORDS.stop}
        </Button>
      </span>
    );
  return (
    <span className="flex flex-wrap items-center gap-3" role="status">
      {file !== null && (
        <a href={file} download className={buttonLook('strong')}>
          <FetchIcon size={17} aria-hidden="true" /> {fetch}
        </a>
      )}
      <span className={state.state === 'failed' ? 'font-semibold text-alarm' : 'text-base text-quiet'}>{state.says}</span>
    </span>
  );
}
