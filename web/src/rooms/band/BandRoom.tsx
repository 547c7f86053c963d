import type { ComponentType } from 'react';
import { useNavigate, useParams } from 'react-router';
import { lensSearchNow } from '../../session/lens-store.ts';
import { partKeys, useShortcuts } from '../../session/use-shortcuts.ts';
import { PartTabs } from '../../ui/PartTabs.tsx';
import { BAND_WORDS } from '../../wording/band.ts';
import { BAND_PARTS, type BandPartName, bandPart } from './band-part.ts';
import { FilesPart } from './files/FilesPart.tsx';
import { GuitarsPart } from './GuitarsPart.tsx';
import { PlayersPart } from './PlayersPart.tsx';
import { PeoplePart } from './people/PeoplePart.tsx';
import { SingerPart } from './singer/SingerPart.tsx';
import { TonightPart } from './tonight/TonightPart.tsx';

const BODIES: Readonly<Record<BandPartName, ComponentType>> = {
  tonight: TonightPart,
  players: PlayersPart,
  singer: SingerPart,
  guitars: GuitarsPart,
  files: FilesPart,
  people: PeoplePart,
};

/** The same songs for everyone in the band: tonight's order and keys, who reads what, and files for everybody else. */
export function BandRoom() {
  const { songId, part: named } = useParams();
  const navigate = useNavigate();
  const part = bandPart(named);
  const open = (name: BandPartName) => {
    const room = songId === undefined ? '/band' : `/songs/${songId}/band`;
    void navigate({ pathname: `${room}/${name}`, search: lensSearchNow() });
  };
  useShortcuts(partKeys(BAND_PARTS, open));
  const Body = BODIES[part];
  return (
    <div className="mx-auto flex max-w-[1240px] flex-col px-5 py-1 phone:px-3">
      <PartTabs label={BAND_WORDS.theBand} parts={BAND_PARTS} open={part} onOpen={open}>
        <Body />
      </PartTabs>
    </div>
  );
}
