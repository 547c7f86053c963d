import { checkVoice, faultWords, parseRange, pitchName } from '@aurora/core';
import type { MemberReads } from '@aurora/wire';
import { useState } from 'react';
import { TextField } from '../../../ui/TextField.tsx';
import { Tick } from '../../../ui/Tick.tsx';
import { BAND_WORDS } from '../../../wording/band.ts';

type Voice = NonNullable<MemberReads['voice']>;
type Range = Voice['possible'];

const FIRST_VOICE: Voice = { comfortable: { low: 55, high: 72 }, possible: { low: 52, high: 76 } };

interface VoiceFieldsProps {
  readonly voice: MemberReads['voice'];
  readonly onVoice: (voice: MemberReads['voice']) => void;
}

/** What somebody sings with ease, and what is possible: two ranges, the first inside the second. */
export function VoiceFields({ voice, onVoice }: VoiceFieldsProps) {
  const [fault, setFault] = useState<string | null>(null);
  const change = (text: string, put: (range: Range) => Voice) => {
    const range = parseRange(text);
    const checked = range.ok ? checkVoice(put(range.value)) : range;
    setFault(checked.ok ? null : faultWords(checked.fault));
    if (range.ok && checked.ok) onVoice(put(range.value));
  };
  return (
    <>
      <Tick label={BAND_WORDS.sings} on={voice !== null} onTick={(sings) => onVoice(sings ? FIRST_VOICE : null)} />
      {voice !== null && (
        <>
          <TextField
            label={BAND_WORDS.withEase}
            value={rangeText(voice.comfortable)}
            most={12}
            className="w-36"
            onChange={(text) => change(text, (comfortable) => ({ ...voice, comfortable }))}
          />
          <TextField
            label={BAND_WORDS.possible}
            value={rangeText(voice.possible)}
            most={12}
            className="w-36"
            onChange={(text) => change(text, (possible) => ({ ...voice, possible }))}
          />
          <p className="min-h-11 content-center text-fine text-quiet">{BAND_WORDS.lowestAndHighestNoteMiddleC}</p>
        </>
      )}
      {fault !== null && (
        <p role="alert" className="w-full font-semibold text-alarm">
          {fault}
        </p>
      )}
    </>
  );
}

function rangeText({ low, high }: Range): string {
  return `${pitchName(low)} ${pitchName(high)}`;
}
