import type { Paper } from '@aurora/core';
import { useState } from 'react';
import { Tick } from '../../ui/Tick.tsx';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { PagesSheet } from './PagesSheet.tsx';
import { type Study, useStudyPages } from './use-study.ts';

interface StudySheetProps {
  readonly study: Study;
  readonly staff: boolean;
  readonly onStaff: (staff: boolean) => void;
  readonly onClose: () => void;
}

/** The study as it will lie on the music stand, with a staff over the tab when that is wanted. */
export function StudySheet({ study, staff, onStaff, onClose }: StudySheetProps) {
  const [paper, setPaper] = useState<Paper>('A4');
  const { pages, waiting, failed } = useStudyPages(study, paper, staff);
  return (
    <PagesSheet
      name={PARTS_WORDS.studySheet}
      title={study.title}
      pages={pages}
      paper={paper}
      onPaper={setPaper}
      onClose={onClose}
      waiting={waiting}
    >
      <Tick label={PARTS_WORDS.staff} on={staff} onTick={onStaff} />
      {waiting && <p role="status">{PARTS_WORDS.fetchingTheStaff}</p>}
      {failed && <p role="alert">{PARTS_WORDS.theStaffCouldNotBeFetched}</p>}
    </PagesSheet>
  );
}
