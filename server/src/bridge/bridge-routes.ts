import { type BridgeEnd, bridgeWords, DEFAULT_NAMING, findBridges, homeOfChord, parseChord, printChord } from '@aurora/core';
import { type BridgesAnswer, type BridgesRequest, bridgesRequest } from '@aurora/wire';
import { Router } from 'express';
import { bodyOf, required, requiredKey } from '../validate.ts';

/** `/bridges`: a thin handler over the core's joins between two chords. */
export function bridgeRoutes(): Router {
  const routes = Router();

  routes.post('/bridges', (request, response) => {
    const ends = bodyOf(request, bridgesRequest);
    const [from, to] = [endOf(ends, 'from'), endOf(ends, 'to')];
    const bridges = findBridges(from, to).map((bridge) => ({
      ...bridge,
      chords: bridge.chords.map((chord) => printChord(chord)),
      why: bridgeWords(bridge, from, to, DEFAULT_NAMING),
    }));
    response.json({ bridges } satisfies BridgesAnswer);
  });

  return routes;
}

function endOf(ends: BridgesRequest, side: 'from' | 'to'): BridgeEnd {
  const { chord: symbol, key } = ends[side];
  const chord = required(parseChord(symbol.trim()), `${side}.chord`);
  return { chord, key: key === undefined ? homeOfChord(chord) : requiredKey(key, `${side}.key`) };
}
