import type { BarCell } from '@aurora/core';
import type { CSSProperties } from 'react';

/** Chords that share a bar stand in columns as wide as their beats, and never so close that two numbers read as one. */
export function barColumns({ chords }: Pick<BarCell, 'chords'>): CSSProperties {
  return { gridTemplateColumns: chords.map(({ share }) => `minmax(min-content, ${share}fr)`).join(' ') };
}
