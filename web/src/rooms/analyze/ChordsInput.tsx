import { printChord, readProgression } from '@aurora/core';
import { useState } from 'react';
import { useLens } from '../../session/lens.ts';
import { keyInForce } from '../../session/lens-store.ts';
import { Button } from '../../ui/Button.tsx';
import { TapIcon } from '../../ui/icons.ts';
import { ANALYZE_WORDS } from '../../wording/analyze.ts';
import { TapChord } from './TapChord.tsx';

const EXAMPLES = ['Eb Cm | F7 Bb7 | Eb', 'Am F C G', 'C E7 F Fm C A7 Dm7 G7 C'];

/** Where chords are typed, pasted or tapped; they are read as they come. */
export function ChordsInput({ text, onWrite }: { readonly text: string; readonly onWrite: (text: string) => void }) {
  const [tapping, setTapping] = useState(false);
  const lens = useLens();
  const letters = !readProgression(text).keyGiven;
  return (
    <div className="flex flex-col gap-2">
      <div className="flex items-start gap-2">
        <textarea
          aria-label={ANALYZE_WORDS.chords}
          value={text}
          rows={Math.min(8, Math.max(2, text.split('\n').length))}
          spellCheck={false}
          onChange={(event) => onWrite(event.target.value)}
          placeholder={ANALYZE_WORDS.typeOrPasteChordsInLetters}
          className="music-glyph min-h-[4.2rem] flex-1 resize-y rounded-xl border border-edge bg-raised px-4 py-2.5 text-lead font-semibold placeholder:font-text placeholder:text-base placeholder:font-normal placeholder:text-quiet"
        />
        <Button aria-pressed={tapping} onClick={() => setTapping(!tapping)} className="aria-pressed:border-accent aria-pressed:bg-wash">
          <TapIcon size={17} aria-hidden="true" /> {ANALYZE_WORDS.tapAChord}
        </Button>
      </div>
      {text.trim() === '' && (
        <p className="flex flex-wrap items-center gap-2 text-base text-quiet">
          {ANALYZE_WORDS.orTry}
          {EXAMPLES.map((example) => (
            <Button key={example} look="bare" onClick={() => onWrite(example)}>
              <span className="music-glyph">{example}</span>
            </Button>
          ))}
        </p>
      )}
      {tapping && (
        <TapChord
          heardIn={keyInForce(lens)}
          naming={lens.naming}
          onAdd={(chord) => onWrite(`${text}${text === '' || /\s$/.test(text) ? '' : ' '}${printChord(chord)}`)}
        />
      )}
      {!letters && text.trim() !== '' && <p className="text-fine text-quiet">{ANALYZE_WORDS.numbersWithoutAKeyAreRead}</p>}
    </div>
  );
}
