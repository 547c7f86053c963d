import type { ComponentType } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useMayWrite } from '../../api/songs.ts';
import { partKeys, useShortcuts } from '../../session/use-shortcuts.ts';
import { PartTabs } from '../../ui/PartTabs.tsx';
import { BAND_WORDS } from '../../wording/band.ts';
import { BAND_PARTS, type BandPartName, bandPart, GUEST_PARTS } from './band-part.ts';
import { FilesPart } from './files/FilesPart.tsx';
import { GuitarsPart } from './GuitarsPart.tsx';
import { PlayersPart } from './PlayersPart.tsx';
import { SingerPart } from './singer/SingerPart.tsx';
import { GuestTonight } from './tonight/GuestTonight.tsx';
import { TonightPart } from './tonight/TonightPart.tsx';

const BODIES: Readonly<Record<BandPartName, ComponentType>> = {
  tonight: TonightPart,
  players: PlayersPart,
  singer: SingerPart,
  guitars: GuitarsPart,
  files: FilesPart,
};

/** The same songs for everyone in the band: tonight's order and keys, who reads what, and files for everybody else. */
export function BandRoom() {
  const { songId, part: named } = useParams();
  const navigate = useNavigate();
  const mayWrite = useMayWrite();
  const parts = mayWrite ? BAND_PARTS : GUEST_PARTS;
  const part = bandPart(named, parts);
  const open = (name: BandPartName) => {
    const room = songId === undefined ? '/band' : `/songs/${songId}/band`;
    void navigate(`${room}/${name}`);
  };
  useShortcuts(partKeys(parts, open));
  const Body = part === 'tonight' && !mayWrite ? GuestTonight : BODIES[part];
  return (
    <div className="mx-auto flex max-w-[1240px] flex-col px-5 py-1 phone:px-3">
      <PartTabs label={BAND_WORDS.theBand} parts={parts} open={part} onOpen={open}>
        <Body />
      </PartTabs>
    </div>
  );
}
