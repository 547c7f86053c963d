import type { Bridge, BridgeEnd } from '../bridge/bridge.ts';
import { type Naming, nameChord, nameKey, nameNote } from '../naming/naming.ts';

/** Why a bridge works, in a sentence. */
export function bridgeWords({ kind, chords }: Bridge, from: BridgeEnd, to: BridgeEnd, naming: Naming): string {
  const goal = nameChord(to.chord, naming);
  const names = chords.map((chord) => nameChord(chord, naming));
  const [first = '', second = ''] = names;
  switch (kind) {
    case 'dominant':
      return `${first} is the dominant of ${goal}: a fifth above it, and it pulls there wherever one comes from.`;
    case 'two-five':
      return `${first} prepares ${second}, and ${second} pulls to ${goal}: the longest run-up, and the surest.`;
    case 'tritone-substitute':
      return `${first} stands for the dominant of ${goal}: the same third and seventh, and a bass that steps down by a half.`;
    case 'diminished-approach':
      return `${first} leads up into ${goal}: its root lies a half step below ${nameNote(to.chord.root, naming.notes)}.`;
    case 'pivot':
      return nameKey(from.key, naming) === nameKey(to.key, naming)
        ? `${first} belongs to ${nameKey(to.key, naming)}, which both songs are in.`
        : `${first} belongs to ${nameKey(from.key, naming)} and to ${nameKey(to.key, naming)}: heard in one, left in the other.`;
    case 'direct':
      return `Straight to ${goal}, on the next downbeat.`;
  }
}
