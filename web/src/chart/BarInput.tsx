import { parseNumberOrLetters } from '@aurora/core';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { closed, PAD, padWrites } from './bar-typing.ts';
import type { Typing } from './use-bar-editing.ts';

/** What leaving the input asks for: stay on the bar, go on, go back, or one more bar behind. */
export type After = 'stay' | 'next' | 'before';

interface BarInputProps {
  readonly typing: Typing;
  /** Writes it; the fault's words when it cannot be read. */
  readonly onCommit: (typed: string, after: After) => string | null;
  readonly onCancel: () => void;
}

/** A bar being typed where it stands: a chord, or several that share it. The pad under it writes with one press. */
export function BarInput({ typing, onCommit, onCancel }: BarInputProps) {
  const [text, setText] = useState(typing.begin);
  const [fault, setFault] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const field = input.current;
    if (field === null) return;
    field.focus();
    field.setSelectionRange(field.value.length, field.value.length);
    field.scrollIntoView({ block: 'nearest' });
  }, []);
  const commit = (after: After) => {
    const typed = closed(text);
    if (typed === '') onCancel();
    else setFault(onCommit(typed, after));
  };
  const put = (writes: string) => {
    const field = input.current;
    const [from, to] = [field?.selectionStart ?? text.length, field?.selectionEnd ?? text.length];
    setText(text.slice(0, from) + writes + text.slice(to));
    setFault(null);
    requestAnimationFrame(() => {
      field?.focus();
      field?.setSelectionRange(from + writes.length, from + writes.length);
    });
  };
  const onKey = (event: KeyboardEvent) => {
    const leave: Readonly<Record<string, () => void>> = {
      Enter: () => commit('stay'),
      Tab: () => commit(event.shiftKey ? 'before' : 'next'),
      Escape: onCancel,
    };
    const before = text.slice(0, input.current?.selectionStart ?? text.length);
    const writes = event.ctrlKey || event.metaKey || event.altKey ? null : padWrites(event.key, before);
    const action = leave[event.key] ?? (writes === null ? undefined : () => put(writes));
    if (action === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    action();
  };
  const typed = closed(text);
  return (
    <div className="relative flex min-h-[84px] flex-col border-l-2 border-accent bg-raised px-1.5 py-2">
      <input
        ref={input}
        aria-label={typing.isNew ? 'New bar' : `Bar ${typing.bar + 1}`}
        aria-invalid={fault !== null}
        value={text}
        spellCheck={false}
        autoCapitalize="off"
        autoComplete="off"
        onChange={(event) => {
          setText(event.target.value);
          setFault(null);
        }}
        onKeyDown={onKey}
        className="w-full min-w-0 rounded-md border-2 border-accent bg-sheet px-2 py-1 font-numeral text-2xl font-bold"
      />
      <p
        role={fault === null ? undefined : 'alert'}
        className={`mt-1 text-[13px] leading-tight ${fault === null ? 'text-quiet' : 'font-semibold text-alarm'}`}
      >
        {fault ?? (hasChord(typed) ? 'Tab: next bar · Enter: done' : 'degree, then quality: 6-, 57, b7')}
      </p>
      <fieldset
        aria-label="Write with one press"
        className="absolute top-full left-0 z-30 mt-1 flex w-[min(31rem,88vw)] flex-wrap gap-1 rounded-xl border border-edge bg-raised p-2 shadow-lg"
      >
        {[1, 2, 3, 4, 5, 6, 7].map((degree) => (
          <Pad key={degree} shows={String(degree)} says={`degree ${degree}`} hint="" onPress={() => put(String(degree))} />
        ))}
        {PAD.map(({ key, writes, shows, says }) => (
          <Pad key={key} shows={shows} says={says} hint={key === writes || key === shows ? '' : key} onPress={() => put(writes)} />
        ))}
        <Pad shows="next bar" says="next bar" hint="Tab" onPress={() => commit('next')} />
      </fieldset>
    </div>
  );
}

function hasChord(typed: string): boolean {
  const last = typed.split(/[\s(]+/).at(-1) ?? '';
  return parseNumberOrLetters(last.replace(/[<>!?.,)]/g, ''), 0).ok;
}

interface PadProps {
  readonly shows: string;
  readonly says: string;
  readonly hint: string;
  readonly onPress: () => void;
}

function Pad({ shows, says, hint, onPress }: PadProps) {
  return (
    <button
      type="button"
      // the input keeps the focus, so that a key may follow a press
      onPointerDown={(event) => event.preventDefault()}
      onClick={onPress}
      aria-label={says}
      tabIndex={-1}
      className="music-glyph flex min-h-11 min-w-11 items-center justify-center gap-1 rounded-lg border border-hairline px-2 text-[16px] font-bold hover:border-accent"
    >
      {shows}
      {hint !== '' && <span className="text-[11px] font-normal text-quiet">{hint}</span>}
    </button>
  );
}
