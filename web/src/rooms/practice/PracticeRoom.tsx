import { type ComponentType, useEffect, useRef } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useRefreshPractice } from '../../api/practice.ts';
import { partKeys, useShortcuts } from '../../session/use-shortcuts.ts';
import { PartTabs } from '../../ui/PartTabs.tsx';
import { PRACTICE_WORDS } from '../../wording/practice.ts';
import { LogPart } from './log/LogPart.tsx';
import { PlanPart } from './PlanPart.tsx';
import { ProgrammePart } from './ProgrammePart.tsx';
import { PRACTICE_PARTS, type PracticePartName, practicePart } from './practice-part.ts';
import { StudiesPart } from './StudiesPart.tsx';
import { type PartProps, type Practice, usePractice } from './use-practice.ts';
import { WorksheetPart } from './WorksheetPart.tsx';

const BODIES: Readonly<Record<PracticePartName, ComponentType<PartProps>>> = {
  plan: PlanPart,
  studies: StudiesPart,
  programme: ProgrammePart,
  worksheet: WorksheetPart,
  log: LogPart,
};

/** Twenty minutes with the instrument: a plan for them, every study there is, a key a night, and what came of it. */
export function PracticeRoom() {
  const { part: named } = useParams();
  const navigate = useNavigate();
  const practice = usePractice();
  useSentAnew(practice);
  const part = practicePart(named);
  const open = (name: PracticePartName) => void navigate(`/practice/${name}`);
  useShortcuts(partKeys(PRACTICE_PARTS, open));
  const Body = BODIES[part];
  return (
    <div className="mx-auto flex max-w-[1240px] flex-col px-5 py-1 phone:px-3">
      <PartTabs label={PRACTICE_WORDS.room} parts={PRACTICE_PARTS} open={part} onOpen={open}>
        <Body practice={practice} />
      </PartTabs>
    </div>
  );
}

/** What waited here and has been sent is asked for from the server, where it is now. */
function useSentAnew({ player, waiting }: Practice): void {
  const refresh = useRefreshPractice(player);
  const before = useRef(waiting);
  useEffect(() => {
    if (waiting < before.current) refresh();
    before.current = waiting;
  }, [waiting, refresh]);
}
