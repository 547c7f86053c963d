import type { SentChart } from '@aurora/wire';
import { sayDay } from '../../parts/people/say-day.ts';
import { MOST_CAPO } from '../../session/reader-view.ts';
import { useTheme, useThemeOnPage } from '../../session/use-theme.ts';
import { SelectField } from '../../ui/SelectField.tsx';
import { STAND_WORDS } from '../../wording/stand.ts';
import { type SentReading, useSentReading } from './sent-reading.ts';

const WAYS: readonly (readonly [name: string, who: string, reading: SentReading])[] = [
  [STAND_WORDS.concert, STAND_WORDS.whoReadsConcert, { readerId: 'concert', part: 'chart' }],
  ['B♭', STAND_WORDS.whoReadsBFlat, { readerId: 'Bb', part: 'chart' }],
  ['E♭', STAND_WORDS.whoReadsEFlat, { readerId: 'Eb', part: 'chart' }],
  [STAND_WORDS.bass, STAND_WORDS.whoReadsBass, { readerId: 'concert', part: 'bass' }],
];

const FRETS = Array.from({ length: MOST_CAPO }, (_, at) => at + 1);

interface HowYouReadProps {
  readonly name: string;
  readonly sent: SentChart;
}

/** The one question to whoever opens a link: how do you read? It is kept on this device. */
export function HowYouRead({ name, sent }: HowYouReadProps) {
  useThemeOnPage(useTheme().theme);
  return (
    <main className="h-full overflow-y-auto bg-ground text-ink">
      <div className="mx-auto flex w-full max-w-xl flex-col gap-5 px-6 py-8 phone:px-4">
        <h1 className="font-numeral text-figure leading-tight font-bold">{name}</h1>
        <p className="text-lead">
          {STAND_WORDS.sentBy(sent.madeBy, sent.band)}
          {sent.expiresAt !== null && <span className="text-quiet"> {STAND_WORDS.opensUntil(sayDay(sent.expiresAt))}</span>}
        </p>
        <h2 className="font-numeral text-head font-bold">{STAND_WORDS.howDoYouRead}</h2>
        <ul className="flex flex-col gap-2">
          {WAYS.map(([way, who, reading]) => (
            <li key={way}>
              <button
                type="button"
                onClick={() => useSentReading.setState(reading)}
                className="music-glyph flex min-h-16 w-full items-center gap-4 rounded-xl border-2 border-edge bg-raised px-4 text-left hover:border-accent"
              >
                <b className="min-w-24 font-numeral text-head">{way}</b>
                <span className="text-base text-quiet">{who}</span>
              </button>
            </li>
          ))}
        </ul>
        <SelectField
          label={STAND_WORDS.guitarWithACapo}
          value=""
          options={[['', STAND_WORDS.whichFret], ...FRETS.map((fret) => [`capo-${fret}`, STAND_WORDS.capoAt(fret)] as const)]}
          onChange={(readerId) => readerId !== '' && useSentReading.setState({ readerId, part: 'chart' })}
        />
      </div>
    </main>
  );
}
