import { MOST_CHART_BYTES } from '@aurora/wire';
import { Button } from '../../ui/Button.tsx';
import { Notice } from '../../ui/Notice.tsx';

/** A text that is too long is kept and not drawn. */
export function TooLongNotice({ text }: { readonly text: string }) {
  return (
    <Notice title="Too long for a chart">
      <p>
        This text is {Math.round(text.length / 1024)} KB; a chart can be {MOST_CHART_BYTES / 1024} KB. It stays in the text pane and on this
        device. Take something out and it is saved again.
      </p>
    </Notice>
  );
}

/** The first step of a chart. */
export function NoBarsNotice({ onFirst, onPaste }: { readonly onFirst: () => void; readonly onPaste: () => void }) {
  return (
    <Notice
      title="No bars yet"
      action={
        <span className="flex gap-2">
          <Button look="strong" onClick={onFirst}>
            Write the first bar
          </Button>
          <Button onClick={onPaste}>Paste chords</Button>
        </span>
      }
    >
      <p>
        Write numbers, one a bar: <b>1 4 6- 5</b>. A minus is minor. Letters work too, and become numbers in the key of the song.
      </p>
    </Notice>
  );
}
