import {
  type Drawing,
  drawDiagrams,
  type Instrument,
  type Key,
  layOutTab,
  moved,
  musicWidth,
  type Paper,
  type SheetLine,
  studyPages,
  type TabEvent,
} from '@aurora/core';
import { useEffect, useMemo, useState } from 'react';
import { PARTS_WORDS } from '../../wording/parts.ts';

/** What a study sheet shows. */
export interface Study {
  readonly title: string;
  /** One line under the title: key, tempo, tuning. */
  readonly facts: string;
  readonly events: readonly TabEvent[];
  readonly beatsPerBar: number;
  readonly instrument: Instrument;
  readonly key: Key;
}

type Staffing = Pick<typeof import('./staff.ts'), 'drawStaff'> & {
  readonly engraver: Awaited<ReturnType<typeof import('./staff.ts').loadEngraver>>;
};

const LOWEST_TREBLE = 36;

/** The engraver while a staff is wanted; null until it has come, `failed` when it does not. */
function useEngraver(wanted: boolean): { readonly staffing: Staffing | null; readonly failed: boolean } {
  const [staffing, setStaffing] = useState<Staffing | null>(null);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    if (!wanted || staffing !== null) return;
    let here = true;
    import('./staff.ts')
      .then(async ({ drawStaff, loadEngraver }) => ({ drawStaff, engraver: await loadEngraver() }))
      .then(
        (ready) => here && setStaffing(ready),
        () => here && setFailed(true),
      );
    return () => {
      here = false;
    };
  }, [wanted, staffing]);
  return { staffing, failed };
}

/** The lines of a study, with a staff over the tab once the engraver is there. */
export function useStudyLines(study: Study, width: number, staff: boolean) {
  const { staffing, failed } = useEngraver(staff);
  const { events, beatsPerBar, instrument, key } = study;
  const lines = useMemo((): readonly SheetLine[] => {
    const clef = (instrument.tuning[0] as number) < LOWEST_TREBLE && instrument.tuning.length < 6 ? 'bass' : 'treble';
    return layOutTab(events, beatsPerBar, width).map((system) => {
      const { shapes, height } = drawDiagrams(system);
      if (!staff || staffing === null) return { system, over: shapes, overHeight: height };
      const music = staffing.drawStaff(staffing.engraver, system, { key, clef });
      return { system, over: [...shapes, ...music.shapes.map((shape) => moved(shape, 0, height))], overHeight: height + music.height };
    });
  }, [events, beatsPerBar, width, instrument, key, staff, staffing]);
  return { lines, waiting: staff && staffing === null && !failed, failed };
}

const FOOT = PARTS_WORDS.auroraRidgeStopWhenItHurts;

/** The study as pages of paper. */
export function useStudyPages(study: Study, paper: Paper, staff: boolean) {
  const { lines, waiting, failed } = useStudyLines(study, musicWidth(paper), staff);
  const { title, facts, instrument } = study;
  const pages: readonly Drawing[] = useMemo(
    () => studyPages({ title, facts, lines, foot: FOOT }, instrument, paper),
    [title, facts, lines, instrument, paper],
  );
  return { pages, waiting, failed };
}
