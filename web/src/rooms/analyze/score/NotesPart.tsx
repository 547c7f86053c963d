import {
  countWords,
  nameNote,
  placeOf,
  type ReducedTone,
  type Said,
  type ScoreNote,
  TONE_KINDS,
  type ToneKind,
  toneName,
  toneWords,
} from '@aurora/core';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { Button } from '../../../ui/Button.tsx';
import { Select } from '../../../ui/Select.tsx';
import { SCORE_WORDS } from '../../../wording/score.ts';
import type { ScorePartProps } from './score-part.ts';

const MOST_LISTED = 24;

/** Every note that sounds in the chosen harmony: a tone of its chord, or what it is beside it. */
export function NotesPart({ work, column, naming, school }: ScorePartProps) {
  const { reduction } = work;
  if (column === undefined) return null;
  const here = reduction.score.notes
    .map((note, index) => ({ note, index, tone: reduction.tones.find((tone) => tone.index === index) ?? null }))
    .filter(({ note, tone }) =>
      tone === null ? note.from >= column.from && note.from < column.to : tone.at >= column.from && tone.at < column.to,
    )
    .slice(0, MOST_LISTED);
  return (
    <div className="flex flex-col gap-3">
      <p className="text-base text-quiet">{countWords(reduction, school).join(', ')}</p>
      {here.length === 0 && <p className="text-base">{SCORE_WORDS.noNotesHere}</p>}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(19rem,1fr))] gap-x-6 gap-y-1">
        {here.map((one) => (
          <NoteRow key={one.index} {...one} work={work} naming={naming} school={school} />
        ))}
      </ul>
    </div>
  );
}

interface NoteRowProps extends Pick<ScorePartProps, 'work' | 'naming' | 'school'> {
  readonly note: ScoreNote;
  readonly tone: ReducedTone | null;
}

function NoteRow({ note, tone, work, naming, school }: NoteRowProps) {
  const { score } = work.reduction;
  const place = placeOf(score, note.from);
  const name = nameNote(note.note, naming.notes);
  const said = (kind: ToneKind | 'chord'): Said => ({ kind: 'tone', note: { ...place, part: note.part, midi: note.midi }, tone: kind });
  const isYours = work.hasSaid(said('chord'));
  return (
    <li className="flex flex-wrap items-center gap-2">
      <b className="music-glyph w-9 text-lead">
        <Glyphs text={name} />
      </b>
      <Select
        aria-label={SCORE_WORDS.whatIsThisNote(`${name}, ${place.bar}:${place.beat}`)}
        value={tone?.kind ?? 'chord'}
        onChange={(event) => work.say(said(event.target.value as ToneKind | 'chord'))}
      >
        <option value="chord">{SCORE_WORDS.chordTone}</option>
        {TONE_KINDS.map((kind) => (
          <option key={kind} value={kind}>
            {toneName(kind, school)}
          </option>
        ))}
      </Select>
      {isYours && (
        <>
          {tone?.ruled != null && (
            <span className="text-fine text-quiet">
              {SCORE_WORDS.theRulesSay} {tone.ruled === 'chord' ? SCORE_WORDS.chordTone : toneName(tone.ruled, school)}
            </span>
          )}
          <Button look="bare" onClick={() => work.takeBack(said('chord'))}>
            {SCORE_WORDS.asTheRulesHaveIt}
          </Button>
        </>
      )}
      {tone !== null && <span className="basis-full pl-11 text-fine text-quiet">{toneWords(work.reduction, tone, naming, school)}</span>}
    </li>
  );
}
