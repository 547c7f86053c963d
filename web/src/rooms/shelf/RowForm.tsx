import { useId, useState } from 'react';
import { Button } from '../../ui/Button.tsx';
import { SHELF_WORDS } from '../../wording/shelf.ts';

interface RowFormProps {
  readonly label: string;
  readonly value: string;
  readonly placeholder?: string;
  readonly most?: number;
  /** What was typed, or null when it is left as it was. */
  readonly onDone: (text: string | null) => void;
}

/** One line of words under a song of the shelf: Enter takes it, Esc leaves it. */
export function RowForm({ label, value, placeholder, most, onDone }: RowFormProps) {
  const [text, setText] = useState(value);
  const id = useId();
  return (
    <form
      className="flex flex-wrap items-center gap-2 px-3 pb-3"
      onSubmit={(event) => {
        event.preventDefault();
        onDone(text);
      }}
      onKeyDown={(event) => event.key === 'Escape' && onDone(null)}
    >
      <label htmlFor={id} className="text-fine font-semibold text-quiet">
        {label}
      </label>
      <input
        id={id}
        // biome-ignore lint/a11y/noAutofocus: the field was asked for a moment ago
        autoFocus
        value={text}
        maxLength={most}
        onChange={({ target }) => setText(target.value)}
        placeholder={placeholder}
        className="min-h-11 min-w-52 flex-1 rounded-lg border border-edge bg-raised px-3 placeholder:text-quiet"
      />
      <Button type="submit" look="strong">
        {SHELF_WORDS.done}
      </Button>
    </form>
  );
}
