const LOCAL = 'aurora-band';

/** The band this device was left in; null where none was chosen. */
export function chosenBand(): string | null {
  try {
    return localStorage.getItem(LOCAL);
  } catch {
    return null;
  }
}

/** Has this device open a band from now on. */
export function chooseBand(bandId: string | null): void {
  try {
    if (bandId === null) localStorage.removeItem(LOCAL);
    else localStorage.setItem(LOCAL, bandId);
  } catch {
    // without room on the device the first band opens next time
  }
}
