import { type ChartEdit, type ChartReading, faultWords, headValue, type Key, parseKey, readChart } from '@aurora/core';
import { useId } from 'react';
import { useChangeSong, useSong } from '../../../api/songs.ts';
import { tagsOf } from '../../../parts/song/shelf-view.ts';
import { Sheet } from '../../../ui/Sheet.tsx';
import { sayFault } from '../../../ui/say.ts';
import { TextField } from '../../../ui/TextField.tsx';
import { useTyped } from '../../../ui/use-typed.ts';
import { CHART_WORDS } from '../../../wording/chart.ts';
import { NumberingChoice } from '../NumberingChoice.tsx';

interface DetailsProps {
  readonly songId: string;
  readonly text: string;
  readonly reading: ChartReading;
  readonly onEdit: (edit: ChartEdit) => void;
  readonly onClose: () => void;
}

const MOST_WORDS = 200;
const MOST_TAG_LETTERS = 900;

/** The lines of a chart's head, in the order a band asks for them, with an example of each. */
const LINES = [
  ['title', CHART_WORDS.titleLine, ''],
  ['by', CHART_WORDS.writerLine, ''],
  ['key', CHART_WORDS.keyLine, 'G, Em, D dorian'],
  ['time', CHART_WORDS.timeLine, '4/4'],
  ['tempo', CHART_WORDS.tempoLine, '96'],
  ['feel', CHART_WORDS.feelLayer, CHART_WORDS.feelExample],
  ['range', CHART_WORDS.rangeLine, 'B3 D5'],
  ['form', CHART_WORDS.form, CHART_WORDS.introVerseX2Chorus],
  ['note', CHART_WORDS.noteLine, ''],
] as const;

/** What is said of a song as a whole: a form over the head of its text. Nothing is taken that could not be read there. */
export function DetailsSheet({ songId, text, reading, onEdit, onClose }: DetailsProps) {
  const { head } = reading.chart;
  return (
    <Sheet title={CHART_WORDS.details} open onOpenChange={(open) => !open && onClose()}>
      <div className="grid grid-cols-2 gap-x-4 gap-y-3 phone:grid-cols-1">
        {LINES.map(([name, label, example]) => (
          <HeadField
            key={name}
            name={name}
            label={label}
            example={example}
            value={headValue(head, name) ?? ''}
            onChange={(value) => onEdit(editOf(name, value))}
          />
        ))}
        <TagsField songId={songId} />
      </div>
      <div className="mt-3">
        <NumberingChoice text={text} onRenumber={(to) => onEdit({ kind: 'renumber', to })} />
      </div>
    </Sheet>
  );
}

/** Another key moves the letters, and never the numbers. */
function editOf(name: string, value: string): ChartEdit {
  const key = name === 'key' ? keyIn(value) : null;
  return key === null ? { kind: 'head-line', name, value } : { kind: 'rekey', key, keeps: 'numbers' };
}

function keyIn(text: string): Key | null {
  const key = parseKey(text);
  return key.ok ? key.value : null;
}

interface FieldProps {
  readonly name: string;
  readonly label: string;
  readonly example: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
}

function HeadField({ name, label, example, value, onChange }: FieldProps) {
  const { text, setText, take } = useTyped(value, (next) => faultIn(name, next) === null && onChange(next.trim()));
  const fault = faultIn(name, text);
  const id = useId();
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-fine font-semibold text-quiet">
        {label}
      </label>
      <input
        id={id}
        value={text}
        placeholder={example}
        maxLength={MOST_WORDS}
        aria-invalid={fault !== null}
        aria-describedby={fault === null ? undefined : `${id}-fault`}
        onChange={({ target }) => setText(target.value)}
        onBlur={take}
        onKeyDown={(event) => event.key === 'Enter' && take()}
        className="min-h-11 w-full rounded-lg border border-edge bg-sheet px-3 text-base text-ink placeholder:text-quiet aria-invalid:border-alarm"
      />
      {fault !== null && (
        <p id={`${id}-fault`} role="status" className="text-fine font-semibold text-alarm">
          {fault}
        </p>
      )}
    </div>
  );
}

/** Why a value cannot stand in a head line, in a musician's words; null where it can. */
function faultIn(name: string, value: string): string | null {
  if (value.trim() === '') return null;
  const [problem] = readChart(`${name}: ${value.trim()}\n`).problems.filter(
    ({ fault, severity }) => severity === 'error' && fault.code !== 'form-section-missing',
  );
  return problem === undefined ? null : faultWords(problem.fault);
}

/** Tags belong to the band's shelf, and not to the chart. */
function TagsField({ songId }: { readonly songId: string }) {
  const song = useSong(songId).data;
  const change = useChangeSong();
  const onTake = (typed: string) =>
    change.mutate({ id: songId, change: { tags: [...tagsOf(typed)] } }, { onError: (error) => void sayFault(error.message) });
  return (
    <TextField
      label={CHART_WORDS.tagsLine}
      value={song?.tags.join(', ') ?? ''}
      placeholder={CHART_WORDS.tagsExample}
      most={MOST_TAG_LETTERS}
      onChange={onTake}
    />
  );
}
