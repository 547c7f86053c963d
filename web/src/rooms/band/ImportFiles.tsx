import type { ImportPreview } from '@aurora/wire';
import { type DragEvent, type ReactNode, useRef, useState } from 'react';
import { Link } from 'react-router';
import { useImportFile, useImportPreview, useTakeIn } from '../../api/files.ts';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { keyWordsOf } from '../../parts/song/shelf-view.ts';
import { useNaming } from '../../session/lens.ts';
import { useTonight } from '../../session/tonight-store.ts';
import { AskOnce } from '../../ui/AskOnce.tsx';
import { Button } from '../../ui/Button.tsx';
import { ImportIcon } from '../../ui/icons.ts';
import { Tick } from '../../ui/Tick.tsx';
import { WorkLine } from './WorkLine.tsx';

const ENDINGS = '.musicxml,.xml,.mxl,.mid,.midi,.abc,.txt,.csv,.json';

/** A file is read, shown as what it would become, and only then taken in. */
export function ImportFiles() {
  const file = useImportFile();
  const taken = useTakeIn();
  const [name, setName] = useState('');
  const importId = file.state?.state === 'done' ? file.state.id : null;
  const preview = useImportPreview(importId);
  const read = (chosen: File | undefined) => {
    if (chosen === undefined) return;
    taken.forget();
    setName(chosen.name);
    file.start(chosen);
  };
  const leave = () => {
    file.forget();
    taken.forget();
  };
  return (
    <div className="flex flex-col gap-3">
      <DropFile onFile={read} />
      {file.state?.state !== 'done' && <WorkLine work={file} what={`Reading ${name}`} fetch="" />}
      {preview.error !== null && <p className="font-semibold text-alarm">{preview.error.message}</p>}
      {importId !== null && preview.data !== undefined && taken.state === null && (
        <Preview
          preview={preview.data}
          name={name}
          onTake={(take) => taken.start(take === undefined ? { importId } : { importId, take })}
          onLeave={leave}
        />
      )}
      {(taken.state !== null || taken.fault !== null) && <Taken work={taken} onAgain={leave} />}
    </div>
  );
}

/** Where a file is dropped or chosen. */
function DropFile({ onFile }: { readonly onFile: (file: File | undefined) => void }) {
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
        <ImportIcon size={17} aria-hidden="true" /> Choose a file
      </Button>
      <input
        ref={input}
        type="file"
        accept={ENDINGS}
        aria-label="File to import"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          onFile(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <p className="text-base text-quiet">
        or drop it here: MusicXML, MIDI, ABC, chords over lyrics, a song index or set as CSV, a backup. Nothing is taken in before you have
        seen it.
      </p>
    </div>
  );
}

/** What came of it, with the way there. */
function Taken({ work, onAgain }: { readonly work: ReturnType<typeof useTakeIn>; readonly onAgain: () => void }) {
  const { state } = work;
  const open = useTonight((tonight) => tonight.open);
  const first = state?.made?.songs[0];
  const setId = state?.made?.setId ?? null;
  return (
    <div className="flex flex-wrap items-center gap-3">
      <WorkLine work={{ ...work, file: null }} what="Taking it in" fetch="" />
      {first !== undefined && (
        <Link className="font-semibold text-accent underline" to={`/songs/${first}/chart`}>
          Open {state?.made?.songs.length === 1 ? 'it' : 'the first'}
        </Link>
      )}
      {setId !== null && (
        <Link className="font-semibold text-accent underline" to="/band/tonight" onClick={() => open(setId)}>
          Open the set
        </Link>
      )}
      {state?.state !== 'working' && (
        <Button look="bare" onClick={onAgain}>
          Another file
        </Button>
      )}
    </div>
  );
}

interface PreviewProps {
  readonly preview: ImportPreview;
  readonly name: string;
  readonly onTake: (take?: readonly number[]) => void;
  readonly onLeave: () => void;
}

/** What a file would become. */
function Preview({ preview, name, onTake, onLeave }: PreviewProps) {
  if (preview.kind === 'songs') return <SongsPreview preview={preview} onTake={onTake} onLeave={onLeave} />;
  if (preview.kind === 'set')
    return (
      <section aria-label={`What ${name} would become`} className="flex flex-col items-start gap-3">
        <p className="text-base">
          A set “{preview.name}” with {preview.entries} {preview.entries === 1 ? 'entry' : 'entries'}.
        </p>
        {preview.missing.length > 0 && <p className="text-base text-alarm">Not on the shelf, so left out: {preview.missing.join(', ')}.</p>}
        <Answer onLeave={onLeave}>
          <Button look="strong" disabled={preview.entries === 0} onClick={() => onTake()}>
            Make the set
          </Button>
        </Answer>
      </section>
    );
  return (
    <section aria-label={`What ${name} would become`} className="flex flex-col items-start gap-3">
      <p className="text-base">
        A backup of <b>{preview.band}</b>, made {new Date(preview.savedAt).toLocaleString()}: {preview.songs} songs in {preview.versions}{' '}
        versions, {preview.members} players, {preview.sets} sets.
      </p>
      <p className="text-base text-quiet">
        It goes in place of everything that is here now. Back up the band first if you may want that again.
      </p>
      <Answer onLeave={onLeave}>
        <AskOnce
          title={`Put ${preview.band} back as it was?`}
          yes="Restore"
          no="Cancel"
          onYes={() => onTake()}
          trigger={<Button look="strong">Restore</Button>}
        >
          Every song, set and player that is here now goes. This cannot be taken back.
        </AskOnce>
      </Answer>
    </section>
  );
}

function Answer({ onLeave, children }: { readonly onLeave: () => void; readonly children: ReactNode }) {
  return (
    <div className="flex gap-2">
      {children}
      <Button look="bare" onClick={onLeave}>
        Leave it
      </Button>
    </div>
  );
}

const MOST_SHOWN = 200;
const TEXT_LINES = 14;

interface SongsPreviewProps {
  readonly preview: Extract<ImportPreview, { kind: 'songs' }>;
  readonly onTake: (take?: readonly number[]) => void;
  readonly onLeave: () => void;
}

/** The songs of a file with what got lost, each to be taken or left. */
function SongsPreview({ preview: { songs, format }, onTake, onLeave }: SongsPreviewProps) {
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const naming = useNaming();
  const count = songs.length - left.size;
  const turn = (index: number) =>
    setLeft((before) => {
      const next = new Set(before);
      if (!next.delete(index)) next.add(index);
      return next;
    });
  const take = () => onTake(left.size === 0 ? undefined : songs.flatMap((_, index) => (left.has(index) ? [] : [index])));
  return (
    <section aria-label="What the file would become" className="flex flex-col gap-3">
      <p className="text-base text-quiet">
        {format}, {songs.length === 1 ? 'one song' : `${songs.length} songs`}
      </p>
      <ul className="flex flex-col gap-3">
        {songs.slice(0, MOST_SHOWN).map((song, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: songs of a file may have one title; their place tells them apart
          <li key={index} className="rounded-xl border border-hairline p-3">
            <Tick
              on={!left.has(index)}
              onTick={() => turn(index)}
              label={
                <>
                  <b className="text-lead">{song.title || 'Song without a title'}</b>{' '}
                  <span className="text-base text-quiet">
                    <Glyphs text={keyWordsOf(song.key, naming)} />, {song.bars === 1 ? '1 bar' : `${song.bars} bars`}
                  </span>
                </>
              }
            />
            {[...song.losses, ...song.problems].length > 0 && (
              <ul aria-label="What got lost" className="mt-1 list-disc pl-9 text-fine">
                {song.losses.map((words) => (
                  <li key={words}>{words}</li>
                ))}
                {song.problems.map((words) => (
                  <li key={words} className="text-alarm">
                    {words}
                  </li>
                ))}
              </ul>
            )}
            {songs.length <= 5 && (
              <pre className="mt-2 max-h-72 overflow-auto rounded-lg bg-sheet p-3 text-fine leading-snug whitespace-pre-wrap">
                {song.source
                  .split('\n')
                  .slice(0, songs.length === 1 ? undefined : TEXT_LINES)
                  .join('\n')}
              </pre>
            )}
          </li>
        ))}
      </ul>
      {songs.length > MOST_SHOWN && <p className="text-base text-quiet">and {songs.length - MOST_SHOWN} more, which are taken too</p>}
      <Answer onLeave={onLeave}>
        <Button look="strong" disabled={count === 0} onClick={take}>
          {count === 1 ? 'Import it' : `Put ${count} songs on the shelf`}
        </Button>
      </Answer>
    </section>
  );
}
