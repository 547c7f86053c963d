/** Tells of something that went wrong, briefly, at the edge of the screen. */
export async function sayFault(text: string): Promise<void> {
  const { toast } = await import('sonner');
  toast.error(text);
}

/** Tells of something that went well and cannot be seen where one looks, with one thing to do about it. */
export async function sayDone(text: string, next?: { readonly label: string; readonly act: () => void }): Promise<void> {
  const { toast } = await import('sonner');
  toast.success(text, next === undefined ? {} : { action: { label: next.label, onClick: next.act } });
}
