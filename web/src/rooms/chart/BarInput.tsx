import { parseNumberOrLetters } from '@aurora/core';
import { type KeyboardEvent, type RefObject, useEffect, useImperativeHandle, useRef, useState } from 'react';
import { closed, padWrites } from './bar-typing.ts';
import type { Typing } from './use-bar-editing.ts';

/** What leaving the input asks for: stay on the bar, go on, go back. */
export type After = 'stay' | 'next' | 'before';

/** What the pad asks of the bar being typed. */
export interface BarInputHandle {
  readonly put: (writes: string) => void;
  readonly commit: (after: After) => void;
}

interface BarInputProps {
  readonly typing: Typing;
  /** Writes it; the fault's words when it cannot be read. */
  readonly onCommit: (typed: string, after: After) => string | null;
  readonly onCancel: () => void;
  readonly handle: RefObject<BarInputHandle | null>;
}

/** A bar being typed where it stands: a chord, or several that share it. */
export function BarInput({ typing, onCommit, onCancel, handle }: BarInputProps) {
  const [text, setText] = useState(typing.begin);
  const [fault, setFault] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const field = input.current;
    field?.focus();
    field?.setSelectionRange(field.value.length, field.value.length);
    field?.scrollIntoView({ block: 'nearest' });
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
  useImperativeHandle(handle, () => ({ put, commit }));
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
  return (
    <div className="flex min-h-[84px] flex-col border-l-2 border-accent bg-raised px-1.5 py-2">
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
        {fault ?? (hasChord(closed(text)) ? 'Tab: next bar' : 'a degree, then its quality')}
      </p>
    </div>
  );
}

function hasChord(typed: string): boolean {
  const last = typed.split(/[\s(]+/).at(-1) ?? '';
  return parseNumberOrLetters(last.replace(/[<>!?.,)]/g, ''), 0).ok;
}
