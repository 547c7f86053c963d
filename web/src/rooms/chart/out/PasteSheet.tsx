import {
  type ChartEdit,
  type ChartReading,
  type ChordsABar,
  countedLines,
  lettersTonic,
  type Note,
  nameKey,
  pastedText,
  readPasted,
} from '@aurora/core';
import { type FoundSong, findSong } from '@aurora/core/format';
import { useId, useMemo, useState } from 'react';
import { chartOf } from '../../../document/open-chart.ts';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { useNaming } from '../../../session/lens.ts';
import { Button } from '../../../ui/Button.tsx';
import { Choice } from '../../../ui/Choice.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';
import { CHART_WORDS } from '../../../wording/chart.ts';

interface PasteSheetProps {
  /** What was pasted already; empty for nothing yet. */
  readonly pasted: string;
  /** The chart it goes into. */
  readonly chart: ChartReading;
  /** The home tonic whose letters are on the screen. */
  readonly lettersFrom: Note;
  /** The bar behind which it lands; null for the end. */
  readonly behind: number | null;
  readonly onEdit: (edit: ChartEdit) => void;
  readonly onWrite: (text: string) => void;
  readonly onClose: () => void;
}

/** Chords from anywhere: what they are taken for is shown before they land; a whole song becomes this one with one press. */
export function PasteSheet({ pasted, chart, lettersFrom, behind, onEdit, onWrite, onClose }: PasteSheetProps) {
  const [typed, setTyped] = useState(pasted);
  const isNew = chart.bars.length === 0;
  const song = useMemo(() => (isNew ? findSong(typed) : undefined), [isNew, typed]);
  const at = behind ?? chart.bars.length;
  // letters are those on the screen, which may be seen in another key than the chart's own
  const [tonic, own] = [lettersTonic(chart, at, lettersFrom), lettersTonic(chart, at, chart.head.key.tonic)];
  const id = useId();
  return (
    <Sheet title={isNew ? CHART_WORDS.pasteASong : CHART_WORDS.pasteChords} open onOpenChange={(open) => !open && onClose()}>
      <div className="grid gap-4 md:grid-cols-2">
        <div className="flex flex-col gap-2">
          <label htmlFor={id} className="text-fine font-semibold text-quiet">
            {CHART_WORDS.lettersOrNumbersWithOrWithout}
          </label>
          <textarea
            id={id}
            value={typed}
            rows={12}
            spellCheck={false}
            onChange={(event) => setTyped(event.target.value)}
            placeholder={CHART_WORDS.verseGEmSaltOnThe}
            className="min-h-60 rounded-xl border border-edge bg-sheet p-3 font-text text-base whitespace-pre placeholder:text-quiet"
          />
        </div>
        {song === undefined ? (
          <Lines
            typed={typed}
            tonic={tonic}
            where={behind === null ? CHART_WORDS.atTheEndLower : CHART_WORDS.behindBar(behind + 1)}
            onPut={(text) => onEdit({ kind: 'paste', behind, text: tonic === own ? text : countedLines(text, tonic) })}
          />
        ) : (
          <Song song={song} chart={chart} onSet={onWrite} />
        )}
      </div>
    </Sheet>
  );
}

interface SongProps {
  readonly song: FoundSong;
  readonly chart: ChartReading;
  readonly onSet: (text: string) => void;
}

/** What was found in a whole song, and the press that makes it this one. */
function Song({ song, chart, onSet }: SongProps) {
  const naming = useNaming();
  const { source, title, key, keyIs, bars } = song;
  const found = [
    keyIs === 'open' ? '' : `${nameKey(key, naming)}${keyIs === 'heard' ? CHART_WORDS.byItsChords : ''}`,
    bars === 1 ? CHART_WORDS.oneBar : CHART_WORDS.sectionBars(bars),
    title === null ? CHART_WORDS.noTitle : CHART_WORDS.aTitle(title),
  ].filter((one) => one !== '');
  const set = () => {
    // what was not found stays as it is
    const { head } = chart;
    const kept = title === null && head.title !== '' ? chartWith(source, 'title', head.title) : source;
    onSet(kept);
  };
  return (
    <div className="flex flex-col items-start gap-3">
      <p role="status" className="music-glyph text-base">
        {CHART_WORDS.found} <b>{<Glyphs text={found.join(', ')} />}</b>.
      </p>
      <pre className="max-h-72 w-full overflow-auto rounded-xl border border-hairline p-3 font-text text-base whitespace-pre-wrap">
        {source}
      </pre>
      <Button look="strong" onClick={set}>
        {CHART_WORDS.makeItThisSong}
      </Button>
    </div>
  );
}

function chartWith(source: string, name: string, value: string): string {
  const { chart } = chartOf(source).reading;
  return chart.head.length === 0 ? `${name}: ${value}\n\n${source}` : `${name}: ${value}\n${source}`;
}

const SHARES = [
  ['1', CHART_WORDS.oneChordABar],
  ['2', 'two'],
  ['4', 'four'],
] as const;
const KINDS = { chords: 'bars', words: 'words', section: 'section', head: 'head', blank: '' } as const;

interface LinesProps {
  readonly typed: string;
  readonly tonic: Note;
  readonly where: string;
  readonly onPut: (text: string) => void;
}

/** Line by line, what is put into a chart that has bars already. */
function Lines({ typed, tonic, where, onPut }: LinesProps) {
  const [share, setShare] = useState<'1' | '2' | '4'>('1');
  const lines = useMemo(() => readPasted(typed, tonic, Number(share) as ChordsABar), [typed, tonic, share]);
  const text = useMemo(() => pastedText(lines.filter(({ kind }) => kind !== 'head')), [lines]);
  const { bars, problems } = chartOf(text).reading;
  return (
    <div>
      <Choice label={CHART_WORDS.whereThereAreNoBarLines} value={share} options={SHARES} onChange={setShare} />
      <h3 className="mt-2 text-fine font-semibold text-quiet">{CHART_WORDS.whatItBecomes}</h3>
      <ol aria-label={CHART_WORDS.whatItBecomes} className="mt-2 max-h-80 overflow-auto rounded-xl border border-hairline">
        {lines.map((line, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: lines have no name but their place
          <li key={index} className="grid min-h-8 grid-cols-[4.5rem_1fr] gap-2 border-b border-hairline px-3 py-1 last:border-b-0">
            <span className="text-fine text-quiet">{KINDS[line.kind]}</span>
            <span className={`music-glyph ${line.kind === 'chords' ? 'font-bold' : ''}`}>{line.text}</span>
          </li>
        ))}
      </ol>
      <p className="mt-2 text-base">
        {bars.length === 0
          ? CHART_WORDS.noBarsYet
          : CHART_WORDS.put(bars.length === 1 ? CHART_WORDS.oneBarCapital : CHART_WORDS.barsCounted(bars.length), where)}
        {problems.some(({ severity }) => severity === 'error') && CHART_WORDS.whatCannotBeReadIsKept}
      </p>
      <Button look="strong" className="mt-2" disabled={bars.length === 0} onClick={() => onPut(text)}>
        {CHART_WORDS.putThemIn}
      </Button>
    </div>
  );
}
