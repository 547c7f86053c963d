import { type KeptInRekeying, type Key, nameKey, nameNote } from '@aurora/core';
import { Glyphs } from '../parts/notation/Glyphs.tsx';
import { FurtherKeys } from '../parts/reading/FurtherKeys.tsx';
import { circleKeys } from '../session/key-view.ts';
import { useLens } from '../session/lens.ts';
import { setKey } from '../session/lens-store.ts';
import { useOpened } from '../session/opened.ts';
import { HELP_WORDS } from '../wording/help.ts';

interface KeyChoiceProps {
  readonly current: Key;
  readonly scaleIsFree: boolean;
}

/** Keys to read in; seen from another key than its home, a song can get a new home too. */
export function KeyChoice({ current, scaleIsFree }: KeyChoiceProps) {
  const { isEmpty, rehome } = useOpened();
  // on an empty chart the key chosen is the song's own, its scale included
  const isFree = scaleIsFree || (isEmpty && rehome !== null);
  return (
    <>
      {isEmpty && rehome !== null && <p className="mb-3 text-base text-quiet">{HELP_WORDS.theKeyOfThisSongNothing}</p>}
      <TonicGrid current={current} />
      <FurtherKeys current={current} scaleIsFree={isFree} onChoose={setKey} />
      <NewHome />
    </>
  );
}

function TonicGrid({ current }: { readonly current: Key }) {
  const { naming } = useLens();
  return (
    <div role="group" aria-label={HELP_WORDS.tonic} className="grid grid-cols-4 gap-1.5">
      {circleKeys(current.scale).map((key) => (
        <button
          key={key.tonic}
          type="button"
          aria-pressed={key.tonic === current.tonic}
          onClick={() => setKey(key)}
          className="music-glyph min-h-12 rounded-lg border border-hairline text-lead font-bold hover:border-accent aria-pressed:bg-wash aria-pressed:shadow-[inset_0_-3px_0_var(--accent)]"
        >
          <Glyphs text={nameNote(key.tonic, naming.notes)} />
        </button>
      ))}
    </div>
  );
}

/** The two ways in which the key that is seen can become the song's own. */
function NewHome() {
  const { rehome } = useOpened();
  const { key, homeKey, naming } = useLens();
  if (rehome === null || key === null || homeKey === null) return null;
  const to = { ...homeKey, tonic: key.tonic };
  const [home, seen] = [nameKey(homeKey, naming), nameKey(to, naming)];
  const move = (keeps: KeptInRekeying) => () => {
    rehome(to, keeps);
    setKey(null);
  };
  return (
    <div className="mt-4 flex flex-col gap-1.5 border-t border-hairline pt-3">
      <Way
        title={HELP_WORDS.homeIsNowKeepTheNumbers(seen)}
        means={HELP_WORDS.theSongMovesWhatSoundsIn(home, seen)}
        onPress={move('numbers')}
      />
      <Way
        title={HELP_WORDS.homeIsNowKeepWhatSounds(seen)}
        means={HELP_WORDS.theChordsOfStayTheirNumbers(home, seen)}
        onPress={move('sound')}
      />
    </div>
  );
}

function Way({ title, means, onPress }: { readonly title: string; readonly means: string; readonly onPress: () => void }) {
  return (
    <button type="button" onClick={onPress} className="rounded-lg border border-hairline px-3 py-2 text-left hover:border-accent">
      <b className="music-glyph block text-base">
        <Glyphs text={title} />
      </b>
      <span className="music-glyph text-fine text-quiet">
        <Glyphs text={means} />
      </span>
    </button>
  );
}
