import {
  type BarChange,
  compareCharts,
  insertSection,
  openChart,
  printBarToken,
  readChart,
  replaceSection,
  sectionText,
  type WrittenBar,
} from '@aurora/core';
import type { SongVersionHead } from '@aurora/wire';
import { formatDistanceToNow } from 'date-fns';
import { useMemo, useState } from 'react';
import { useNameVersion, useVersion, useVersions } from '../../api/versions.ts';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { Button } from '../../ui/Button.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { Tick } from '../../ui/Tick.tsx';

interface VersionsSheetProps {
  readonly songId: string;
  readonly text: string;
  readonly onWrite: (text: string) => void;
  readonly onClose: () => void;
}

/** Every save of the song: named, compared bar by bar, restored whole or one section at a time. */
export function VersionsSheet({ songId, text, onWrite, onClose }: VersionsSheetProps) {
  const [named, setNamed] = useState(false);
  const versions = useVersions(songId, named);
  const [chosen, setChosen] = useState<number | null>(null);
  const all = versions.data?.pages.flatMap((page) => page.versions) ?? [];
  const open = all.find(({ revision }) => revision === chosen) ?? all[0];
  return (
    <Sheet title="Versions" open onOpenChange={(is) => !is && onClose()}>
      <div className="grid min-h-[50vh] gap-5 md:grid-cols-[15rem_1fr]">
        <div>
          <Tick label="Only named ones" on={named} onTick={setNamed} />
          {versions.error !== null && <p className="text-alarm">{versions.error.message}</p>}
          {all.length === 0 && versions.isSuccess && (
            <p className="py-3 text-quiet">{named ? 'No version has a name yet. Choose one and name it.' : 'Nothing is saved yet.'}</p>
          )}
          <ul aria-label="Saves" className="max-h-[52vh] overflow-auto">
            {all.map((version) => (
              <li key={version.revision}>
                <button
                  type="button"
                  aria-pressed={version === open}
                  onClick={() => setChosen(version.revision)}
                  className="flex min-h-11 w-full flex-col items-start rounded-lg border-b border-hairline px-3 py-1.5 text-left hover:bg-wash aria-pressed:bg-wash aria-pressed:shadow-[inset_3px_0_0_var(--accent)]"
                >
                  <b>{version.name ?? `Save ${version.revision}`}</b>
                  <span className="text-[13px] text-quiet">{formatDistanceToNow(version.savedAt, { addSuffix: true })}</span>
                </button>
              </li>
            ))}
          </ul>
          {versions.hasNextPage && (
            <Button look="bare" disabled={versions.isFetchingNextPage} onClick={() => void versions.fetchNextPage()}>
              Earlier ones
            </Button>
          )}
        </div>
        {open !== undefined && (
          <OpenVersion
            key={open.revision}
            songId={songId}
            head={open}
            text={text}
            onWrite={(next) => {
              onWrite(next);
              onClose();
            }}
          />
        )}
      </div>
    </Sheet>
  );
}

interface OpenVersionProps {
  readonly songId: string;
  readonly head: SongVersionHead;
  readonly text: string;
  readonly onWrite: (text: string) => void;
}

function OpenVersion({ songId, head, text, onWrite }: OpenVersionProps) {
  const version = useVersion(songId, head.revision);
  const name = useNameVersion(songId);
  const [typed, setTyped] = useState(head.name ?? '');
  const source = version.data?.source;
  if (version.error !== null) return <p className="text-alarm">{version.error.message}</p>;
  if (source === undefined) return <p className="text-quiet">Fetching it…</p>;
  return (
    <div className="flex min-w-0 flex-col gap-4">
      <form
        className="flex flex-wrap gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          name.mutate({ revision: head.revision, name: typed.trim() === '' ? null : typed.trim() });
        }}
      >
        <input
          aria-label="Name of this version"
          value={typed}
          maxLength={80}
          onChange={(event) => setTyped(event.target.value)}
          placeholder="a name, such as: the chorus we liked"
          className="min-h-11 min-w-0 flex-1 rounded-lg border border-edge bg-sheet px-3 placeholder:text-quiet"
        />
        <Button type="submit" disabled={name.isPending || typed.trim() === (head.name ?? '')}>
          Name it
        </Button>
        <Button look="strong" disabled={source === text} onClick={() => onWrite(source)}>
          Restore it whole
        </Button>
      </form>
      <Comparison before={source} after={text} />
      <Sections source={source} text={text} onWrite={onWrite} />
    </div>
  );
}

/** What became of this version's bars until now. */
function Comparison({ before, after }: { readonly before: string; readonly after: string }) {
  const { changes, old, now } = useMemo(() => {
    const [first, second] = [readChart(before), readChart(after)];
    return { changes: compareCharts(first, second), old: first.bars, now: second.bars };
  }, [before, after]);
  const changed = changes.filter(({ kind }) => kind !== 'same').length;
  return (
    <section aria-label="What changed since">
      <h3 className="mb-1 font-semibold">
        {changed === 0 ? 'The bars are as they are now.' : `Since then ${changed === 1 ? 'one bar' : `${changed} bars`} changed.`}
      </h3>
      <ol className="grid max-h-64 grid-cols-4 gap-1 overflow-auto lg:grid-cols-8">
        {changes.map((change) => (
          <li key={nameOf(change)}>
            <ChangedBar change={change} old={old} now={now} />
          </li>
        ))}
      </ol>
    </section>
  );
}

function nameOf(change: BarChange): string {
  return `${'before' in change ? change.before : '–'} ${'after' in change ? change.after : '–'}`;
}

interface ChangedBarProps {
  readonly change: BarChange;
  readonly old: readonly WrittenBar[];
  readonly now: readonly WrittenBar[];
}

const SAID = { same: 'as it is', changed: 'changed', removed: 'taken out since', added: 'new since' } as const;

function ChangedBar({ change, old, now }: ChangedBarProps) {
  const was = 'before' in change ? tokenOf(old[change.before]) : null;
  const is = 'after' in change ? tokenOf(now[change.after]) : null;
  const looks = {
    same: 'border-hairline text-quiet',
    changed: 'border-accent',
    removed: 'border-dashed border-alarm',
    added: 'border-2 border-accent',
  };
  return (
    <span
      title={SAID[change.kind]}
      className={`music-glyph block min-h-9 rounded-md border px-1.5 py-1 text-[14px] font-bold ${looks[change.kind]}`}
    >
      <span className="sr-only">{SAID[change.kind]}: </span>
      {was !== null &&
        (change.kind === 'same' ? (
          <Glyphs text={was} />
        ) : (
          <del className="text-alarm">
            <Glyphs text={was} />
          </del>
        ))}
      {change.kind !== 'same' && is !== null && (
        <ins className="block text-accent no-underline">
          <Glyphs text={is} />
        </ins>
      )}
    </span>
  );
}

function tokenOf(bar: WrittenBar | undefined): string {
  return bar === undefined
    ? ''
    : printBarToken(bar)
        .replace(/b(?=[1-7])/g, '♭')
        .replace(/#(?=[1-7])/g, '♯');
}

/** The sections of this version, each to be taken over by itself. */
function Sections({ source, text, onWrite }: Pick<OpenVersionProps, 'text' | 'onWrite'> & { readonly source: string }) {
  const then = useMemo(() => openChart(source), [source]);
  const now = useMemo(() => openChart(text), [text]);
  if (then.reading.sections.length === 0) return null;
  return (
    <section aria-label="Its sections">
      <h3 className="mb-1 font-semibold">Take over one section</h3>
      <ul>
        {then.reading.sections.map(({ name, count, at }, index) => {
          const same = now.reading.sections.findIndex((section) => section.name === name);
          const copy = sectionText(then, index);
          return (
            <li key={at.line} className="flex min-h-11 flex-wrap items-center gap-2 border-b border-hairline py-1">
              <b className="min-w-24">{name || 'no name'}</b>
              <span className="flex-1 text-[14px] text-quiet">{count === 1 ? 'one bar' : `${count} bars`}</span>
              {same >= 0 && copy !== sectionText(now, same) && (
                <Button onClick={() => onWrite(replaceSection(now, same, copy))}>In place of {name}</Button>
              )}
              <Button look="bare" onClick={() => onWrite(insertSection(now, now.reading.sections.length, copy))}>
                At the end
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
