import {
  type AnswerForm,
  askQuestions,
  KINDS_OF_DEPTH,
  keyOfItem,
  type Mark,
  markAnswer,
  type Question,
  type QuestionKind,
} from '@aurora/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { play, stop } from '../../../transport/player.ts';
import type { ItemProps } from '../use-practice.ts';
import { isTypedWhole, isWhole, type PadPress, pressed } from './answer-text.ts';
import { countMark } from './given-marks.ts';
import { useSongLoops } from './use-song-loops.ts';

/** An answer that was given, and what came of it. */
interface Given {
  readonly mark: Mark;
  /** Whether the answer was only looked at: then the player says how it was. */
  readonly isShown: boolean;
}

export interface Asking {
  /** Null where nothing can be asked. */
  readonly question: Question | null;
  readonly text: string;
  readonly setText: (text: string) => void;
  readonly press: (press: PadPress) => void;
  readonly given: Given | null;
  readonly submit: () => void;
  /** Shows the answer to who has said it aloud. */
  readonly show: () => void;
  /** The player's own word, after the answer was shown. */
  readonly judge: (isRight: boolean) => void;
  /** The next question. */
  readonly goOn: () => void;
  readonly hear: () => void;
  /** Triads from here on, for who was asked deeper than they are. */
  readonly askTriads: () => void;
}

const DECK = 80;
const NO_LOOPS: readonly (readonly number[])[] = [];
const EAR_TEMPO = 84;

/** Asks one question after the other, and keeps every answer with the time it took. */
export function useAsking(props: ItemProps): Asking {
  const { practice, run, item } = props;
  const deck = useDeck(props);
  const [place, setPlace] = useState(0);
  const [text, setText] = useState('');
  const [given, setGiven] = useState<Given | null>(null);
  const asked = useRef(performance.now());
  const took = useRef(0);
  const question = deck[place % Math.max(1, deck.length)] ?? null;
  const hear = () => hearPrompt(question);
  useEffect(() => {
    asked.current = performance.now();
    if (question?.prompt.sounds !== undefined) hearPrompt(question);
    return stop;
  }, [question]);
  const kept = useRef('');
  const keep = (isRight: boolean, said: string) => {
    kept.current = practice.record(item, passOf(question, isRight, said, took.current));
  };
  const answer = (said: string) => {
    if (question === null || given !== null || said.trim() === '') return;
    const mark = markAnswer(question, said);
    took.current = performance.now() - asked.current;
    setGiven({ mark, isShown: false });
    if (!isAskedAgain(mark)) keep(mark.kind === 'right', said);
  };
  const goOn = () => {
    const isRight = given?.mark.kind === 'right';
    const again = given !== null && isAskedAgain(given.mark);
    setGiven(null);
    if (again) return;
    setText('');
    setPlace(place + 1);
    countMark(practice, run, kept.current, isRight ? 'right' : 'wrong');
  };
  return {
    question,
    text,
    ...writing({ as: given === null ? (question?.answer.as ?? null) : null, text, setText, answer }),
    given,
    submit: () => answer(text),
    show: () => {
      if (question === null || given !== null) return;
      took.current = performance.now() - asked.current;
      setGiven({ mark: { kind: 'right' }, isShown: true });
    },
    judge: (isRight) => {
      if (given?.isShown !== true) return;
      keep(isRight, '');
      setGiven({ mark: isRight ? { kind: 'right' } : { kind: 'wrong', wanted: question?.answer.accepted[0] ?? '' }, isShown: false });
    },
    goOn,
    hear,
    askTriads: () => {
      setGiven(null);
      setText('');
      askTriads(practice);
    },
  };
}

function askTriads({ change }: ItemProps['practice']): void {
  change((before) => ({ ...before, depth: 'triad' }));
}

/** What could not be read, and the triad of a seventh, is no answer yet: the same is asked once more. */
export function isAskedAgain({ kind }: Mark): boolean {
  return kind === 'unread' || kind === 'as-triad';
}

function hearPrompt(question: Question | null): void {
  const sounds = (question?.prompt.sounds ?? []).map(({ midi, beats }) => ({ midi, beats }));
  void play('ear', sounds, EAR_TEMPO);
}

/** An answer as it is kept; `took` is in milliseconds. */
function passOf(question: Question | null, isRight: boolean, said: string, took: number) {
  return {
    outcome: isRight ? ('right' as const) : ('wrong' as const),
    stage: question?.answer.accepted[0] ?? '',
    said: isRight ? '' : said,
    answeredIn: took,
    hidden: true,
    seconds: took / 1000,
  };
}

interface Writing {
  /** The form of the answer; null while none is taken. */
  readonly as: AnswerForm | null;
  readonly text: string;
  readonly setText: (text: string) => void;
  readonly answer: (text: string) => void;
}

/** An answer as it is typed or pressed; what is whole by itself is taken at once. */
function writing({ as, text, setText, answer }: Writing): Pick<Asking, 'setText' | 'press'> {
  return {
    setText: (next) => {
      setText(next);
      if (as !== null && isTypedWhole(as, next.trim())) answer(next);
    },
    press: (press) => {
      if (as === null) return;
      const next = pressed(as, text, press);
      setText(next);
      if (isWhole(as, press)) answer(next);
    },
  };
}

function useDeck({ practice, run, item }: ItemProps): readonly Question[] {
  const shared = useSongLoops();
  const loops = item.item.what === 'ear-loop' ? shared : NO_LOOPS;
  const { instrument, passes, settings } = practice;
  // the deck stands while it is asked, though passes come in meanwhile
  const seed = useRef(run.since + passes.length);
  const stood = useRef(practice.depth);
  const depth = item.depth ?? settings.depth ?? stood.current;
  return useMemo(() => {
    const key = keyOfItem(item.item);
    if (key === null) return [];
    const kind = item.item.what as QuestionKind;
    return askQuestions({
      kinds: [kind],
      keys: [key],
      depth: KINDS_OF_DEPTH.includes(kind) ? depth : null,
      count: DECK,
      seed: seed.current,
      tuning: instrument.tuning,
      capo: instrument.capo === 0 ? null : instrument.capo,
      loops,
    });
  }, [item, instrument, loops, depth]);
}
