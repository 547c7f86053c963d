import { tagsOf } from '../../parts/song/shelf-view.ts';
import { SHELF_WORDS } from '../../wording/shelf.ts';
import { RowForm } from './RowForm.tsx';

interface TagFormProps {
  readonly title: string;
  readonly tags: readonly string[];
  readonly onDone: (tags: readonly string[] | null) => void;
}

/** The tags of a song, as words with commas between them; null when they are left as they are. */
export function TagForm({ title, tags, onDone }: TagFormProps) {
  return (
    <RowForm
      label={`${SHELF_WORDS.tagsOf} ${title}`}
      value={tags.join(', ')}
      placeholder={SHELF_WORDS.slowEncore}
      onDone={(text) => onDone(text === null ? null : tagsOf(text))}
    />
  );
}
