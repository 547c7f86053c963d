import { create } from 'zustand';
import type { DraftKeeper } from './draft-keeper.ts';

/** The draft of the open song, so that the save state can be shown outside the chart room. */
export const useOpenDraft = create<{ readonly keeper: DraftKeeper | null }>()(() => ({ keeper: null }));
