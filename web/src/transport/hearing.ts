/** Equal temperament, A = 440 Hz. */
export function frequencyOf(midi: number): number {
  return 440 * 2 ** ((midi - 69) / 12);
}

/** The ear hears loudness by ratio: halfway on the control is half as loud. */
export function gainOf(wanted: number): number {
  return wanted === 0 ? 0 : 0.9 * wanted ** 1.7;
}
