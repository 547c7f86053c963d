import { GAP_SECONDS, setWarningWords } from '@aurora/core';
import type { SetList } from '@aurora/wire';
import { type ComponentProps, lazy, Suspense, useState } from 'react';
import { useNavigate } from 'react-router';
import { useMembers } from '../../../api/members.ts';
import { useSetChanges } from '../../../api/sets.ts';
import { type Tonight, useTonightSet } from '../../../document/use-evening.ts';
import { useOpensTonight, useTonightsSong } from '../../../parts/evening/tonights-song.ts';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { useNaming } from '../../../session/lens.ts';
import { lensLink } from '../../../session/lens-store.ts';
import { useTonight } from '../../../session/tonight-store.ts';
import { useShortcuts } from '../../../session/use-shortcuts.ts';
import { Button } from '../../../ui/Button.tsx';
import { AddIcon, BreakIcon, PrintIcon, RedoIcon, SendIcon, StandIcon, UndoIcon, WarningIcon } from '../../../ui/icons.ts';
import { Notice } from '../../../ui/Notice.tsx';
import { SignButton } from '../../../ui/SignButton.tsx';
import { InSlot } from '../../../ui/Slot.tsx';
import { sayFault } from '../../../ui/say.ts';
import { SignItem, WordMenu } from '../../../ui/WordMenu.tsx';
import { BAND_WORDS } from '../../../wording/band.ts';
import { PackButton } from '../files/PackButton.tsx';
import { AddSongs } from './AddSongs.tsx';
import { EntryDetails } from './EntryDetails.tsx';
import { SetConflict } from './SetConflict.tsx';
import { SetHead } from './SetHead.tsx';
import { SetOrder } from './SetOrder.tsx';
import { SetSheet } from './SetSheet.tsx';

// wanted by few
const SendSheet = lazy(() => import('../../../parts/people/SendSheet.tsx'));
const SetPaper = lazy(() => import('./SetPaper.tsx'));

/** The evening: what is played, in which order and keys, and how one song goes over into the next. */
export function TonightPart() {
  const { tonight, waiting, fault } = useTonightSet();
  const { add } = useSetChanges();
  const { open } = useTonight();
  const [begun, setBegun] = useState<string | null>(null);
  const opened = ({ id }: SetList) => {
    setBegun(id);
    open(id);
  };
  const begin = () =>
    add.mutate(
      { name: BAND_WORDS.newSet, place: '', startsAt: '', date: '', gapSeconds: GAP_SECONDS, entries: [] },
      { onSuccess: opened, onError: (error) => void sayFault(error.message) },
    );
  if (fault !== null) return <p className="py-6 text-alarm">{fault}</p>;
  if (waiting) return <p className="py-6 text-quiet">{BAND_WORDS.fetchingTheSet}</p>;
  if (tonight === null)
    return (
      <Notice
        title={BAND_WORDS.noSetYet}
        action={
          <Button look="strong" onClick={begin}>
            {BAND_WORDS.newSet}
          </Button>
        }
      >
        <p>{BAND_WORDS.aSetIsTheOrderOf}</p>
      </Notice>
    );
  return <TonightDesk tonight={tonight} isNew={tonight.setId === begun} onNew={begin} />;
}

const BREAK_SECONDS = 900;

function TonightDesk({ tonight, isNew, onNew }: ComponentProps<typeof SetHead>) {
  const { desk, state, evening } = tonight;
  const [chosen, setChosen] = useState<string | null>(null);
  const [open, setOpen] = useState<'songs' | 'print' | 'send' | null>(null);
  const at = evening.entries.findIndex(({ id }) => id === chosen);
  // the key over the room is that of the chosen entry, and rests without one
  useOpensTonight(useTonightsSong(tonight, ({ id }) => id === chosen));
  useShortcuts({ 'Ctrl+z': desk.undo, 'Ctrl+y': desk.redo, 'Ctrl+Z': desk.redo });
  const addBreak = () => {
    const id = crypto.randomUUID();
    desk.change((body) => ({ ...body, entries: [...body.entries, { kind: 'break', id, name: BAND_WORDS.break, seconds: BREAK_SECONDS }] }));
    setChosen(id);
  };
  return (
    <div className="flex flex-col gap-2">
      {state.status.kind === 'conflict' && <SetConflict tonight={tonight} />}
      <SetHead tonight={tonight} isNew={isNew} onNew={onNew} />
      <InSlot name="tools">
        <Button look="strong" className="px-3!" onClick={() => setOpen('songs')}>
          <AddIcon size={18} aria-hidden="true" /> {BAND_WORDS.songs}
        </Button>
        <Button look="bare" className="px-2.5!" onClick={addBreak}>
          <BreakIcon size={18} aria-hidden="true" /> {BAND_WORDS.break}
        </Button>
        <SignButton name={BAND_WORDS.undo} keys="Ctrl Z" disabled={!state.canUndo} onClick={desk.undo}>
          <UndoIcon size={18} />
        </SignButton>
        <SignButton name={BAND_WORDS.redo} keys="Ctrl Y" disabled={!state.canRedo} onClick={desk.redo}>
          <RedoIcon size={18} />
        </SignButton>
        {evening.entries.length > 0 && <ShareMenu onSend={() => setOpen('send')} onPrint={() => setOpen('print')} />}
        <PackButton isShort wish={{ of: 'set', setId: tonight.setId, paper: 'A4' }} />
      </InSlot>
      <Warnings tonight={tonight} />
      {evening.entries.length === 0 ? (
        <Notice title={BAND_WORDS.anEmptyEvening}>
          <p>{BAND_WORDS.pressSongsAndTakeWhatYou}</p>
        </Notice>
      ) : (
        <div className="grid items-start gap-5 lg:grid-cols-[1fr_21rem]">
          <SetOrder tonight={tonight} chosen={chosen} onChoose={setChosen} />
          <EntryDetails tonight={tonight} at={at} onGone={() => setChosen(null)} />
        </div>
      )}
      {open === 'songs' && <AddSongs desk={desk} onClose={() => setOpen(null)} />}
      <Suspense>{evening.entries.length > 0 && <SetPaper evening={evening} />}</Suspense>
      {open === 'send' && (
        <Suspense>
          <SendSheet name={state.body.name} sent={{ what: 'set', setId: tonight.setId }} onClose={() => setOpen(null)} />
        </Suspense>
      )}
      {open === 'print' && <SetSheet evening={evening} onClose={() => setOpen(null)} />}
    </div>
  );
}

/** Where a set goes: to somebody’s phone, on the stand, on paper. */
function ShareMenu({ onSend, onPrint }: { readonly onSend: () => void; readonly onPrint: () => void }) {
  const navigate = useNavigate();
  return (
    <WordMenu label={BAND_WORDS.share}>
      <SignItem icon={SendIcon} label={BAND_WORDS.sendThisSet} onPress={onSend} />
      <SignItem icon={StandIcon} label={BAND_WORDS.onTheStand} onPress={() => void navigate(lensLink('/band/stand'))} />
      <SignItem icon={PrintIcon} label={BAND_WORDS.print} onPress={onPrint} />
    </WordMenu>
  );
}

/** What the band should know before it plays the set in this order. */
function Warnings({ tonight: { warnings, evening } }: { readonly tonight: Tonight }) {
  const naming = useNaming();
  const members = useMembers() ?? [];
  if (warnings.length === 0) return null;
  const nameOf = (id: string) => members.find((member) => member.id === id)?.name ?? BAND_WORDS.somebody;
  const titleOf = (at: number) => evening.entries[at]?.name ?? '';
  return (
    <ul aria-label={BAND_WORDS.whatToLookOutFor} className="flex flex-col gap-1 rounded-xl bg-caution px-4 py-2 text-on-caution">
      {warnings.map((warning) => {
        const words = setWarningWords(warning, titleOf, nameOf, naming);
        return (
          <li key={words} className="flex items-center gap-2.5 text-base">
            <WarningIcon size={17} aria-hidden="true" className="shrink-0" />
            <span>
              <Glyphs text={words} />
            </span>
          </li>
        );
      })}
    </ul>
  );
}
