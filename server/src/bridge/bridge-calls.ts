import { type BridgeEnd, bridgeWords, DEFAULT_NAMING, findBridges, homeOfChord, parseChord, printChord } from '@aurora/core';
import { type BridgesRequest, bridgesAnswer, bridgesRequest } from '@aurora/wire';
import { type Call, openCall } from '../call/call.ts';
import { required, requiredKey } from '../validate.ts';

/** `/bridges`: a thin handler over the core's joins between two chords. */
export const BRIDGE_CALLS: readonly Call[] = [
  openCall(
    {
      id: 'findBridges',
      method: 'post',
      path: '/bridges',
      tag: 'theory',
      summary: 'Ways from the last chord of a song to the first of the next',
      body: bridgesRequest,
      answer: bridgesAnswer,
      isLimited: true,
      isHeavy: true,
    },
    ({ body: ends }) => {
      const [from, to] = [endOf(ends, 'from'), endOf(ends, 'to')];
      const bridges = findBridges(from, to).map((bridge) => ({
        ...bridge,
        chords: bridge.chords.map((chord) => printChord(chord)),
        why: bridgeWords(bridge, from, to, DEFAULT_NAMING),
      }));
      return { bridges };
    },
  ),
];

function endOf(ends: BridgesRequest, side: 'from' | 'to'): BridgeEnd {
  const { chord: symbol, key } = ends[side];
  const chord = required(parseChord(symbol.trim()), `${side}.chord`);
  return { chord, key: key === undefined ? homeOfChord(chord) : requiredKey(key, `${side}.key`) };
}
