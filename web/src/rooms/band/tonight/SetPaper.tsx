import { type Evening, setPages, setSheet } from '@aurora/core';
import { useMembers } from '../../../api/members.ts';
import RoomPaper from '../../../parts/paper/RoomPaper.tsx';
import { useNaming } from '../../../session/lens.ts';

/** The set with everything that was said about it, when the browser is told to print the room. */
export default function SetPaper({ evening }: { readonly evening: Evening }) {
  const naming = useNaming();
  const members = useMembers();
  const nameOf = (id: string) => members?.find((member) => member.id === id)?.name;
  return <RoomPaper pagesOn={(paper) => setPages(setSheet(evening, nameOf, naming), paper, 'list')} />;
}
