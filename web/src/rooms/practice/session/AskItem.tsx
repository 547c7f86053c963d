import { answerWords, markWords, type Question, questionReason, questionWords } from '@aurora/core';
import { type FormEvent, useEffect, useRef } from 'react';
import { NeckBoard } from '../../../parts/neck/NeckBoard.tsx';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { useNaming } from '../../../session/lens.ts';
import { usePhone } from '../../../session/use-media.ts';
import { useShortcuts } from '../../../session/use-shortcuts.ts';
import { Button } from '../../../ui/Button.tsx';
import { ClearIcon, HearIcon } from '../../../ui/icons.ts';
import { SignButton } from '../../../ui/SignButton.tsx';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import type { ItemProps } from '../use-practice.ts';
import { AnswerPad, NeckPad } from './AnswerPad.tsx';
import { takenBack } from './answer-text.ts';
import { LastMark } from './LastMark.tsx';
import { turnRun } from './run-store.ts';
import { back, skipped } from './session-run.ts';
import { type Asking, isAskedAgain, useAsking } from './use-asking.ts';

const RIGHT_MS = 900;
const TRIADS = ['', 'm', 'dim', 'aug'];
const ALL_QUALITIES = [...TRIADS, 'maj7', '7', 'm7', 'm7b5', 'dim7', 'm(maj7)', 'maj7#5'];
const TRIAD_KINDS: readonly string[] = ['capo-sounds', 'capo-shape', 'capo-position', 'keys-with-chord'];

/** A question at a time: typed, pressed, tapped, or said aloud and looked up. */
export function AskItem(props: ItemProps) {
  const asking = useAsking(props);
  const { question, given } = asking;
  useGoingOn(asking);
  const pedal = useAskKeys(asking);
  if (question === null)
    return (
      <div className="flex flex-1 flex-col items-start gap-4 px-5 py-8">
        <p className="text-lead">{PRACTICE_WORDS.nothingToAsk}</p>
        <Button look="strong" onClick={() => turnRun((run) => skipped(run, Date.now()))}>
          {PRACTICE_WORDS.goOn}
        </Button>
      </div>
    );
  return (
    <>
      <div className="flex shrink-0 grow basis-auto flex-col justify-center px-5 py-3 phone:px-3">
        <Ask question={question} asking={asking} practice={props.practice} />
        {given !== null && <Verdict question={question} asking={asking} />}
      </div>
      <footer className="sticky bottom-0 flex shrink-0 flex-col gap-2 border-t border-hairline bg-ground px-5 py-3 phone:px-3 phone:py-2 lying:static">
        {given === null ? (
          <AnswerDesk question={question} asking={asking} practice={props.practice} onPedal={pedal} />
        ) : (
          <Onward asking={asking} />
        )}
        <LastMark practice={props.practice} />
      </footer>
    </>
  );
}

/** What was right goes on by itself; what was not waits until it was read. */
function useGoingOn({ given, goOn }: Asking): void {
  const latest = useRef(goOn);
  useEffect(() => {
    latest.current = goOn;
  });
  const isRight = given !== null && !given.isShown && given.mark.kind === 'right';
  useEffect(() => {
    if (!isRight) return;
    const timer = window.setTimeout(() => latest.current(), RIGHT_MS);
    return () => window.clearTimeout(timer);
  }, [isRight]);
}

/** The pedal, and the keys outside the line one types in. True where it was one of them. */
function useAskKeys({ given, show, judge, goOn }: Asking): (key: string) => boolean {
  const next = () => (given === null ? show() : given.isShown ? judge(true) : goOn());
  const miss = () => (given?.isShown === true ? judge(false) : given === null ? show() : goOn());
  useShortcuts({
    PageDown: next,
    ' ': next,
    Enter: next,
    PageUp: miss,
    y: () => judge(true),
    n: () => judge(false),
    '1': () => judge(true),
    '2': () => judge(false),
  });
  return (key) => {
    if (key === 'PageDown') next();
    else if (key === 'PageUp') miss();
    else return false;
    return true;
  };
}

function Ask({
  question,
  asking,
  practice,
}: {
  readonly question: Question;
  readonly asking: Asking;
  readonly practice: ItemProps['practice'];
}) {
  const naming = useNaming();
  const { sounds, shapes } = question.prompt;
  return (
    <div className="flex flex-col gap-3">
      <h2 className="music-glyph font-numeral text-great font-bold text-balance phone:text-numeral" aria-live="polite">
        <Glyphs text={questionWords(question, naming)} />
      </h2>
      {sounds !== undefined && (
        <Button look="strong" className="min-h-14! self-start text-lead!" onClick={asking.hear}>
          <HearIcon size={20} aria-hidden="true" /> {PRACTICE_WORDS.hearAgain}
        </Button>
      )}
      {shapes !== undefined && <Shapes shapes={shapes} practice={practice} />}
    </div>
  );
}

/** Two shapes, one over the other. */
function Shapes({
  shapes,
  practice: { instrument },
}: {
  readonly shapes: NonNullable<Question['prompt']['shapes']>;
  readonly practice: ItemProps['practice'];
}) {
  const high = Math.max(5, ...shapes.flat().filter((fret): fret is number => fret !== null)) + 1;
  return (
    <div className="grid gap-3 md:grid-cols-2">
      {shapes.map((frets, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: first and second
        <div key={at} className="overflow-x-auto rounded-xl border border-hairline bg-sheet px-2 py-1">
          <NeckBoard
            instrument={instrument}
            lastFret={high}
            dots={frets.flatMap((fret, place) => {
              const string = frets.length - place;
              if (fret === null) return [];
              const midi = (instrument.tuning[place] as number) + fret;
              return [{ string, fret, midi, root: false, label: '', name: PRACTICE_WORDS.place(string, fret) }];
            })}
            label={at === 0 ? PRACTICE_WORDS.before : PRACTICE_WORDS.after}
          />
        </div>
      ))}
    </div>
  );
}

/** With nothing typed yet the arrows walk through the session, as everywhere in it. */
function steps(key: string): boolean {
  const to = { ArrowRight: skipped, ArrowLeft: back }[key];
  if (to === undefined) return false;
  turnRun((run) => to(run, Date.now()));
  return true;
}

interface DeskProps {
  readonly question: Question;
  readonly asking: Asking;
  readonly practice: ItemProps['practice'];
  readonly onPedal: (key: string) => boolean;
}

function AnswerDesk({ question, asking, practice, onPedal }: DeskProps) {
  const naming = useNaming();
  const isPhone = usePhone();
  const { as } = question.answer;
  const { text, setText, submit, press, show } = asking;
  const field = useRef<HTMLInputElement>(null);
  const { id } = question;
  // biome-ignore lint/correctness/useExhaustiveDependencies: each question is answered where the one before was
  useEffect(() => {
    if (!isPhone) field.current?.focus();
  }, [id, isPhone]);
  const send = (event: FormEvent) => {
    event.preventDefault();
    submit();
  };
  return (
    <>
      <form onSubmit={send} className="flex flex-wrap items-center gap-2">
        <input
          // on a phone the pad answers, and no keyboard rises over it
          ref={field}
          value={text}
          inputMode={isPhone ? 'none' : 'text'}
          autoComplete="off"
          autoCapitalize="off"
          spellCheck={false}
          aria-label={PRACTICE_WORDS.yourAnswer}
          placeholder={PRACTICE_WORDS.forms[as]}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (onPedal(event.key) || (text === '' && steps(event.key))) event.preventDefault();
            // what is typed in holds on to Escape once; pressed again it leaves
            if (event.key === 'Escape') event.currentTarget.blur();
          }}
          className="min-h-14 min-w-0 flex-1 rounded-xl border-2 border-edge bg-raised px-4 text-head font-bold placeholder:text-lead placeholder:font-medium placeholder:text-quiet"
        />
        <SignButton name={PRACTICE_WORDS.takeBack} onClick={() => setText(takenBack(text))} disabled={text === ''}>
          <ClearIcon size={20} />
        </SignButton>
        <Button type="submit" look="strong" className="min-h-14! text-lead!" disabled={text.trim() === ''}>
          {PRACTICE_WORDS.sayIt}
        </Button>
        <Button className="min-h-14!" onClick={show}>
          {PRACTICE_WORDS.showMe}
        </Button>
      </form>
      {as === 'frets' && question.prompt.string !== undefined ? (
        <NeckPad
          instrument={practice.instrument}
          string={question.prompt.string}
          onPick={(fret) => press({ kind: 'fret', sign: String(fret) })}
        />
      ) : (
        <AnswerPad as={as} naming={naming} qualities={TRIAD_KINDS.includes(question.kind) ? TRIADS : ALL_QUALITIES} onPress={press} />
      )}
    </>
  );
}

function Verdict({ question, asking }: { readonly question: Question; readonly asking: Asking }) {
  const naming = useNaming();
  const { given } = asking;
  if (given === null) return null;
  const answer = answerWords(question.answer.accepted[0] ?? '');
  const isBad = !given.isShown && given.mark.kind !== 'right' && given.mark.kind !== 'as-triad';
  return (
    <div role="status" className="mt-4 flex flex-col gap-2">
      <p className={`music-glyph font-numeral text-numeral font-bold ${isBad ? 'text-alarm' : 'text-accent'}`}>
        <Glyphs text={given.isShown ? answer : markWords(given.mark, answer)} />
      </p>
      {(given.isShown || given.mark.kind !== 'right') && !isAskedAgain(given.mark) && (
        <p className="max-w-[60ch] text-lead">
          <Glyphs text={questionReason(question, naming)} />
        </p>
      )}
    </div>
  );
}

/** After the answer: how it was, for who said it aloud; otherwise on. */
function Onward({ asking: { given, judge, goOn, askTriads } }: { readonly asking: Asking }) {
  if (given?.isShown)
    return (
      <div role="group" aria-label={PRACTICE_WORDS.howDidItGo} className="grid grid-cols-2 gap-2">
        <Button look="strong" className="min-h-20! text-head!" onClick={() => judge(true)}>
          {PRACTICE_WORDS.iHadIt}
        </Button>
        <Button className="min-h-20! text-head!" onClick={() => judge(false)}>
          {PRACTICE_WORDS.iMissedIt}
        </Button>
      </div>
    );
  return (
    <div className="flex flex-col gap-2">
      <Button look="strong" className="min-h-20! text-head!" onClick={goOn}>
        {given !== null && isAskedAgain(given.mark) ? PRACTICE_WORDS.again : PRACTICE_WORDS.goOn}
      </Button>
      {given?.mark.kind === 'as-triad' && <Button onClick={askTriads}>{PRACTICE_WORDS.askTriads}</Button>}
    </div>
  );
}
