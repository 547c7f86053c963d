import type { Reduction } from '@aurora/core';
import { useEffect, useRef } from 'react';
import { useEngraving } from '../../../parts/score/use-score.ts';
import { usePhone } from '../../../session/use-media.ts';
import { useInnerWidth } from '../../../ui/use-width.ts';
import { SCORE_WORDS } from '../../../wording/score.ts';
import { markColumn, markTones, pressedIn } from './engraved-marks.ts';

interface EngravedScoreProps {
  readonly reduction: Reduction;
  readonly xml: string;
  /** The column that is looked at. */
  readonly chosen: number;
  readonly onColumn: (index: number) => void;
  readonly onNote: (index: number) => void;
}

const USUAL_WIDTH = 1000;
const STEP = 20;

/** The piece in print with its reduction under it; notes outside their chords are marked, and pressed to be looked at. */
export function EngravedScore({ reduction, xml, chosen, onColumn, onNote }: EngravedScoreProps) {
  const frame = useRef<HTMLDivElement>(null);
  const isPhone = usePhone();
  const width = Math.floor(useInnerWidth(frame, USUAL_WIDTH) / STEP) * STEP;
  const { data: pages, isPending, isError } = useEngraving(xml, width, isPhone ? 30 : 38);
  const press = (target: EventTarget | null) => {
    const pressed = pressedIn(target, reduction.score);
    if (pressed === null) return;
    if ('column' in pressed) onColumn(pressed.column);
    else onNote(pressed.note);
  };
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents lint/a11y/noStaticElementInteractions: the columns below are the way by keyboard
    <div ref={frame} className="engraved min-h-64 rounded-xl border border-hairline bg-sheet px-2" onClick={({ target }) => press(target)}>
      {isPending && (
        <p role="status" className="p-4 text-quiet">
          {SCORE_WORDS.engravingTheScore}
        </p>
      )}
      {isError && (
        <p role="alert" className="p-4">
          {SCORE_WORDS.theScoreCannotBeEngraved}
        </p>
      )}
      {pages?.map((svg, place) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: pages have no name but their place
        <Page key={place} svg={svg} place={place + 1} reduction={reduction} chosen={chosen} />
      ))}
    </div>
  );
}

interface PageProps {
  readonly svg: string;
  readonly place: number;
  readonly reduction: Reduction;
  readonly chosen: number;
}

function Page({ svg, place, reduction, chosen }: PageProps) {
  const holder = useRef<HTMLDivElement>(null);
  useEffect(() => {
    holder.current?.replaceChildren(pictureOf(svg, `${SCORE_WORDS.page} ${place}`));
  }, [svg, place]);
  useEffect(() => {
    const page = holder.current?.querySelector('svg') ?? null;
    if (page === null || svg === '') return;
    markTones(page, reduction, chosen);
    markColumn(page, chosen);
    page.querySelector(`[id^="c${chosen}."]`)?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [svg, reduction, chosen]);
  return <div ref={holder} />;
}

/** The engraver's picture as an element of the page: a drawing, without anything that could run. */
function pictureOf(svg: string, name: string): Node {
  const picture = new DOMParser().parseFromString(svg, 'image/svg+xml').documentElement;
  for (const element of picture.querySelectorAll('script, foreignObject, style')) element.remove();
  for (const words of picture.querySelectorAll('tspan')) withPlainSigns(words);
  picture.setAttribute('role', 'img');
  picture.setAttribute('aria-label', name);
  picture.setAttribute('width', '100%');
  return document.importNode(picture, true);
}

/** Accidentals of the engraver's own face, in words, as the signs that every face of ours has. */
const SIGNS: Readonly<Record<string, string>> = {
  '\ue260': '♭',
  '\ue261': '♮',
  '\ue262': '♯',
  '\uea64': '♭',
  '\uea65': '♮',
  '\uea66': '♯',
  '\ued60': '♭',
  '\ued61': '♮',
  '\ued62': '♯',
};

function withPlainSigns(words: Element): void {
  if (words.childElementCount > 0) return;
  const text = words.textContent ?? '';
  const plain = text.replace(/[\ue000-\uf8ff]/g, (sign) => SIGNS[sign] ?? '');
  if (plain === text) return;
  words.textContent = plain;
  words.removeAttribute('font-family');
}
