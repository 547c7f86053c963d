import {
  type Chord,
  type Column,
  chordNotes,
  formulaNames,
  inversionWords,
  nameChord,
  nameNote,
  parseChord,
  parseKey,
  placeOf,
  printChord,
  type Said,
} from '@aurora/core';
import type { ReactNode } from 'react';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { Button } from '../../../ui/Button.tsx';
import { Chip } from '../../../ui/Chip.tsx';
import { sayFault } from '../../../ui/say.ts';
import { TextField } from '../../../ui/TextField.tsx';
import { SCORE_WORDS } from '../../../wording/score.ts';
import { joinBefore, moveBorder, splitColumn, stepFrom } from './border-edit.ts';
import type { ScorePartProps } from './score-part.ts';

/** The chosen harmony: what it is, what else it may be, and what the player says of it. */
export function HarmonyPart({ work, index, column, naming }: ScorePartProps) {
  if (column === undefined) return null;
  const at = placeOf(work.reduction.score, column.from);
  const sayChord = (chord: Chord) => work.say({ kind: 'chord', at, chord });
  return (
    <div className="flex flex-wrap gap-x-8 gap-y-3">
      <div className="flex min-w-64 flex-1 flex-col gap-2">
        <Spelled column={column} naming={naming} />
        <WrittenNames work={work} column={column} naming={naming} />
        <Others column={column} naming={naming} onChord={sayChord} />
        <Ruled column={column} naming={naming} onBack={() => work.takeBack({ kind: 'chord', at, chord: column.chord as Chord })} />
      </div>
      <div className="flex flex-wrap items-end gap-2">
        <TextField
          label={SCORE_WORDS.chord}
          value={column.chord === null ? '' : printChord(column.chord)}
          most={40}
          className="w-36"
          onChange={(text) => {
            const read = parseChord(text);
            if (read.ok) sayChord(read.value);
            else void sayFault(SCORE_WORDS.thisIsNoChord);
          }}
        />
        <KeyField work={work} column={column} />
        <Borders work={work} index={index} />
        <Toggles work={work} index={index} column={column} />
      </div>
    </div>
  );
}

type Named = Pick<ScorePartProps, 'naming'> & { readonly column: Column };

/** The chord with its notes, its formula, and its bass in words. */
function Spelled({ column, naming }: Named) {
  const { chord } = column;
  if (chord === null)
    return (
      <p className="text-lead font-semibold">
        {SCORE_WORDS.questionMark} <Glyphs text={column.notes.map(({ note }) => nameNote(note, naming.notes)).join(' ')} />
      </p>
    );
  return (
    <p className="text-lead">
      <b>
        <Glyphs text={nameChord(chord, naming)} />
      </b>
      {': '}
      <Glyphs
        text={chordNotes(chord)
          .map((note) => nameNote(note, naming.notes))
          .join(' ')}
      />
      <span className="text-quiet">
        {' '}
        (<Glyphs text={formulaNames(chord.formula).join(' ').replaceAll('b', '♭').replaceAll('#', '♯')} />
        ), {inversionWords(column, naming)}
      </span>
    </p>
  );
}

/** The chord names that the source itself writes over this harmony, beside what was found. */
function WrittenNames({ work, column: { from, to }, naming }: Named & Pick<ScorePartProps, 'work'>) {
  const names = work.reduction.score.names.filter(({ at }) => at >= from && at < to);
  if (names.length === 0) return null;
  return (
    <p className="text-base text-quiet">
      {SCORE_WORDS.writtenOverIt} <Glyphs text={names.map(({ chord }) => (chord === null ? 'N.C.' : nameChord(chord, naming))).join(' ')} />
    </p>
  );
}

function Others({ column: { others }, naming, onChord }: Named & { readonly onChord: (chord: Chord) => void }) {
  if (others.length === 0) return null;
  return (
    <p className="flex flex-wrap items-center gap-1.5 text-base text-quiet">
      {SCORE_WORDS.otherNames}
      {others.map((other) => (
        <Chip key={printChord(other)} on={false} onClick={() => onChord(other)}>
          <Glyphs text={nameChord(other, naming)} />
        </Chip>
      ))}
    </p>
  );
}

/** What the rules say where the player says otherwise. */
function Ruled({ column: { ruled, by }, naming, onBack }: Named & { readonly onBack: () => void }): ReactNode {
  if (by !== 'player' || ruled === null) return null;
  return (
    <p className="flex flex-wrap items-center gap-1.5 text-base text-quiet">
      {SCORE_WORDS.theRulesSay} <Glyphs text={nameChord(ruled, naming)} />
      <Button look="bare" onClick={onBack}>
        {SCORE_WORDS.asTheRulesHaveIt}
      </Button>
    </p>
  );
}

function KeyField({ work, column }: { readonly work: ScorePartProps['work']; readonly column: Column }) {
  const at = placeOf(work.reduction.score, column.from);
  return (
    <TextField
      label={SCORE_WORDS.aKeyBeginsHere}
      value=""
      most={40}
      className="w-32"
      onChange={(text) => {
        const read = parseKey(text);
        if (read.ok) work.say({ kind: 'key', at, key: read.value });
        else void sayFault(SCORE_WORDS.thisIsNoKey);
      }}
    />
  );
}

function Borders({ work, index }: Pick<ScorePartProps, 'work' | 'index'>) {
  const { reduction } = work;
  const shift = (by: 1 | -1) => {
    const time = stepFrom(reduction, index, by);
    return time === null ? [] : moveBorder(reduction, index, time);
  };
  const edits: readonly (readonly [name: string, said: () => readonly Said[], isOff: boolean])[] = [
    [SCORE_WORDS.borderEarlier, () => shift(-1), index === 0],
    [SCORE_WORDS.borderLater, () => shift(1), index === 0],
    [SCORE_WORDS.joinWithBefore, () => joinBefore(reduction, index), index === 0],
    [SCORE_WORDS.splitHere, () => splitColumn(reduction, index), false],
  ];
  return edits.map(([name, said, isOff]) => (
    <Button key={name} disabled={isOff} onClick={() => work.say(...said())}>
      {name}
    </Button>
  ));
}

/** A pivot and a pedal are said or taken back. */
function Toggles({ work, column }: Pick<ScorePartProps, 'work' | 'index'> & { readonly column: Column }) {
  const at = placeOf(work.reduction.score, column.from);
  const pivot: Said = { kind: 'pivot', at };
  const isPivot = work.hasSaid(pivot) || work.reduction.keys.some((span) => span.pivot?.column === work.reduction.columns.indexOf(column));
  return (
    <>
      <Button
        aria-pressed={isPivot}
        className="aria-pressed:border-accent aria-pressed:bg-wash"
        onClick={() => (work.hasSaid(pivot) ? work.takeBack(pivot) : work.say(pivot))}
      >
        {SCORE_WORDS.bothKeysMeetHere}
      </Button>
      {column.chord?.bass != null && (
        <Button
          aria-pressed={column.isPedal}
          className="aria-pressed:border-accent aria-pressed:bg-wash"
          onClick={() => work.say({ kind: 'pedal', at, isPedal: !column.isPedal })}
        >
          {SCORE_WORDS.theBassIsAPedal}
        </Button>
      )}
    </>
  );
}
