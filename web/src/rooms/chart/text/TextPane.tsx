import type { Problem } from '@aurora/core';
import { lazy, type ReactNode, type Ref, Suspense } from 'react';
import type { Rewriting } from '../../../document/use-song-draft.ts';
import { CHART_WORDS } from '../../../wording/chart.ts';
import type { EditorHandle } from './ChartEditor.tsx';

const ChartEditor = lazy(async () => ({ default: (await import('./ChartEditor.tsx')).ChartEditor }));

interface TextPaneProps {
  readonly text: string;
  readonly problems: readonly Problem[];
  readonly rewriting: Rewriting;
  readonly onEnter: () => void;
  readonly onLeave: () => void;
  readonly handle: Ref<EditorHandle>;
  /** What is wrong with the text, under it. */
  readonly children: ReactNode;
}

/** The chart as text beside its sheet; either can be used alone. */
export function TextPane({ text, problems, rewriting, onEnter, onLeave, handle, children }: TextPaneProps) {
  return (
    <div className="flex min-h-0 flex-1 flex-col bg-raised">
      <div className="min-h-0 flex-1" onFocusCapture={onEnter}>
        <Suspense fallback={<p className="p-4 text-quiet">{CHART_WORDS.openingTheText}</p>}>
          <ChartEditor
            text={text}
            problems={problems}
            onChange={(next) => rewriting.write(next, true)}
            onUndo={() => rewriting.undo?.()}
            onRedo={() => rewriting.redo?.()}
            onLeave={onLeave}
            handle={handle}
          />
        </Suspense>
      </div>
      {children}
    </div>
  );
}
