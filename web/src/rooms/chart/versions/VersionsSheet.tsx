import type { SongVersionHead } from '@aurora/wire';
import { formatDistanceToNow } from 'date-fns';
import { useState } from 'react';
import { useVersions } from '../../../api/versions.ts';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { Button } from '../../../ui/Button.tsx';
import { NamedIcon } from '../../../ui/icons.ts';
import { Sheet } from '../../../ui/Sheet.tsx';
import { Tick } from '../../../ui/Tick.tsx';
import { CHART_WORDS } from '../../../wording/chart.ts';
import { OpenVersion } from './OpenVersion.tsx';

interface VersionsSheetProps {
  readonly songId: string;
  readonly text: string;
  readonly onWrite: (text: string) => void;
  readonly onClose: () => void;
}

/** Every save of the song, by what it changed: named, compared bar by bar, restored whole or one section at a time. */
export function VersionsSheet({ songId, text, onWrite, onClose }: VersionsSheetProps) {
  const [named, setNamed] = useState(false);
  const versions = useVersions(songId, named);
  const [chosen, setChosen] = useState<number | null>(null);
  const all = versions.data?.pages.flatMap((page) => page.versions) ?? [];
  const open = all.find(({ revision }) => revision === chosen) ?? all[0];
  const restore = (next: string) => {
    onWrite(next);
    onClose();
  };
  return (
    <Sheet title={CHART_WORDS.versions} open onOpenChange={(is) => !is && onClose()}>
      <div className="grid min-h-[50vh] gap-5 md:grid-cols-[19rem_1fr]">
        <div>
          <Tick label={CHART_WORDS.onlyNamedOnes} on={named} onTick={setNamed} />
          {versions.error !== null && <p className="text-alarm">{versions.error.message}</p>}
          {versions.isPending && <p className="py-3 text-quiet">{CHART_WORDS.fetchingTheSaves}</p>}
          {all.length === 0 && versions.isSuccess && (
            <p className="py-3 text-quiet">{named ? CHART_WORDS.noVersionHasANameYet : CHART_WORDS.nothingIsSavedYet}</p>
          )}
          <ul aria-label={CHART_WORDS.saves} className="max-h-[52vh] overflow-auto">
            {all.map((version) => (
              <li key={version.revision}>
                <Save version={version} isOpen={version === open} onOpen={() => setChosen(version.revision)} />
              </li>
            ))}
          </ul>
          {versions.hasNextPage && (
            <Button look="bare" disabled={versions.isFetchingNextPage} onClick={() => void versions.fetchNextPage()}>
              {CHART_WORDS.earlierOnes}
            </Button>
          )}
        </div>
        {open !== undefined && <OpenVersion key={open.revision} songId={songId} head={open} text={text} onWrite={restore} />}
      </div>
    </Sheet>
  );
}

interface SaveProps {
  readonly version: SongVersionHead;
  readonly isOpen: boolean;
  readonly onOpen: () => void;
}

function Save({ version: { name, by, savedAt, changes, revision }, isOpen, onOpen }: SaveProps) {
  const said = changes.length > 0 ? changes.join('; ') : revision === 1 ? CHART_WORDS.theFirstSave : CHART_WORDS.savedAgainAsItWas;
  const when = formatDistanceToNow(savedAt, { addSuffix: true });
  return (
    <button
      type="button"
      aria-pressed={isOpen}
      onClick={onOpen}
      className="flex min-h-11 w-full flex-col items-start rounded-lg border-b border-hairline px-3 py-1.5 text-left hover:bg-wash aria-pressed:bg-wash aria-pressed:shadow-[inset_3px_0_0_var(--accent)]"
    >
      {name !== null && (
        <b className="flex items-center gap-1.5">
          <NamedIcon size={15} aria-hidden="true" className="shrink-0 fill-accent text-accent" /> {name}
        </b>
      )}
      <span className={`line-clamp-3 leading-snug ${name === null ? 'font-semibold' : ''}`}>
        <Glyphs text={sentence(said)} />
      </span>
      <span className="text-fine text-quiet">{by === null ? when : `${by}, ${when}`}</span>
    </button>
  );
}

function sentence(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
