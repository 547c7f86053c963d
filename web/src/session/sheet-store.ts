import { create } from 'zustand';

/** Which sheet lies over the room. */
export type OpenSheet =
  | { readonly kind: 'keys' }
  | { readonly kind: 'commands' }
  | { readonly kind: 'glossary'; readonly wanted: string }
  | null;

export const useSheet = create<{ readonly sheet: OpenSheet }>()(() => ({ sheet: null }));

/** Lays a sheet over the room; null takes it away. */
export function openSheet(sheet: OpenSheet): void {
  useSheet.setState({ sheet });
}
