import { type Instrument, itemId, type Memory, type Pass, type Programme, parseNote, parseScale, remember } from '@aurora/core';
import type { PracticePass, PracticeSession, PracticeSettings } from '@aurora/wire';
import { useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { type PlayerAddress, type SettingsChange, usePasses, usePracticeSettings } from '../../api/practice.ts';
import { useBand } from '../../api/songs.ts';
import { keepSending, type Outbox, practiceOutbox } from '../../document/outbox.ts';
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
  /** How many passes wait on this device to be sent. */
  readonly waiting: number;
  /** Sessions of the log that wait on this device. */
  readonly notes: readonly PracticeSession[];
  readonly record: (of: RunItem, played: Played) => void;
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
  const { passes: box, sessions } = practiceOutbox(bandId);
  const waiting = useWaiting(box, memberId);
  const notes = useWaiting(sessions, memberId);
  const [sentHere, setSentHere] = useState<readonly PracticePass[]>([]);
  const passes = useMemo(() => merged([...(kept.data ?? []), ...sentHere, ...waiting]), [kept.data, sentHere, waiting]);
  // who only plays needs none of it
  const memories = useMemo(() => later(() => remember(passes, Date.now())), [passes]);
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
    waiting: waiting.length + notes.length,
    notes,
    record: (of, played) => {
      const pass = newPass(of, played);
      // what is known goes on from here, whether it is sent now or later
      setSentHere((before) => [...before, pass]);
      box.add(memberId, pass);
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

/** Worked out when it is first wanted, and once. */
function later<Value>(work: () => Value): () => Value {
  let known: { readonly value: Value } | null = null;
  return () => {
    known ??= { value: work() };
    return known.value;
  };
}

/** What waits on the device; sent from time to time as long as the room is open. */
function useWaiting<Thing extends { readonly id: string }>(box: Outbox<Thing>, memberId: string): readonly Thing[] {
  const text = useSyncExternalStore(box.subscribe, () => JSON.stringify(memberId === '' ? [] : box.waiting(memberId)));
  useEffect(() => (memberId === '' ? undefined : keepSending(box, memberId)), [box, memberId]);
  return useMemo(() => JSON.parse(text) as readonly Thing[], [text]);
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
