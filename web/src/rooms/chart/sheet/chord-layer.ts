/** What the analysis lays over a chord. */
export interface ChordLayer {
  readonly lines: readonly string[];
  readonly bracket: { readonly begins: boolean; readonly ends: boolean; readonly complete: boolean } | null;
}
