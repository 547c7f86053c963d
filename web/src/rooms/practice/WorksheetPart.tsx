import {
  cellWords,
  checkCell,
  type Key,
  keyText,
  tablePages,
  WORKSHEET_ROWS,
  type WorksheetRow,
  wholeKeyWords,
  withGlyphs,
  worksheetOf,
} from '@aurora/core';
import { lazy, Suspense, useState } from 'react';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { useNaming } from '../../session/lens.ts';
import { setPaper, usePaper } from '../../session/paper-store.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { ChosenIcon, ClearIcon, PrintIcon } from '../../ui/icons.ts';
import { PRACTICE_WORDS } from '../../wording/practice.ts';
import { KeySelect } from './KeySelect.tsx';
import type { PartProps } from './use-practice.ts';

// wanted only on paper
const PagesSheet = lazy(async () => ({ default: (await import('../../parts/paper/PagesSheet.tsx')).PagesSheet }));

type Depth = 'triad' | 'seventh';
const DEPTHS = [
  ['triad', PRACTICE_WORDS.triads],
  ['seventh', PRACTICE_WORDS.sevenths],
] as const;
const PLACES = [0, 1, 2, 3, 4, 5, 6];

/** A key derived by hand: empty rows, checked cell by cell with the reason; on paper as a blank or solved. */
export function WorksheetPart({ practice }: PartProps) {
  const naming = useNaming();
  const [key, setKey] = useState<Key>({ tonic: -4, scale: 'major' });
  const [depth, setDepth] = useState<Depth>('seventh');
  const [cells, setCells] = useState<Readonly<Record<string, string>>>({});
  const [printing, setPrinting] = useState(false);
  const anew = (change: () => void) => {
    change();
    setCells({});
  };
  const markOf = (row: WorksheetRow, place: number) => checkCell({ key, depth, row, place }, cells[`${row}${place}`] ?? '');
  const right = WORKSHEET_ROWS.flatMap((row) => PLACES.map((place) => markOf(row, place).kind)).filter((kind) => kind === 'right').length;
  const whole = WORKSHEET_ROWS.length * PLACES.length;
  const record = (isRight: boolean) => {
    if (!isRight) return;
    // a sheet that is all right is one pass of its key
    practice.record(
      { item: { study: 'worksheet', what: depth, key: keyText(key) }, title: '', night: null, ms: 0 },
      { outcome: 'clean', hidden: true },
    );
  };
  const write = (row: WorksheetRow, place: number, text: string) => {
    const before = right;
    const next = { ...cells, [`${row}${place}`]: text };
    setCells(next);
    const isRight = checkCell({ key, depth, row, place }, text).kind === 'right';
    record(isRight && before === whole - 1 && markOf(row, place).kind !== 'right');
  };
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-end gap-3">
        <KeySelect value={key} onChange={(next) => anew(() => setKey(next))} />
        <Choice label={PRACTICE_WORDS.depth} value={depth} options={DEPTHS} onChange={(next) => anew(() => setDepth(next))} />
        <Button onClick={() => setCells({})} disabled={Object.keys(cells).length === 0}>
          <ClearIcon size={18} aria-hidden="true" /> {PRACTICE_WORDS.empty}
        </Button>
        <Button onClick={() => setPrinting(true)}>
          <PrintIcon size={18} aria-hidden="true" /> {PRACTICE_WORDS.print}
        </Button>
        <p className="ml-auto text-lead" role="status">
          {right === whole ? PRACTICE_WORDS.allRight : PRACTICE_WORDS.rightOf(right, whole)}
        </p>
      </div>
      <h2 className="font-numeral text-figure font-bold">
        <Glyphs text={wholeKeyWords(key, naming)} />
      </h2>
      <div className="grid gap-3">
        {WORKSHEET_ROWS.map((row) => (
          <Row key={row} row={row} cells={cells} markOf={markOf} keyOf={key} onWrite={write} />
        ))}
      </div>
      <Suspense>{printing && <WorksheetPaper keyOf={key} depth={depth} onClose={() => setPrinting(false)} />}</Suspense>
    </div>
  );
}

interface RowProps {
  readonly row: WorksheetRow;
  readonly cells: Readonly<Record<string, string>>;
  readonly markOf: (row: WorksheetRow, place: number) => ReturnType<typeof checkCell>;
  readonly keyOf: Key;
  readonly onWrite: (row: WorksheetRow, place: number, text: string) => void;
}

function Row({ row, cells, markOf, keyOf, onWrite }: RowProps) {
  const naming = useNaming();
  const words = PLACES.map((place) => cellWords(markOf(row, place), keyOf, naming)).filter((word) => word !== '');
  return (
    <div role="group" aria-label={PRACTICE_WORDS.rows[row]} className="grid min-w-0 gap-x-3 md:grid-cols-[8.5rem_1fr]">
      <p className="self-center text-base font-semibold">
        {PRACTICE_WORDS.rows[row]}{' '}
        <span className="block text-fine font-normal text-quiet phone:inline">{PRACTICE_WORDS.rowExamples[row]}</span>
      </p>
      <div className="grid grid-cols-7 gap-1.5 phone:grid-cols-4">
        {PLACES.map((place) => (
          <Cell key={place} row={row} place={place} text={cells[`${row}${place}`] ?? ''} kind={markOf(row, place).kind} onWrite={onWrite} />
        ))}
      </div>
      <div role="status" className="text-base text-alarm md:col-start-2">
        {words.slice(0, 2).map((word) => (
          <p key={word}>
            <Glyphs text={word} />
          </p>
        ))}
      </div>
    </div>
  );
}

interface CellProps {
  readonly row: WorksheetRow;
  readonly place: number;
  readonly text: string;
  readonly kind: ReturnType<typeof checkCell>['kind'];
  readonly onWrite: RowProps['onWrite'];
}

/** A cell. It is checked when it is left, or with Enter: nobody is told of a letter half written. */
function Cell({ row, place, text, kind, onWrite }: CellProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const take = () => {
    if (typed !== null) onWrite(row, place, typed);
    setTyped(null);
  };
  const isBad = typed === null && kind !== 'right' && kind !== 'empty';
  return (
    <span className="relative">
      <input
        value={typed ?? text}
        autoComplete="off"
        autoCapitalize="off"
        spellCheck={false}
        aria-label={PRACTICE_WORDS.cell(PRACTICE_WORDS.rows[row], place + 1)}
        aria-invalid={isBad}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => event.key === 'Enter' && take()}
        className="min-h-12 w-full min-w-0 rounded-lg border-2 border-edge bg-raised px-2 text-center text-lead font-semibold phone:px-0.5 phone:text-base aria-invalid:border-alarm"
      />
      {typed === null && kind === 'right' && <ChosenIcon size={16} aria-hidden="true" className="absolute top-1 right-1 text-accent" />}
    </span>
  );
}

/** The sheet on paper: empty, to be written on, or solved. */
function WorksheetPaper({ keyOf, depth, onClose }: { readonly keyOf: Key; readonly depth: Depth; readonly onClose: () => void }) {
  const naming = useNaming();
  const { paper } = usePaper();
  const [filled, setFilled] = useState<'blank' | 'solved'>('blank');
  const solution = worksheetOf(keyOf, depth);
  const name = wholeKeyWords(keyOf, naming);
  const rows = WORKSHEET_ROWS.map((row) => ({
    name: PRACTICE_WORDS.rows[row],
    cells: PLACES.map((place) => (filled === 'blank' ? '' : glyphed(solution[row][place] ?? ''))),
  }));
  const table = { name, head: PLACES.map((place) => String(place + 1)), rows, isWritten: true };
  const title = filled === 'blank' ? PRACTICE_WORDS.sheetOf(name) : PRACTICE_WORDS.solutionOf(name);
  const pages = tablePages({ title, facts: PRACTICE_WORDS.sheetFacts, tables: [table], notes: [] }, paper);
  return (
    <PagesSheet name={PRACTICE_WORDS.printSheet} title={title} pages={pages} paper={paper} onPaper={setPaper} onClose={onClose}>
      <Choice
        label={PRACTICE_WORDS.whatIsPrinted}
        value={filled}
        options={[
          ['blank', PRACTICE_WORDS.blank],
          ['solved', PRACTICE_WORDS.solved],
        ]}
        onChange={setFilled}
      />
    </PagesSheet>
  );
}

/** Letters and numbers with their signs as glyphs. */
function glyphed(text: string): string {
  return withGlyphs(
    text.replace(/([A-G])(b+|#+)/g, (_, letter: string, signs: string) => letter + signs.replaceAll('b', '♭').replaceAll('#', '♯')),
  );
}
