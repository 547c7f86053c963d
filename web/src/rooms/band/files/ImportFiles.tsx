import type { ImportPreview } from '@aurora/wire';
import { type ReactNode, useState } from 'react';
import { Link } from 'react-router';
import { useImportFile, useImportPreview, useTakeIn } from '../../../api/files.ts';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { readAsScore } from '../../../parts/score/file-to-read.ts';
import { keyWordsOf } from '../../../parts/song/shelf-view.ts';
import { useNaming } from '../../../session/lens.ts';
import { useTonight } from '../../../session/tonight-store.ts';
import { AskOnce } from '../../../ui/AskOnce.tsx';
import { Button, buttonLook } from '../../../ui/Button.tsx';
import { DropFile } from '../../../ui/DropFile.tsx';
import { Tick } from '../../../ui/Tick.tsx';
import { BAND_WORDS } from '../../../wording/band.ts';
import { WorkLine } from './WorkLine.tsx';

const ENDINGS = '.musicxml,.xml,.mxl,.mid,.midi,.abc,.txt,.csv,.json';

/** A file is read, shown as what it would become, and only then taken in. */
export function ImportFiles() {
  const file = useImportFile();
  const taken = useTakeIn();
  const [chosen, setChosen] = useState<File | null>(null);
  const name = chosen?.name ?? '';
  const importId = file.state?.state === 'done' ? file.state.id : null;
  const preview = useImportPreview(importId);
  const read = (given: File | undefined) => {
    if (given === undefined) return;
    taken.forget();
    setChosen(given);
    file.start(given);
  };
  const leave = () => {
    file.forget();
    taken.forget();
  };
  return (
    <div className="flex flex-col gap-3">
      <DropFile choose={BAND_WORDS.chooseAFile} label={BAND_WORDS.fileToImport} endings={ENDINGS} onFile={read}>
        {BAND_WORDS.orDropItHereMusicXMLMIDI}
      </DropFile>
      {importId !== null && taken.state === null && chosen !== null && HOLDS_NOTES.test(name) && <AsScore file={chosen} />}
      {file.state?.state !== 'done' && <WorkLine work={file} what={BAND_WORDS.reading(name)} fetch="" />}
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

/** Files that may hold every note of a piece. */
const HOLDS_NOTES = /\.(musicxml|xml|mxl|mid|midi|abc)$/i;

/** The other thing a file of notes may become: a piece on the Score desk. */
function AsScore({ file }: { readonly file: File }) {
  return (
    <Link to="/analyze/score" className={`${buttonLook('plain')} self-start`} onClick={() => readAsScore(file)}>
      {BAND_WORDS.readEveryNoteOfIt}
    </Link>
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
      <WorkLine work={{ ...work, file: null }} what={BAND_WORDS.takingItIn} fetch="" />
      {first !== undefined && (
        <Link className="font-semibold text-accent underline" to={`/songs/${first}/chart`}>
          {BAND_WORDS.open} {state?.made?.songs.length === 1 ? 'it' : BAND_WORDS.theFirst}
        </Link>
      )}
      {setId !== null && (
        <Link className="font-semibold text-accent underline" to="/band/tonight" onClick={() => open(setId)}>
          {BAND_WORDS.openTheSet}
        </Link>
      )}
      {state?.state !== 'working' && (
        <Button look="bare" onClick={onAgain}>
          {BAND_WORDS.anotherFile}
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
      <section aria-label={BAND_WORDS.whatWouldBecome(name)} className="flex flex-col items-start gap-3">
        <p className="text-base">
          {BAND_WORDS.aSet}
          {preview.name}
          {BAND_WORDS.withWord} {preview.entries} {preview.entries === 1 ? 'entry' : 'entries'}.
        </p>
        {preview.missing.length > 0 && (
          <p className="text-base text-alarm">
            {BAND_WORDS.notOnTheShelfSoLeft} {preview.missing.join(', ')}.
          </p>
        )}
        <Answer onLeave={onLeave}>
          <Button look="strong" disabled={preview.entries === 0} onClick={() => onTake()}>
            {BAND_WORDS.makeTheSet}
          </Button>
        </Answer>
      </section>
    );
  return (
    <section aria-label={BAND_WORDS.whatWouldBecome(name)} className="flex flex-col items-start gap-3">
      <p className="text-base">
        {BAND_WORDS.aBackupOf} <b>{preview.band}</b>
        {BAND_WORDS.made} {new Date(preview.savedAt).toLocaleString()}: {preview.songs} {BAND_WORDS.songsIn} {preview.versions}{' '}
        {BAND_WORDS.versions} {preview.members} {BAND_WORDS.playersCounted} {preview.sets} {BAND_WORDS.sets}
      </p>
      <p className="text-base text-quiet">{BAND_WORDS.itGoesInPlaceOfEverything}</p>
      <Answer onLeave={onLeave}>
        <AskOnce
          title={BAND_WORDS.putBackAsItWas(preview.band)}
          yes={BAND_WORDS.restore}
          no={BAND_WORDS.cancel}
          onYes={() => onTake()}
          trigger={<Button look="strong">{BAND_WORDS.restore}</Button>}
        >
          {BAND_WORDS.everySongSetAndPlayerThat}
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
        {BAND_WORDS.cancel}
      </Button>
    </div>
  );
}

const MOST_SHOWN = 200;
const TEXT_LINES = 14;
const FEW = 5;

interface SongsPreviewProps {
  readonly preview: Extract<ImportPreview, { kind: 'songs' }>;
  readonly onTake: (take?: readonly number[]) => void;
  readonly onLeave: () => void;
}

/** The songs of a file with what got lost, each to be taken or left. */
function SongsPreview({ preview: { songs, format }, onTake, onLeave }: SongsPreviewProps) {
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const count = songs.length - left.size;
  const turn = (index: number) =>
    setLeft((before) => {
      const next = new Set(before);
      if (!next.delete(index)) next.add(index);
      return next;
    });
  const take = () => onTake(left.size === 0 ? undefined : songs.flatMap((_, index) => (left.has(index) ? [] : [index])));
  return (
    <section aria-label={BAND_WORDS.whatTheFileWouldBecome} className="flex flex-col gap-3">
      <p className="text-base text-quiet">
        {format}, {songs.length === 1 ? BAND_WORDS.oneSong : BAND_WORDS.songsCounted(songs.length)}
      </p>
      <ul className="flex flex-col gap-3">
        {songs.slice(0, MOST_SHOWN).map((song, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: songs of a file may have one title; their place tells them apart
          <li key={index} className="rounded-xl border border-hairline p-3">
            <SongFound song={song} taken={!left.has(index)} onTurn={() => turn(index)} lines={linesShown(songs.length)} />
          </li>
        ))}
      </ul>
      {songs.length > MOST_SHOWN && (
        <p className="text-base text-quiet">
          {BAND_WORDS.and} {songs.length - MOST_SHOWN} {BAND_WORDS.moreWhichAreTakenToo}
        </p>
      )}
      <Answer onLeave={onLeave}>
        <Button look="strong" disabled={count === 0} onClick={take}>
          {count === 1 ? BAND_WORDS.importIt : BAND_WORDS.putSongsOnTheShelf(count)}
        </Button>
      </Answer>
    </section>
  );
}

/** How much of each text is shown: all of one, the beginning of a few, nothing of many. */
function linesShown(songs: number): number {
  if (songs === 1) return Number.POSITIVE_INFINITY;
  return songs <= FEW ? TEXT_LINES : 0;
}

interface SongFoundProps {
  readonly song: SongsPreviewProps['preview']['songs'][number];
  readonly taken: boolean;
  readonly onTurn: () => void;
  readonly lines: number;
}

/** One song of a file: what it is called, what got lost, and how it begins. */
function SongFound({ song, taken, onTurn, lines }: SongFoundProps) {
  const naming = useNaming();
  return (
    <>
      <Tick
        on={taken}
        onTick={onTurn}
        label={
          <>
            <b className="text-lead">{song.title || BAND_WORDS.songWithoutATitle}</b>{' '}
            <span className="text-base text-quiet">
              <Glyphs text={keyWordsOf(song.key, naming)} />, {song.bars === 1 ? BAND_WORDS.oneBar : BAND_WORDS.bars(song.bars)}
            </span>
          </>
        }
      />
      {[...song.losses, ...song.problems].length > 0 && (
        <ul aria-label={BAND_WORDS.whatGotLost} className="mt-1 list-disc pl-9 text-fine">
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
      {lines > 0 && (
        <pre className="mt-2 max-h-72 overflow-auto rounded-lg bg-sheet p-3 text-fine leading-snug whitespace-pre-wrap">
          {song.source.split('\n').slice(0, lines).join('\n')}
        </pre>
      )}
    </>
  );
}
