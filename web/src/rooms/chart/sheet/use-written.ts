import { type Note, writtenKey } from '@aurora/core';
import { chartOf } from '../../../document/open-chart.ts';
import { useLens } from '../../../session/lens.ts';

/** The home tonic whose letters are on the screen: of the key lens, as the reader reads it. */
export function useWrittenTonic(text: string): Note {
  const { key, homeKey, reader } = useLens();
  const { head } = chartOf(text).reading;
  return writtenKey(reader.reader, { tonic: (key ?? homeKey ?? head.key).tonic, scale: head.key.scale }).tonic;
}
