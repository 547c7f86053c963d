import { type ChordsABar, type Note, pastedText, readChart, readPasted } from '@aurora/core';
import { useId, useMemo, useState } from 'react';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { Sheet } from '../../ui/Sheet.tsx';

interface PasteSheetProps {
  /** What letters count from where the bars will land. */
  readonly tonic: Note;
  readonly where: string;
  readonly onPut: (text: string) => void;
  readonly onClose: () => void;
}

const SHARES = [
  ['1', 'one chord a bar'],
  ['2', 'two'],
  ['4', 'four'],
] as const;
const KINDS = { chords: 'bars', words: 'words', section: 'section', head: 'head', blank: '' } as const;

/** Chords from anywhere: what every line is taken for is shown before it lands. */
export function PasteSheet({ tonic, where, onPut, onClose }: PasteSheetProps) {
  const [typed, setTyped] = useState('');
  const [share, setShare] = useState<'1' | '2' | '4'>('1');
  const lines = useMemo(() => readPasted(typed, tonic, Number(share) as ChordsABar), [typed, tonic, share]);
  const text = useMemo(() => pastedText(lines.filter(({ kind }) => kind !== 'head')), [lines]);
  const reading = useMemo(() => readChart(text), [text]);
  const bars = reading.bars.length;
  const id = useId();
  return (
    <Sheet title="Paste chords" open onOpenChange={(open) => !open && onClose()}>
      <div className="grid gap-4 md:grid-cols-2">
        <div className="flex flex-col gap-2">
          <label htmlFor={id} className="text-sm font-semibold text-quiet">
            Letters or numbers, with or without bar lines, over lyrics or alone
          </label>
          <textarea
            id={id}
            value={typed}
            rows={12}
            spellCheck={false}
            onChange={(event) => setTyped(event.target.value)}
            placeholder={'Verse\nG        Em\nSalt on the window'}
            className="min-h-60 rounded-xl border border-edge bg-sheet p-3 font-text text-[16px] whitespace-pre placeholder:text-quiet"
          />
          <Choice label="Where there are no bar lines" value={share} options={SHARES} onChange={setShare} />
        </div>
        <div>
          <h3 className="text-sm font-semibold text-quiet">What it becomes</h3>
          <ol aria-label="What it becomes" className="mt-2 max-h-80 overflow-auto rounded-xl border border-hairline">
            {lines.map((line, index) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: lines have no name but their place
              <li key={index} className="grid min-h-8 grid-cols-[4.5rem_1fr] gap-2 border-b border-hairline px-3 py-1 last:border-b-0">
                <span className="text-[13px] text-quiet">{KINDS[line.kind]}</span>
                <span className={`music-glyph ${line.kind === 'chords' ? 'font-bold' : ''}`}>{line.text}</span>
              </li>
            ))}
          </ol>
          <p className="mt-2 text-[15px]">
            {bars === 0 ? 'No bars yet.' : `${bars === 1 ? 'One bar' : `${bars} bars`}, put ${where}.`}
            {reading.problems.some(({ severity }) => severity === 'error') && ' What cannot be read is kept and marked.'}
          </p>
          <Button look="strong" className="mt-2" disabled={bars === 0} onClick={() => onPut(text)}>
            Put them in
          </Button>
        </div>
      </div>
    </Sheet>
  );
}
