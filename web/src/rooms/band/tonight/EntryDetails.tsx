import type { SetBreakEntry, SetSongEntry } from '@aurora/wire';
import { withEntry } from '../../../document/evening-view.ts';
import type { Tonight } from '../../../document/use-evening.ts';
import { Button } from '../../../ui/Button.tsx';
import { Hint } from '../../../ui/Hint.tsx';
import { DeleteIcon } from '../../../ui/icons.ts';
import { NumberField } from '../../../ui/NumberField.tsx';
import { TextField } from '../../../ui/TextField.tsx';
import { BAND_WORDS } from '../../../wording/band.ts';
import { CapoPlans } from './CapoPlans.tsx';
import { SongTonight } from './SongTonight.tsx';

interface EntryDetailsProps {
  readonly tonight: Tonight;
  /** Place of the chosen entry; −1 for none. */
  readonly at: number;
  readonly onGone: () => void;
}

/** What is said about the chosen song or break tonight; nothing of it changes the song. */
export function EntryDetails({ tonight, at, onGone }: EntryDetailsProps) {
  const { desk, evening, state } = tonight;
  const one = evening.entries[at];
  const stored = state.body.entries.find(({ id }) => id === one?.id);
  if (one === undefined || stored === undefined)
    return (
      <aside aria-label={BAND_WORDS.tonightTitle} className="rounded-2xl border border-hairline p-4">
        <p className="text-base text-quiet">{BAND_WORDS.chooseASongToSayIn}</p>
        <CapoPlans tonight={tonight} />
      </aside>
    );
  const change = (next: Partial<SetSongEntry> | Partial<SetBreakEntry>) =>
    desk.change((body) => withEntry(body, stored.id, (entry) => ({ ...entry, ...next }) as typeof entry));
  const remove = () => {
    desk.change((body) => ({ ...body, entries: body.entries.filter(({ id }) => id !== stored.id) }));
    onGone();
  };
  return (
    <aside aria-label={BAND_WORDS.songTonight(one.name)} className="flex flex-col gap-3 rounded-2xl border border-hairline p-4">
      <div className="flex items-center gap-2">
        <h2 className="min-w-0 flex-1 truncate font-numeral text-lead font-bold">{one.name}</h2>
        <Hint text={BAND_WORDS.removeFromTheSet(one.name)}>
          <Button look="bare" aria-label={BAND_WORDS.removeFromTheSet(one.name)} onClick={remove}>
            <DeleteIcon size={18} aria-hidden="true" /> {BAND_WORDS.remove}
          </Button>
        </Hint>
      </div>
      {stored.kind === 'break' ? (
        <>
          <TextField label={BAND_WORDS.whatItIs} value={stored.name} most={80} onChange={(name) => change({ name })} />
          <NumberField
            label={BAND_WORDS.minutes}
            value={Math.round(stored.seconds / 60)}
            min={1}
            max={240}
            placeholder="15"
            onChange={(minutes) => minutes !== null && change({ seconds: minutes * 60 })}
          />
        </>
      ) : (
        <SongTonight tonight={tonight} at={at} stored={stored} onChange={change} />
      )}
    </aside>
  );
}
