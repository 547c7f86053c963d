import { climb, formulaNames, LADDER, nameChord, nameNote, toneChanges, withGlyphs } from '@aurora/core';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { HARMONIZE_WORDS } from '../../../wording/harmonize.ts';
import { depthsOf } from '../depth.ts';
import type { ColumnView } from '../harmonize-view.ts';
import { changeWords } from './move-words.ts';
import type { PanelProps } from './panel.ts';

const STEP_NAMES: Readonly<Record<number, string>> = { 1: 'half', 2: 'whole', 3: HARMONIZE_WORDS.wholeAndAHalf };

/** From the selected chord to the next one, seen in three ways. */
export function Moves({ written, naming, build, columns, index }: PanelProps) {
  const next = (index + 1) % columns.length;
  const [from, to] = [columns[index] as ColumnView, columns[next] as ColumnView];
  const [first, second] = [from, to].map(({ number }) => ({ root: written.tonic + number.degree, formula: number.formula, bass: null }));
  const depth = build.kind === 'fourths' ? 'seventh' : (depthsOf(build, written)[index] ?? 'triad');
  if (first === undefined || second === undefined) return null;
  const changes = toneChanges(first.formula, second.formula);
  return (
    <div className="grid gap-6 lg:grid-cols-3">
      <section>
        <h2 className="mb-2 font-semibold text-accent">{HARMONIZE_WORDS.everyVoiceClimbsToTheNext}</h2>
        <p className="mb-2 music-glyph font-bold">
          {nameChord(first, naming)} → {nameChord(second, naming)}
        </p>
        <ul className="space-y-1">
          {[...climb(written, depth, index)].reverse().map(({ from: low, to: high, semitones }) => (
            <li key={low} className="music-glyph">
              <b>
                <Glyphs text={nameNote(low, naming.notes)} />
              </b>{' '}
              → <b>{<Glyphs text={nameNote(high, naming.notes)} />}</b>{' '}
              <span className="text-quiet">
                {STEP_NAMES[semitones]} {HARMONIZE_WORDS.step}
              </span>
            </li>
          ))}
        </ul>
      </section>
      <section>
        <h2 className="mb-2 font-semibold text-accent">{HARMONIZE_WORDS.slideTheShapeThenChangeTones}</h2>
        <p>
          {HARMONIZE_WORDS.slide} <b className="music-glyph">{nameChord(first, naming)}</b> {HARMONIZE_WORDS.to}{' '}
          <b className="music-glyph">{nameNote(second.root, naming.notes)}</b>
          {HARMONIZE_WORDS.thatWouldBe} <b className="music-glyph">{nameChord({ ...first, root: second.root }, naming)}</b>.
        </p>
        <p className="mt-2">
          {first.formula === second.formula
            ? HARMONIZE_WORDS.itIsTheSameQualityNothing
            : HARMONIZE_WORDS.thatIs(changeWords(changes), nameChord(second, naming))}
        </p>
      </section>
      <section>
        <h2 className="mb-2 font-semibold text-accent">{HARMONIZE_WORDS.theLadderOnOneRootOne}</h2>
        <ol className="space-y-1">
          {LADDER.map((formula, rung) => (
            <li key={formula} className={`flex gap-3 rounded px-2 ${formula === first.formula ? 'bg-wash font-bold' : ''}`}>
              <span className="music-glyph w-24">{nameChord({ ...first, formula }, naming)}</span>
              <span className="music-glyph w-24 text-quiet">{withGlyphs(formulaNames(formula).join(' '))}</span>
              <span className="text-quiet">{rung === 0 ? '' : changeWords(toneChanges(LADDER[rung - 1] as number, formula))}</span>
            </li>
          ))}
        </ol>
      </section>
    </div>
  );
}
