/** Tells other tabs of this browser that something was saved, so that they fetch it at once. */
const CHANNEL = 'aurora-saved';

let channel: BroadcastChannel | null = null;

function opened(): BroadcastChannel | null {
  if (typeof BroadcastChannel === 'undefined') return null;
  channel ??= new BroadcastChannel(CHANNEL);
  return channel;
}

export function tellSaved(id: string): void {
  opened()?.postMessage(id);
}

/** Listens to what other tabs save. */
export function onSavedElsewhere(listener: (id: string) => void): () => void {
  const listen = ({ data }: MessageEvent<string>) => listener(data);
  opened()?.addEventListener('message', listen);
  return () => opened()?.removeEventListener('message', listen);
}
