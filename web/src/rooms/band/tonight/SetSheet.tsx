import { type Evening, setPages, setSheet } from '@aurora/core';
import { useMemo, useState } from 'react';
import { useMembers } from '../../../api/members.ts';
import { PagesSheet } from '../../../parts/paper/PagesSheet.tsx';
import { useNaming } from '../../../session/lens.ts';
import { setPaper, usePaper } from '../../../session/paper-store.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { BAND_WORDS } from '../../../wording/band.ts';

const KINDS = [
  ['list', BAND_WORDS.withEverything],
  ['floor', BAND_WORDS.forTheFloor],
] as const;

/** The set on paper: with everything for a stand, or titles and keys in big type for the floor. */
export function SetSheet({ evening, onClose }: { readonly evening: Evening; readonly onClose: () => void }) {
  const naming = useNaming();
  const members = useMembers();
  const { paper } = usePaper();
  const [kind, setKind] = useState<'list' | 'floor'>('list');
  const pages = useMemo(() => {
    const nameOf = (id: string) => members?.find((member) => member.id === id)?.name;
    return setPages(setSheet(evening, nameOf, naming), paper, kind);
  }, [evening, members, naming, paper, kind]);
  return (
    <PagesSheet name={BAND_WORDS.printTheSet} title={evening.name} pages={pages} paper={paper} onPaper={setPaper} onClose={onClose}>
      <Choice label={BAND_WORDS.whichSheet} value={kind} options={KINDS} onChange={setKind} />
    </PagesSheet>
  );
}
