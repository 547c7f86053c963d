import type { SungRange } from '@aurora/core';
import type { MemberReads } from '@aurora/wire';

interface VoicePictureProps {
  /** Whose voice it is; empty where there is only one. */
  readonly name: string;
  readonly voice: MemberReads['voice'];
  readonly sung: SungRange;
  /** Ends of the picture, as MIDI numbers. */
  readonly lowest: number;
  readonly highest: number;
}

/** A melody laid over a voice: what is easy as ground, what is possible as its edges, the melody as a bar. What is said of it stands under it. */
export function VoicePicture({ name, voice, sung: { melody, fit }, lowest, highest }: VoicePictureProps) {
  if (voice === null) return null;
  const at = (midi: number) => `${(100 * (midi - lowest)) / (highest - lowest)}%`;
  const wide = ({ low, high }: { readonly low: number; readonly high: number }) => ({
    left: at(low - 0.5),
    width: `${(100 * (high - low + 1)) / (highest - lowest)}%`,
  });
  const [from, to] = [Math.max(lowest, melody.low), Math.min(highest, melody.high)];
  return (
    <div aria-hidden="true" className="relative my-0.5 h-7">
      <div className="absolute inset-y-1 rounded border border-dashed border-edge" style={wide(voice.possible)} />
      <div className="absolute inset-y-1 rounded bg-wash" style={wide(voice.comfortable)} />
      <div
        className={`absolute inset-y-2.5 rounded-full ${fit === 'comfortable' ? 'bg-accent' : fit === 'possible' ? 'bg-subdominant' : 'bg-dominant'}`}
        style={wide({ low: from, high: to })}
      />
      {name !== '' && <span className="absolute top-0 left-0 text-fine text-quiet">{name}</span>}
    </div>
  );
}
