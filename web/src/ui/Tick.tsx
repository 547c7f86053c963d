/** One thing that is so or not. */
export function Tick({ label, on, onTick }: { readonly label: string; readonly on: boolean; readonly onTick: (on: boolean) => void }) {
  return (
    <label className="flex min-h-11 items-center gap-2">
      <input type="checkbox" checked={on} onChange={(event) => onTick(event.target.checked)} className="size-5 accent-accent" />
      {label}
    </label>
  );
}
