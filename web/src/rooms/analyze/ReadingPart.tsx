import {
  type AnalyzedChord,
  type Key,
  type Override,
  parseKey,
  printKey,
  READING_KINDS,
  READING_NAMES,
  type ReadingKind,
  runnerUpWords,
  sayReading,
  sayRegion,
  takeBack,
} from '@aurora/core';
import { useEffect, useId, useState } from 'react';
import { readingLabel } from '../../parts/analysis/analysis-view.ts';
import { AnsweringField } from '../../ui/AnsweringField.tsx';
import { Button } from '../../ui/Button.tsx';
import { Select } from '../../ui/Select.tsx';
import { ANALYZE_WORDS } from '../../wording/analyze.ts';
import type { AnalyzePartProps } from './analyze-part.ts';
import { ParallelKeys } from './ParallelKeys.tsx';

/** What a chord is doing, what else it could be, and what the player says of it; the why says it in sentences. */
export function ReadingPart(props: AnalyzePartProps) {
  const { analysis, index, naming } = props;
  const chord = analysis.chords[index];
  if (chord === undefined) return <p className="text-quiet">{ANALYZE_WORDS.chooseAChordAbove}</p>;
  const without = analysis.withoutOptional.find((other) => other.index === index);
  return (
    <div className="flex flex-col gap-3">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <p className="text-base font-semibold">{readingLabel(chord) ?? READING_NAMES.diatonic}</p>
        {chord.others.length > 0 && <p className="text-base text-quiet">{runnerUpWords(chord)}</p>}
        {without !== undefined && (
          <p className="text-base">
            {ANALYZE_WORDS.withoutTheOptionalChordsItIs} {withArticle(READING_NAMES[without.reading.kind])}
            {without.reading.resolution === undefined ? '' : `, ${without.reading.resolution}`}.
          </p>
        )}
        <ParallelKeys chord={chord} home={analysis.regions[chord.region]?.key ?? null} naming={naming} />
      </div>
      <YourWord key={index} chord={chord} {...props} />
      <Overrides {...props} />
    </div>
  );
}

function withArticle(name: string): string {
  return /^(in|over|no) /.test(name) ? name : `a ${name}`;
}

/** The player's own reading of the chord, kept with the song. */
function YourWord({ chord, analysis, index, source, onWrite }: AnalyzePartProps & { readonly chord: AnalyzedChord }) {
  const [kind, setKind] = useState<ReadingKind>(chord.override?.kind === 'reading' ? chord.override.reading : chord.reading.kind);
  const [note, setNote] = useState(chord.override?.note ?? '');
  const ids = { kind: useId(), note: useId() };
  // the word may be taken back elsewhere, by an undo above all
  useEffect(() => setNote(chord.override?.note ?? ''), [chord.override?.note]);
  return (
    <form
      aria-label={ANALYZE_WORDS.howYouHearIt}
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        onWrite(sayReading(source, analysis.progression, index, { reading: kind, note }));
      }}
    >
      <div className="flex flex-col">
        <label htmlFor={ids.kind} className="text-fine font-semibold text-quiet">
          {ANALYZE_WORDS.youHearItAs}
        </label>
        <Select id={ids.kind} value={kind} onChange={(event) => setKind(event.target.value as ReadingKind)}>
          {READING_KINDS.map((name) => (
            <option key={name} value={name}>
              {READING_NAMES[name]}
            </option>
          ))}
        </Select>
      </div>
      <div className="flex min-w-48 flex-1 flex-col">
        <label htmlFor={ids.note} className="text-fine font-semibold text-quiet">
          {ANALYZE_WORDS.yourNote}
        </label>
        <input
          id={ids.note}
          value={note}
          maxLength={200}
          onChange={(event) => setNote(event.target.value)}
          placeholder={ANALYZE_WORDS.whatTheNextPlayerShouldKnow}
          className="min-h-11 rounded-lg border border-edge bg-raised px-3 placeholder:text-quiet"
        />
      </div>
      <div className="flex gap-2">
        <Button type="submit" look="strong">
          {ANALYZE_WORDS.saveWithTheSong}
        </Button>
        {chord.override !== null && (
          <Button onClick={() => onWrite(sayReading(source, analysis.progression, index, null))}>{ANALYZE_WORDS.remove}</Button>
        )}
      </div>
    </form>
  );
}

/** The key of some bars by the player's ear, and everything said that no longer fits. */
function Overrides({ analysis, index, source, onWrite }: AnalyzePartProps) {
  const bar = (analysis.progression.chords[index]?.bar ?? 0) + 1;
  const [bars, setBars] = useState<readonly [number, number]>([bar, bar]);
  const [text, setText] = useState('');
  useEffect(() => setBars([bar, bar]), [bar]);
  const key = text.trim() === '' ? null : parseKey(text);
  const last = analysis.progression.chart.bars.length;
  const [first, end] = bars;
  const rangeFault = first >= 1 && first <= end && end <= last ? null : ANALYZE_WORDS.barsRunFrom1To(last);
  const say = (said: Key) => {
    onWrite(sayRegion(source, first, end, { key: said, note: '' }));
    setText('');
  };
  return (
    <section aria-label={ANALYZE_WORDS.whatYouSaid} className="flex flex-col gap-2">
      <form
        className="flex flex-wrap items-start gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (key?.ok && rangeFault === null) say(key.value);
        }}
      >
        <BarField label={ANALYZE_WORDS.fromBar} value={first} onChange={(value) => setBars([value, Math.max(value, end)])} />
        <BarField label={ANALYZE_WORDS.toBar} value={end} onChange={(value) => setBars([first, value])} />
        <div className="w-52">
          <AnsweringField
            label={ANALYZE_WORDS.keyOfTheseBars}
            value={text}
            placeholder={ANALYZE_WORDS.inTheKeyOfDBm}
            fault={rangeFault ?? (key !== null && !key.ok ? ANALYZE_WORDS.thatIsNoKeyWriteD : null)}
            onChange={setText}
          />
        </div>
        <Button type="submit" disabled={key === null || !key.ok || rangeFault !== null}>
          {ANALYZE_WORDS.hearThemThere}
        </Button>
      </form>
      <ul className="flex flex-col gap-1">
        {analysis.overrides.map((override) => (
          <li key={overrideName(override)} className="flex min-h-11 flex-wrap items-center gap-3">
            <span className={isStale(override) ? 'font-semibold text-alarm' : ''}>
              {overrideName(override)}
              {isStale(override) && ANALYZE_WORDS.anEditHasTakenItAway}
            </span>
            <Button look="bare" onClick={() => onWrite(takeBack(source, override))}>
              {ANALYZE_WORDS.remove}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function BarField({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly onChange: (value: number) => void;
}) {
  return (
    <label className="flex items-center gap-2 text-base text-quiet">
      {label}
      <input
        type="number"
        min={1}
        value={value}
        onChange={(event) => setNumber(event.target.valueAsNumber, onChange)}
        className="min-h-11 w-[4.5rem] rounded-lg border border-edge bg-raised px-2 text-ink"
      />
    </label>
  );
}

function setNumber(value: number, set: (value: number) => void): void {
  if (Number.isInteger(value)) set(value);
}

function overrideName(override: Override): string {
  const note = override.note === '' ? '' : `, “${override.note}”`;
  if (override.kind === 'region') {
    return ANALYZE_WORDS.youHearBarsToIn(override.firstBar, override.lastBar, printKey(override.key, 'glyph'), note);
  }
  return ANALYZE_WORDS.youHearInBarAs(override.number, override.bar, READING_NAMES[override.reading], note);
}

function isStale(override: Override): boolean {
  return override.kind === 'region' ? !override.fits : override.index === null;
}
