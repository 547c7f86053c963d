import {
  type AskedDepth,
  depthStood,
  type Instrument,
  itemId,
  type Memory,
  type Pass,
  type Programme,
  parseNote,
  parseScale,
  remember,
} from '@aurora/core';
import type { PracticePass, PracticeSession, PracticeSettings } from '@aurora/wire';
import { useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { type PlayerAddress, type SettingsChange, usePasses, usePracticeSettings } from '../../api/practice.ts';
import { useBand } from '../../api/songs.ts';
import type { Outbox, Owner, Refused } from '../../document/outbox.ts';
import { keepSending, passesOutbox, sessionsOutbox } from '../../document/practice-outbox.ts';
import { usePlaying } from '../../session/playing.ts';
import { sayFault } from '../../ui/say.ts';
import type { Run, RunItem } from './session/session-run.ts';

/** A pass as it has just been played: what it is of is added here. */
export type Played = Partial<Omit<Pass, 'id' | 'at' | 'item' | 'night'>> & Pick<Pass, 'outcome'>;

export interface Practice {
  readonly player: PlayerAddress;
  readonly playerName: string;
  readonly instrument: Instrument;
  /** Everything known of what was played, sent or not. */
  readonly passes: readonly Pass[];
  readonly memories: ReadonlyMap<string, Memory>;
  readonly isKnown: boolean;
  readonly settings: PracticeSettings;
  /** Changes what is set; what is pressed before the player is known waits for them. */
  readonly change: (change: SettingsChange) => void;
  readonly programme: Programme | null;
  /** In what depth chords are asked: as it is set, else as far as the player is. */
  readonly depth: AskedDepth;
  /** How many passes wait on this device to be sent. */
  readonly waiting: number;
  /** Sessions of the log that wait on this device. */
  readonly notes: readonly PracticeSession[];
  /** What the server would not take. */
  readonly refused: RefusedWork;
  /** Keeps a pass, and gives its id; it is sent once it is released. */
  readonly record: (of: RunItem, played: Played) => string;
  /** A pass stands, and is sent; without an id all of them do. */
  readonly release: (passId?: string) => void;
  /** A pass was never played; false where it was sent already. */
  readonly takeBack: (passId: string) => boolean;
}

/** What was refused of a player's work, and what can be done about it. */
export interface RefusedWork {
  readonly passes: readonly Refused<PracticePass>[];
  readonly sessions: readonly Refused<PracticeSession>[];
  readonly sendAgain: () => void;
  readonly letGo: () => void;
}

/** What every part of the room is about. */
export interface PartProps {
  readonly practice: Practice;
}

/** What every item of a session is about. */
export interface ItemProps extends PartProps {
  readonly run: Run;
  readonly item: RunItem;
}

/** The practice of whoever sits at this device. */
export function usePractice(): Practice {
  const bandId = useBand().data?.id ?? '';
  const { practises: player, instrument } = usePlaying();
  const memberId = player?.id ?? '';
  const address = useMemo(() => ({ bandId, memberId }), [bandId, memberId]);
  const kept = usePasses(address);
  const { settings, change } = useSettings(address);
  const { waiting, refused: refusedPasses } = useOutbox(passesOutbox, address);
  const { waiting: notes, refused: refusedSessions } = useOutbox(sessionsOutbox, address);
  const keep = useKeeping(address);
  const [sentHere, setSentHere] = useState<readonly PracticePass[]>([]);
  const passes = useMemo(
    () => merged([...(kept.data ?? []), ...sentHere, ...refusedPasses.map(({ thing }) => thing), ...waiting]),
    [kept.data, sentHere, refusedPasses, waiting],
  );
  const { memories, depth } = useWorkedOut(passes, settings.depth);
  return {
    player: address,
    playerName: player?.name ?? '',
    instrument,
    passes,
    get memories() {
      return memories();
    },
    isKnown: kept.data !== undefined || kept.isError,
    settings,
    change,
    programme: useMemo(() => programmeOf(settings), [settings]),
    get depth() {
      return depth();
    },
    waiting: waiting.length + notes.length,
    notes,
    refused: {
      passes: refusedPasses,
      sessions: refusedSessions,
      sendAgain: () => {
        passesOutbox.sendAgain(address);
        sessionsOutbox.sendAgain(address);
      },
      letGo: () => {
        passesOutbox.letGo(address);
        sessionsOutbox.letGo(address);
      },
    },
    record: (of, played) => {
      const pass = newPass(of, played);
      // what is known goes on from here, whether it is sent now or later
      setSentHere((before) => [...before, pass]);
      keep(pass);
      return pass.id;
    },
    release: (passId) => passesOutbox.release(address, passId),
    takeBack: (passId) => {
      const isBack = passesOutbox.takeBack(address, passId);
      if (isBack) setSentHere((before) => before.filter(({ id }) => id !== passId));
      return isBack;
    },
  };
}

function useSettings(player: PlayerAddress): Pick<Practice, 'settings' | 'change'> {
  const { settings, isSomebody, change } = usePracticeSettings(player);
  const early = useRef<SettingsChange[]>([]);
  const make = (wish: SettingsChange) => change(wish, { onError: (error) => void sayFault(error.message) });
  const now = useRef(make);
  useEffect(() => {
    now.current = make;
    if (isSomebody) for (const wish of early.current.splice(0)) make(wish);
  });
  return { settings, change: (wish) => void (isSomebody ? now.current(wish) : early.current.push(wish)) };
}

/** What passes tell of a player; who only plays needs none of it. */
function useWorkedOut(passes: readonly Pass[], wished: AskedDepth | null) {
  return {
    memories: useMemo(() => later(() => remember(passes, Date.now())), [passes]),
    depth: useMemo(() => later(() => wished ?? depthStood(passes)), [passes, wished]),
  };
}

/** Worked out when it is first wanted, and once. */
function later<Value>(work: () => Value): () => Value {
  let known: { readonly value: Value } | null = null;
  return () => {
    known ??= { value: work() };
    return known.value;
  };
}

/** What waits on the device, and what was refused; sent from time to time as long as the room is open. */
function useOutbox<Thing extends { readonly id: string }>(box: Outbox<Thing>, owner: Owner) {
  const isKnown = owner.bandId !== '' && owner.memberId !== '';
  const text = useSyncExternalStore(box.subscribe, () =>
    JSON.stringify(isKnown ? { waiting: box.waiting(owner), refused: box.refused(owner) } : { waiting: [], refused: [] }),
  );
  useEffect(() => (isKnown ? keepSending(box, owner) : undefined), [box, owner, isKnown]);
  return useMemo(() => JSON.parse(text) as { readonly waiting: readonly Thing[]; readonly refused: readonly Refused<Thing>[] }, [text]);
}

/** Keeps a pass under its band and player. One that is played before the band is known waits for it. */
function useKeeping(owner: Owner): (pass: PracticePass) => void {
  const early = useRef<PracticePass[]>([]);
  useEffect(() => {
    if (owner.bandId !== '') for (const pass of early.current.splice(0)) passesOutbox.hold(owner, pass);
  }, [owner]);
  return (pass) => void (owner.bandId === '' ? early.current.push(pass) : passesOutbox.hold(owner, pass));
}

function newPass({ item, night }: RunItem, played: Played): PracticePass {
  const { outcome, stage = '', tempo = null, answeredIn = null, said = '', hidden = false, seconds = 0 } = played;
  return {
    id: crypto.randomUUID(),
    at: new Date().toISOString(),
    item: itemId(item),
    outcome,
    stage: stage.slice(0, MOST_STAGE),
    tempo,
    answeredMs: answeredIn === null ? null : Math.round(answeredIn),
    said: said.slice(0, MOST_SAID),
    hidden,
    seconds: Math.round(seconds * 10) / 10,
    night,
  };
}

const MOST_STAGE = 80;
const MOST_SAID = 200;

function merged(all: readonly PracticePass[]): readonly Pass[] {
  const byId = new Map(all.map((pass) => [pass.id, pass]));
  return [...byId.values()]
    .map(({ at, answeredMs, ...pass }): Pass => ({ ...pass, at: Date.parse(at), answeredIn: answeredMs }))
    .sort((a, b) => a.at - b.at);
}

function programmeOf({ programme }: PracticeSettings): Programme | null {
  if (programme === null) return null;
  const keys = programme.keys.flatMap(({ tonic, scale }) => {
    const [note, name] = [parseNote(tonic), parseScale(scale)];
    return note.ok && name.ok ? [{ tonic: note.value, scale: name.value }] : [];
  });
  return { keys, skipped: programme.skipped, since: Date.parse(programme.since) };
}

/** The passes of one item, oldest first. */
export function passesOf(passes: readonly Pass[], item: RunItem['item']): readonly Pass[] {
  const id = itemId(item);
  return passes.filter((pass) => pass.item === id);
}
