import { type Naming, printTuning } from '@aurora/core';
import type { Member, MemberReads } from '@aurora/wire';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useMemberChanges } from '../../api/members.ts';
import { BARRE_LEVELS } from '../../parts/reading/barre-table.ts';
import { SHOWS } from '../../parts/reading/ShowChoice.tsx';
import { useNaming } from '../../session/lens.ts';
import { lensSearch, setReader } from '../../session/lens-store.ts';
import { instrumentOf } from '../../session/playing.ts';
import { isGuitar, memberChoice } from '../../session/reader-view.ts';
import { neckPath } from '../../session/rooms.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { NumberField } from '../../ui/NumberField.tsx';
import { SelectField } from '../../ui/SelectField.tsx';
import { sayFault } from '../../ui/say.ts';
import { TextField } from '../../ui/TextField.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { BAND_WORDS } from '../../wording/band.ts';
import { VoiceFields } from './singer/VoiceFields.tsx';

const TRANSPOSITIONS: readonly (readonly [string, string])[] = [
  ['0', BAND_WORDS.whatSoundsConcert],
  ['2', BAND_WORDS.bInstrumentAWholeStepUp],
  ['9', BAND_WORDS.eInstrumentAMajorSixthUp],
  ['7', BAND_WORDS.fInstrumentAFifthUp],
];

/** The usual transpositions, and whatever a player reads besides. */
function transpositionsWith(transpose: number): typeof TRANSPOSITIONS {
  const value = String(transpose);
  return TRANSPOSITIONS.some(([usual]) => usual === value) ? TRANSPOSITIONS : [[value, BAND_WORDS.halfStepsUp(value)], ...TRANSPOSITIONS];
}

const PARTS = [
  ['chart', BAND_WORDS.theChart],
  ['bass', BAND_WORDS.rootsAndBasses],
  ['form', BAND_WORDS.formHitsStops],
] as const;

const CUES = [
  ['all', BAND_WORDS.everyCue],
  ['own', BAND_WORDS.theirOwn],
  ['none', BAND_WORDS.noCues],
] as const;

interface PlayerFormProps {
  readonly member: Member;
  /** What they are in the band, and what is done about it. */
  readonly children: ReactNode;
}

/** How one player reads. Everything is kept as it is changed. */
export function PlayerForm({ member, children }: PlayerFormProps) {
  const { change } = useMemberChanges();
  const { reads, name, plays } = member;
  const onError = (error: Error) => void sayFault(error.message);
  const say = (next: Partial<MemberReads>) => change.mutate({ id: member.id, change: { reads: next } }, { onError });
  const guitar = isGuitar(member);
  return (
    <section aria-label={BAND_WORDS.howReads(name)} className="flex flex-col gap-5">
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label={BAND_WORDS.name}
          value={name}
          most={60}
          className="min-w-40 flex-1"
          onChange={(next) => next.trim() !== '' && change.mutate({ id: member.id, change: { name: next } }, { onError })}
        />
        <TextField
          label={BAND_WORDS.plays}
          value={plays}
          most={60}
          className="min-w-40 flex-1"
          onChange={(next) => change.mutate({ id: member.id, change: { plays: next } }, { onError })}
        />
        <Button look="strong" onClick={() => setReader(memberChoice(member).id)}>
          {BAND_WORDS.readAs} {name}
        </Button>
      </div>
      {children}
      <ReadingFields reads={reads} onReads={say} />
      <Group title={BAND_WORDS.names}>
        <NamingFields naming={reads.naming} onNaming={(naming) => say({ naming })} />
      </Group>
      <Group title={BAND_WORDS.theInstrument}>
        <SelectField
          label={BAND_WORDS.reads}
          value={String(reads.transpose)}
          options={transpositionsWith(reads.transpose)}
          onChange={(transpose) => say({ transpose: Number(transpose) })}
        />
        <div className="w-44">
          <NumberField
            label={BAND_WORDS.writtenOctavesHigher}
            value={reads.octave}
            min={-3}
            max={3}
            placeholder="0"
            onChange={(octave) => say({ octave: octave ?? 0 })}
          />
        </div>
        {guitar && <GuitarFields member={member} onReads={say} />}
      </Group>
      <Group title={BAND_WORDS.theVoice}>
        <VoiceFields voice={reads.voice} onVoice={(voice) => say({ voice })} />
      </Group>
    </section>
  );
}

interface ReadingFieldsProps {
  readonly reads: MemberReads;
  readonly onReads: (reads: Partial<MemberReads>) => void;
}

function ReadingFields({ reads, onReads }: ReadingFieldsProps) {
  return (
    <Group title={BAND_WORDS.onPaperAndOnScreen}>
      <Choice label={BAND_WORDS.whatIsShownOfEachChord} value={reads.show} options={SHOWS} onChange={(show) => onReads({ show })} />
      <Choice label={BAND_WORDS.whichPart} value={reads.part} options={PARTS} onChange={(part) => onReads({ part })} />
      <Choice label={BAND_WORDS.cues} value={reads.cues} options={CUES} onChange={(cues) => onReads({ cues })} />
      <Tick label={BAND_WORDS.lyrics} on={reads.words} onTick={(words) => onReads({ words })} />
      <Tick
        label={BAND_WORDS.largeType}
        on={reads.size === 'large type'}
        onTick={(large) => onReads({ size: large ? 'large type' : 'fewest pages' })}
      />
    </Group>
  );
}

function Group({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <fieldset className="flex flex-wrap items-end gap-x-4 gap-y-3 border-t border-hairline pt-3">
      <legend className="pr-3 font-numeral text-lead font-bold">{title}</legend>
      {children}
    </fieldset>
  );
}

function GuitarFields({ member, onReads }: { readonly member: Member; readonly onReads: (reads: Partial<MemberReads>) => void }) {
  const { reads } = member;
  const instrument = instrumentOf(member);
  const search = lensSearch({ key: null, readerId: memberChoice(member).id });
  return (
    <>
      <Choice
        label={BAND_WORDS.whatThePlayerHolds}
        value={reads.barres}
        options={BARRE_LEVELS}
        onChange={(barres) => onReads({ barres })}
      />
      <div className="w-28">
        <NumberField
          label={BAND_WORDS.usualCapo}
          value={reads.capo}
          min={0}
          max={11}
          placeholder="0"
          onChange={(capo) => onReads({ capo: capo ?? 0 })}
        />
      </div>
      <div className="w-28">
        <NumberField
          label={BAND_WORDS.highestCapo}
          value={reads.maxCapo}
          min={0}
          max={11}
          placeholder="7"
          onChange={(maxCapo) => onReads({ maxCapo: maxCapo ?? 7 })}
        />
      </div>
      <p className="min-h-11 content-center text-base">
        {instrument.name}, {printTuning(instrument.tuning)}{' '}
        <Link to={{ pathname: neckPath(undefined), search }} className="font-semibold text-accent underline">
          {BAND_WORDS.stringsAndTuning}
        </Link>
      </p>
    </>
  );
}

const SIGNS = {
  words: { majorSeventh: 'maj7', minorSeventh: 'm7', halfDiminished: 'm7♭5', diminished: 'dim' },
  signs: { majorSeventh: '△7', minorSeventh: '−7', halfDiminished: 'ø7', diminished: '°' },
} as const satisfies Record<string, Partial<Naming>>;

const SCHOOLS = [
  ['band', BAND_WORDS.asTheBand],
  ['words', 'maj7 m7 m7♭5 dim'],
  ['signs', '△7 −7 ø7 °'],
] as const;

const NOTES = [
  ['english', BAND_WORDS.bAndB],
  ['german', BAND_WORDS.bAndH],
  ['solfege', BAND_WORDS.doReMi],
] as const;

/** A player's own school of naming, or the band's. */
function NamingFields({
  naming,
  onNaming,
}: {
  readonly naming: MemberReads['naming'];
  readonly onNaming: (naming: MemberReads['naming']) => void;
}) {
  const band = useNaming();
  const school = naming === null ? 'band' : naming.majorSeventh === '△7' ? 'signs' : 'words';
  return (
    <>
      <Choice
        label={BAND_WORDS.chordNames}
        value={school}
        options={SCHOOLS}
        onChange={(next) => onNaming(next === 'band' ? null : { ...(naming ?? band), ...SIGNS[next] })}
      />
      {naming !== null && (
        <Choice label={BAND_WORDS.noteNames} value={naming.notes} options={NOTES} onChange={(notes) => onNaming({ ...naming, notes })} />
      )}
    </>
  );
}
