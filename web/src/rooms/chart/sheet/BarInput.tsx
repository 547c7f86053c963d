import { parseNumberOrLetters } from '@aurora/core';
import { useLayoutEffect, useRef } from 'react';
import { usePhone } from '../../../session/use-media.ts';
import { CHART_WORDS } from '../../../wording/chart.ts';
import { chartText, closed, type Typing } from './bar-typing.ts';
import type { SheetInput } from './sheet-input.ts';
import { followCaret } from './use-sheet-input.ts';

/** A bar being typed where it stands: a chord, or several that share it. */
export function BarInput({ typing, input }: { readonly typing: Typing; readonly input: SheetInput }) {
  const { text, caret, whole, bar, isNew } = typing;
  const isPhone = usePhone();
  const field = useRef<HTMLInputElement>(null);
  const place = `${bar} ${isNew}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: another bar takes the focus again
  useLayoutEffect(() => {
    field.current?.focus({ preventScroll: true });
    field.current?.scrollIntoView({ block: 'nearest' });
  }, [place]);
  useLayoutEffect(() => {
    const [from, to] = whole ? [0, text.length] : [caret, caret];
    if (field.current?.selectionStart !== from || field.current.selectionEnd !== to) field.current?.setSelectionRange(from, to);
  }, [text, caret, whole]);
  return (
    <div className="row-span-2 flex min-h-[84px] flex-col border-l-2 border-accent bg-raised px-1.5 py-2">
      <input
        ref={field}
        data-typing
        aria-label={isNew ? CHART_WORDS.newBar : CHART_WORDS.barNumbered(bar + 1)}
        value={text}
        // on a phone the pad writes; its own keyboard would cover the sheet
        inputMode={isPhone ? 'none' : undefined}
        spellCheck={false}
        autoCapitalize="off"
        autoComplete="off"
        onChange={({ target }) => input.field(target.value, target.selectionStart ?? target.value.length)}
        onSelect={({ currentTarget }) => followCaret(currentTarget, input)}
        className="w-full min-w-0 rounded-md border-2 border-accent bg-sheet px-2 py-1 font-numeral text-head font-bold"
      />
      <p className="mt-1 text-fine leading-tight text-quiet">{hintOf(typing, input, isPhone)}</p>
    </div>
  );
}

/** What happens next, in the words of the keys, or of the pad under the thumb. */
function hintOf(typing: Typing, input: SheetInput, isPhone: boolean): string {
  const { text, whole, isNew } = typing;
  const meant = input.meant(typing);
  if (whole) return isPhone ? CHART_WORDS.tapOverIt : CHART_WORDS.typeOverItEnterToEdit;
  const charted = input.charted(typing);
  if (charted !== null) return CHART_WORDS.inThisKeyThatIs(chartText(charted.asCharted));
  if (meant !== closed(text)) return CHART_WORDS.writes(meant.replaceAll('-', '–'));
  if (hasChord(meant)) return isPhone ? CHART_WORDS.arrowNextBar : CHART_WORDS.tabNextBar;
  if (isPhone) return CHART_WORDS.aDegreeThenItsQuality;
  return isNew ? CHART_WORDS.aDegreeThenItsQualityEsc : CHART_WORDS.aDegreeThenItsQuality;
}

function hasChord(typed: string): boolean {
  const last = typed.split(/[\s(]+/).at(-1) ?? '';
  return parseNumberOrLetters(last.replace(/[<>!?.,)]/g, ''), 0).ok;
}
