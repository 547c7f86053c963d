import { create } from 'zustand';

/** A file that was brought in elsewhere and is to be read as a score; null when there is none. */
export const useFileToRead = create<{ readonly file: File | null }>()(() => ({ file: null }));

/** Hands a file on to the Score desk. */
export function readAsScore(file: File | null): void {
  useFileToRead.setState({ file });
}
