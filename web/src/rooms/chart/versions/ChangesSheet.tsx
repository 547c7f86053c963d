import { type Change, type ChangeKind, type ChartReading, type Fault, faultWords, parseChange, printChange } from '@aurora/core';
import { type FormEvent, useState } from 'react';
import { AnsweringField } from '../../../ui/AnsweringField.tsx';
import { Button } from '../../../ui/Button.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';
import { CHART_WORDS } from '../../../wording/chart.ts';
import type { SheetInput } from '../sheet/sheet-input.ts';

interface ChangesSheetProps {
  readonly input: SheetInput;
  readonly reading: ChartReading;
  readonly onClose: () => void;
}

const FIELDS: readonly (readonly [kind: ChangeKind, label: string, example: string])[] = [
  ['key', CHART_WORDS.key, CHART_WORDS.aOr2ForTwoHalf],
  ['meter', CHART_WORDS.meter, '3/4'],
  ['tempo', CHART_WORDS.tempo, '132'],
  ['pickup', CHART_WORDS.pickupInBeats, '1'],
];

/** What changes with the chosen bar: key, meter, tempo, or that it is a pickup. An empty field takes its change away. */
export function ChangesSheet({ input, reading, onClose }: ChangesSheetProps) {
  const bar = input.selection?.head ?? 0;
  const [typed, setTyped] = useState(() => startsWith(reading, bar));
  const [faults, setFaults] = useState<Readonly<Partial<Record<ChangeKind, Fault>>>>({});
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const before = startsWith(reading, bar);
    const read = FIELDS.filter(([kind]) => typed[kind].trim() !== before[kind]).map(
      ([kind]) => [kind, readField(kind, typed[kind])] as const,
    );
    const wrong = read.flatMap(([kind, change]) => (change !== null && 'code' in change ? [[kind, change] as const] : []));
    setFaults(Object.fromEntries(wrong));
    if (wrong.length > 0) return;
    for (const [kind, change] of read) input.commands.changeFrom(kind, change as Change | null);
    onClose();
  };
  return (
    <Sheet title={CHART_WORDS.fromBarOn(bar + 1)} open onOpenChange={(is) => !is && onClose()}>
      <form onSubmit={submit} className="flex max-w-md flex-col gap-3">
        {FIELDS.map(([kind, label, example]) => {
          const fault = faults[kind];
          return (
            <AnsweringField
              key={kind}
              label={label}
              value={typed[kind]}
              placeholder={example}
              fault={fault === undefined ? null : faultWords(fault)}
              onChange={(value) => setTyped({ ...typed, [kind]: value })}
            />
          );
        })}
        <Button type="submit" look="strong">
          {CHART_WORDS.setIt}
        </Button>
      </form>
    </Sheet>
  );
}

/** What the bar begins with now, as it would be typed. */
function startsWith({ bars, stretches }: ChartReading, bar: number): Readonly<Record<ChangeKind, string>> {
  const [now, before] = [bars[bar], bars[bar - 1]];
  if (now === undefined) return { key: '', meter: '', tempo: '', pickup: '' };
  const stretch = now.stretch === (before?.stretch ?? 0) ? undefined : stretches[now.stretch];
  const key: Change | null =
    stretch === undefined ? null : stretch.step === null ? { kind: 'key', key: stretch.key } : { kind: 'step', semitones: stretch.step };
  const meter = `${now.meter.beats}/${now.meter.unit}`;
  const isNew = before !== undefined && meter !== `${before.meter.beats}/${before.meter.unit}`;
  return {
    key: key === null ? '' : printChange(key).replace(/^key: /, ''),
    meter: isNew ? meter : '',
    tempo: before !== undefined && now.tempo !== before.tempo ? String(now.tempo ?? '') : '',
    pickup: now.pickup === null ? '' : String(now.pickup),
  };
}

function readField(kind: ChangeKind, typed: string): Change | Fault | null {
  if (typed.trim() === '') return null;
  const change = parseChange(kind === 'meter' ? typed : `${kind}: ${typed}`);
  if (change !== undefined) return change;
  return { code: 'head-value', name: 'time', value: typed.trim(), wanted: CHART_WORDS.meterExample };
}
