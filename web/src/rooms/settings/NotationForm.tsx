import { type Naming, nameChord, parseChord } from '@aurora/core';
import { Choice } from '../../ui/Choice.tsx';
import { SETTINGS_WORDS } from '../../wording/settings.ts';

interface NotationFormProps {
  readonly naming: Naming;
  readonly onChange: (part: Partial<Naming>) => void;
}

type Options<Field extends keyof Naming> = readonly (readonly [value: Naming[Field], label: string])[];

const FIELDS: { readonly [Field in keyof Naming]: { readonly label: string; readonly options: Options<Field> } } = {
  majorSeventh: {
    label: SETTINGS_WORDS.majorSeventh,
    options: [
      ['maj7', 'maj7'],
      ['△7', '△7'],
    ],
  },
  minorSeventh: {
    label: SETTINGS_WORDS.minor,
    options: [
      ['m7', 'm7'],
      ['−7', '−7'],
    ],
  },
  halfDiminished: {
    label: 'Half-diminished',
    options: [
      ['m7♭5', 'm7♭5'],
      ['ø7', 'ø7'],
    ],
  },
  diminished: {
    label: SETTINGS_WORDS.diminishedTriad,
    options: [
      ['dim', 'dim'],
      ['°', '°'],
      ['m♭5', 'm♭5'],
    ],
  },
  degrees: {
    label: SETTINGS_WORDS.degrees,
    options: [
      ['numbers', '2–7'],
      ['roman', 'ii7'],
      ['capitals', 'IIm7'],
    ],
  },
  inversions: {
    label: SETTINGS_WORDS.inversionsInRoman,
    options: [
      ['slash', 'V7/7'],
      ['figures', 'V65'],
    ],
  },
  steps: {
    label: SETTINGS_WORDS.steps,
    options: [
      ['W-H', 'W – H'],
      ['T-S', 'T – S'],
    ],
  },
  spelling: {
    label: SETTINGS_WORDS.doubleSharpsAndFlats,
    options: [
      ['proper', 'F♯♯dim7'],
      ['easier', 'Gdim7'],
    ],
  },
  notes: {
    label: SETTINGS_WORDS.notes,
    options: [
      ['english', 'B♭ B'],
      ['german', 'B H'],
      ['solfege', 'Si♭ Si'],
    ],
  },
};

const SAMPLES = ['Bbmaj7', 'Cm7', 'Bm7b5', 'Edim', 'Am'];

/** What chords, degrees and notes are called, wherever they are shown. */
export function NotationForm({ naming, onChange }: NotationFormProps) {
  return (
    <>
      <p className="mb-3 text-quiet">
        {SETTINGS_WORDS.everythingOnTheScreenFollows}{' '}
        <b className="music-glyph text-ink">
          {SAMPLES.map((symbol) => {
            const chord = parseChord(symbol);
            return chord.ok ? nameChord(chord.value, naming) : '';
          }).join('  ')}
        </b>
        {SETTINGS_WORDS.chartTextIsAlwaysTypedIn}
      </p>
      <dl className="grid gap-x-8 gap-y-3 sm:grid-cols-2 lg:grid-cols-3">
        {(Object.keys(FIELDS) as (keyof Naming)[]).map((field) => (
          <div key={field}>
            <dt className="mb-1 text-fine font-semibold text-quiet">{FIELDS[field].label}</dt>
            <dd>
              <Choice
                label={FIELDS[field].label}
                value={naming[field]}
                options={FIELDS[field].options as readonly (readonly [string, string])[]}
                onChange={(value) => onChange({ [field]: value })}
              />
            </dd>
          </div>
        ))}
      </dl>
    </>
  );
}
