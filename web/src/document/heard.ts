import { type Analysis, type AnalysisWish, analyze, progressionOf } from '@aurora/core';
import { chartOf } from './open-chart.ts';

/** The wish for nothing in particular: in the key that is found, at home. */
export const AT_HOME: AnalysisWish = {};

let last: { readonly text: string; readonly analysis: Analysis } | null = null;

/** What is heard in a text at home. It is heard once, whoever asks. */
export function heardAtHome(text: string): Analysis {
  if (last?.text !== text) last = { text, analysis: analyze(progressionOf(chartOf(text)), AT_HOME) };
  return last.analysis;
}
