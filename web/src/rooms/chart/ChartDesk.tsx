import { lazy, Suspense, useEffect } from 'react';
import type { ChartDraft } from '../../document/song-drafts.ts';
import { RidgeStrip } from '../../parts/ridge/RidgeStrip.tsx';
import { Conflict } from '../../parts/song/Conflict.tsx';
import { raiseHand } from '../../session/hand-store.ts';
import { usePhone } from '../../session/use-media.ts';
import { InSlot, useSlotIsThere } from '../../ui/Slot.tsx';
import { Soon } from '../../ui/Soon.tsx';
import { CHART_WORDS } from '../../wording/chart.ts';
import { ChecksList } from './ChecksList.tsx';
import { DeskBar } from './DeskBar.tsx';
import { DeskSheet } from './DeskSheet.tsx';
import { DeskSheets } from './DeskSheets.tsx';
import { NameOnce } from './NameOnce.tsx';
import { NumberingChoice } from './NumberingChoice.tsx';
import { PlayBar } from './PlayBar.tsx';
import { BarPad } from './sheet/BarPad.tsx';
import { BarToolbar } from './sheet/BarToolbar.tsx';
import { choose } from './sheet/bar-selection.ts';
import { TextPane } from './text/TextPane.tsx';
import { type Desk, useDesk } from './use-desk.ts';

// wanted only on paper
const PartPaper = lazy(() => import('../../parts/paper/PartPaper.tsx'));

/** Where a chart is written, read, checked and heard: the bars first, everything else around them. */
export function ChartDesk({ draft, songId }: { readonly draft: ChartDraft; readonly songId: string }) {
  const desk = useDesk(draft, songId);
  const isPhone = usePhone();
  useRaisedByChoice(desk, isPhone);
  const hasLine = useSlotIsThere('line');
  // beside the resting neck there is room for the tools, not for the whole pad
  const place = isPhone ? 'hand' : hasLine && desk.state.typing === null ? 'line' : null;
  const tools = desk.mayWrite && <DeskTools desk={desk} both={isPhone} />;
  return (
    <div ref={desk.room} className="flex h-full flex-col bg-sheet phone:h-auto phone:min-h-full">
      <Conflict draft={draft} />
      {desk.mayWrite && (
        <InSlot name="text">
          <DeskText desk={desk} />
        </InSlot>
      )}
      {!desk.desk.tooLong && (
        <InSlot name="tools">
          <DeskHead desk={desk} />
        </InSlot>
      )}
      <DeskRidge desk={desk} />
      <NameOnce desk={desk} />
      {desk.checking && (
        <div className="max-h-[40%] shrink-0 overflow-auto border-b border-hairline phone:max-h-none">
          <Checks desk={desk} findings={desk.song.findings} />
          <NumberingChoice text={desk.text} onRenumber={(to) => desk.edit({ kind: 'renumber', to })} />
        </div>
      )}
      <Soon instead={<div className="flex-1" />}>
        <DeskSheet desk={desk} />
      </Soon>
      {place === null ? tools : <InSlot name={place}>{tools}</InSlot>}
      <DeskSheets desk={desk} />
      <Suspense>
        <PartPaper reading={desk.desk.reading} sounding={desk.desk.sounding} />
      </Suspense>
    </div>
  );
}

/** On a phone what can be done with a bar rises when one is pressed, and what it is written with when one is open. */
function useRaisedByChoice({ selection, state }: Desk, isPhone: boolean): void {
  const place = state.typing === null ? null : `${state.typing.bar} ${state.typing.isNew}`;
  useEffect(() => {
    if (isPhone && place !== null) raiseHand('tools');
    else if (isPhone && selection !== null) raiseHand();
  }, [isPhone, selection, place]);
}

/** The song's profile over its sheet; a press goes to that bar. */
function DeskRidge({ desk: { song, selection, input } }: { readonly desk: Desk }) {
  return (
    <RidgeStrip
      profile={song.profile}
      at={song.indexOf(selection)}
      onGo={(index) => input.choose(song.placeOf(index))}
      label={CHART_WORDS.theSongsRidgeChords(song.profile.spans.length)}
      className="block h-5 w-full shrink-0 border-b border-hairline"
    />
  );
}

function DeskText({ desk }: { readonly desk: Desk }) {
  const { text, rewriting, checking, room, editor, input } = desk;
  const { problems } = desk.desk.reading;
  return (
    <TextPane
      text={text}
      problems={problems}
      rewriting={rewriting}
      onEnter={input.rest}
      onLeave={() => room.current?.querySelector<HTMLElement>('[data-place]')?.focus()}
      handle={editor.hold}
    >
      {problems.length > 0 && !checking && (
        <div className="max-h-[34%] overflow-auto border-t border-hairline">
          <Checks desk={desk} findings={[]} />
        </div>
      )}
    </TextPane>
  );
}

function DeskHead({ desk }: { readonly desk: Desk }) {
  const { songId, song, layer, setLayer, checking, setChecking, setSheet, play, editor } = desk;
  const { reading } = desk.desk;
  return (
    <DeskBar
      songId={songId}
      mayWrite={desk.mayWrite}
      layer={layer}
      onLayer={setLayer}
      mistakes={reading.problems.length + song.findings.length}
      checking={checking}
      onCheck={() => setChecking(!checking)}
      onOpen={setSheet}
      onText={() => editor.inText((text) => text.focus())}
    >
      <PlayBar play={play} reading={reading} />
    </DeskBar>
  );
}

/** The first of these bars behind one, round and round. */
function nextOf(bars: readonly number[], after: number): number {
  return bars.find((bar) => bar > after) ?? bars[0] ?? 0;
}

function Checks({ desk, findings }: { readonly desk: Desk; readonly findings: Desk['song']['findings'] }) {
  const unread = desk.desk.reading.bars.flatMap((bar, index) => (bar.unread === null ? [] : [index]));
  return (
    <ChecksList
      text={desk.text}
      problems={desk.desk.reading.problems}
      findings={findings}
      onProblem={({ at }) => desk.goToText(at)}
      onFinding={({ bar }) => desk.input.choose(choose(bar))}
      onFix={(fix) => desk.edit({ kind: 'fix', fix })}
      unread={unread.length}
      onNextUnread={() => desk.input.choose(choose(nextOf(unread, desk.selection?.head ?? -1)))}
    />
  );
}

/** What can be done with the chosen bars, or what a bar that is open is written with; for the thumb both. */
function DeskTools({ desk, both }: { readonly desk: Desk; readonly both: boolean }) {
  const { input, selection, state, rewriting, openPaste, setSheet } = desk;
  return (
    <>
      {(state.typing !== null || (both && selection !== null)) && <BarPad input={input} isTyping={state.typing !== null} />}
      {state.typing === null && (
        <BarToolbar
          input={input}
          selection={selection}
          rewriting={rewriting}
          reaching={state.reaching}
          onPaste={() => openPaste('')}
          onChanges={() => setSheet('changes')}
        />
      )}
    </>
  );
}
