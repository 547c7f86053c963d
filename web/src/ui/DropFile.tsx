import { type DragEvent, type ReactNode, useRef, useState } from 'react';
import { Button } from './Button.tsx';
import { ImportIcon } from './icons.ts';

interface DropFileProps {
  /** What the button says. */
  readonly choose: string;
  /** What the file is for. */
  readonly label: string;
  /** Endings of the files that fit: `.mid,.abc`. */
  readonly endings: string;
  readonly onFile: (file: File | undefined) => void;
  readonly children: ReactNode;
}

/** Where a file is dropped or chosen. */
export function DropFile({ choose, label, endings, onFile, children }: DropFileProps) {
  const input = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    onFile(event.dataTransfer.files[0]);
  };
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the button inside is the way without a mouse
    <div
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
      className={`flex flex-col items-start gap-2 rounded-2xl border-2 border-dashed p-5 ${over ? 'border-accent bg-wash' : 'border-edge'}`}
    >
      <Button look="strong" onClick={() => input.current?.click()}>
        <ImportIcon size={17} aria-hidden="true" /> {choose}
      </Button>
      <input
        ref={input}
        type="file"
        accept={endings}
        aria-label={label}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          onFile(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <p className="text-base text-quiet">{children}</p>
    </div>
  );
}
