import { useId, useState } from 'react';
import { tagsOf } from '../../parts/song/shelf-view.ts';
import { Button } from '../../ui/Button.tsx';
import { SHELF_WORDS } from '../../wording/shelf.ts';

interface TagFormProps {
  readonly title: string;
  readonly tags: readonly string[];
  readonly onDone: (tags: readonly string[] | null) => void;
}

/** The tags of a song, as words with commas between them; null when they are left as they are. */
export function TagForm({ title, tags, onDone }: TagFormProps) {
  const [text, setText] = useState(tags.join(', '));
  const id = useId();
  return (
    <form
      className="flex flex-wrap items-center gap-2 px-3 pb-3"
      onSubmit={(event) => {
        event.preventDefault();
        onDone(tagsOf(text));
      }}
      onKeyDown={(event) => event.key === 'Escape' && onDone(null)}
    >
      <label htmlFor={id} className="text-fine font-semibold text-quiet">
        {SHELF_WORDS.tagsOf} {title}
      </label>
      <input
        id={id}
        // biome-ignore lint/a11y/noAutofocus: the field was asked for a moment ago
        autoFocus
        value={text}
        onChange={(event) => setText(event.target.value)}
        placeholder={SHELF_WORDS.slowEncore}
        className="min-h-11 min-w-52 flex-1 rounded-lg border border-edge bg-raised px-3 placeholder:text-quiet"
      />
      <Button type="submit" look="strong">
        {SHELF_WORDS.done}
      </Button>
    </form>
  );
}
