import type { SungRange } from '@aurora/core';
import type { MemberReads } from '@aurora/wire';
import { placedOn, type VoiceScale } from './voice-scale.ts';

interface VoicePictureProps {
  /** Whose voice it is; empty where there is only one. */
  readonly name: string;
  readonly voice: MemberReads['voice'];
  readonly sung: SungRange;
  readonly scale: VoiceScale;
}

/** A melody laid over a voice: what is easy as ground, what is possible as its edges, the melody as a bar. What is said of it stands under it. */
export function VoicePicture({ name, voice, sung: { melody, fit }, scale }: VoicePictureProps) {
  if (voice === null) return null;
  return (
    <div aria-hidden="true" className="relative my-0.5 h-7">
      <div className="absolute inset-y-1 rounded border border-dashed border-edge" style={placedOn(scale, voice.possible)} />
      <div className="absolute inset-y-1 rounded bg-wash" style={placedOn(scale, voice.comfortable)} />
      <div
        className={`absolute inset-y-2.5 rounded-full ${fit === 'comfortable' ? 'bg-accent' : fit === 'possible' ? 'bg-subdominant' : 'bg-dominant'}`}
        style={placedOn(scale, melody)}
      />
      {name !== '' && <span className="absolute top-0 left-0 text-fine text-quiet">{name}</span>}
    </div>
  );
}
