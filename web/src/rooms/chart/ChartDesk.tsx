import type { ChartDraft } from '../../document/song-drafts.ts';
import { Conflict } from '../../parts/song/Conflict.tsx';
import { useChartView } from '../../session/chart-view-store.ts';
import { BarPad } from './BarPad.tsx';
import { BarToolbar } from './BarToolbar.tsx';
import { choose } from './bar-selection.ts';
import { ChecksList } from './ChecksList.tsx';
import { DeskBar } from './DeskBar.tsx';
import { DeskSheet } from './DeskSheet.tsx';
import { DeskSheets } from './DeskSheets.tsx';
import { NumberingChoice } from './NumberingChoice.tsx';
import { PlayBar } from './PlayBar.tsx';
import { TextPane } from './TextPane.tsx';
import { type Desk, useDesk } from './use-desk.ts';

/** Where a chart is written, read, checked and heard. */
export function ChartDesk({ draft, songId }: { readonly draft: ChartDraft; readonly songId: string }) {
  const desk = useDesk(draft, songId);
  const writing = useChartView((view) => view.writing);
  return (
    <div ref={desk.room} className="flex h-full flex-col">
      <Conflict draft={draft} />
      <div className="flex min-h-0 flex-1 max-lg:flex-col-reverse">
        {writing && <DeskText desk={desk} />}
        <div className="flex min-h-0 min-w-0 flex-1 flex-col bg-sheet">
          {!desk.desk.tooLong && <DeskHead desk={desk} />}
          {desk.checking && (
            <div className="max-h-[40%] shrink-0 overflow-auto border-b border-hairline">
              <Checks desk={desk} findings={desk.song.findings} />
              <NumberingChoice text={desk.text} onRenumber={(to) => desk.edit({ kind: 'renumber', to })} />
            </div>
          )}
          <DeskSheet desk={desk} />
          {desk.state.typing === null ? <DeskTools desk={desk} /> : <BarPad input={desk.input} />}
        </div>
      </div>
      <DeskSheets desk={desk} />
    </div>
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
  const { songId, song, selection, input, layer, setLayer, checking, setChecking, setSheet, play } = desk;
  const { reading } = desk.desk;
  return (
    <DeskBar
      songId={songId}
      heights={song.heights}
      at={song.indexOf(selection)}
      onGo={(index) => input.choose(song.placeOf(index))}
      layer={layer}
      onLayer={setLayer}
      toLookAt={reading.problems.length + song.findings.length}
      checking={checking}
      onCheck={() => setChecking(!checking)}
      onOpen={setSheet}
    >
      <PlayBar play={play} reading={reading} />
    </DeskBar>
  );
}

function Checks({ desk, findings }: { readonly desk: Desk; readonly findings: Desk['song']['findings'] }) {
  return (
    <ChecksList
      text={desk.text}
      problems={desk.desk.reading.problems}
      findings={findings}
      onProblem={({ at }) => desk.goToText(at)}
      onFinding={({ bar }) => desk.input.choose(choose(bar))}
      onFix={(fix) => desk.edit({ kind: 'fix', fix })}
    />
  );
}

function DeskTools({ desk }: { readonly desk: Desk }) {
  const { input, selection, state, rewriting, openPaste, setSheet } = desk;
  return (
    <BarToolbar
      input={input}
      selection={selection}
      rewriting={rewriting}
      reaching={state.reaching}
      onPaste={() => openPaste('')}
      onChanges={() => setSheet('changes')}
    />
  );
}
