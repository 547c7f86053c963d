import { DropdownMenu } from 'radix-ui';
import type { ReactElement } from 'react';
import { useLens, useOwnReaderId } from '../session/lens.ts';
import { setReader } from '../session/lens-store.ts';
import { memberChoice, READER_CHOICES, type ReaderChoice } from '../session/reader-view.ts';
import { ChosenIcon } from '../ui/icons.ts';
import { OpenedMenu } from '../ui/OpenedMenu.tsx';
import { HOUSE_WORDS } from '../wording/house.ts';

const GROUPS = [HOUSE_WORDS.theBand, HOUSE_WORDS.concertAndHorns, HOUSE_WORDS.guitar] as const;

/** Everyone a song can be read as; open from the start. */
export function ReaderMenu({ trigger }: { readonly trigger: ReactElement }) {
  const { members, reader } = useLens();
  const own = useOwnReaderId();
  const choices = [...(members ?? []).map((member) => memberChoice(member)), ...READER_CHOICES];
  return (
    <OpenedMenu trigger={trigger} className="z-50 max-h-[70vh] w-64 overflow-auto rounded-2xl border border-edge bg-raised p-2">
      {GROUPS.filter((group) => choices.some((choice) => choice.group === group)).map((group) => (
        <DropdownMenu.RadioGroup key={group} value={reader.id} onValueChange={(id) => setReader(id === own ? null : id)}>
          <DropdownMenu.Label className="px-3 pt-2 pb-1 text-fine font-semibold text-quiet">{group}</DropdownMenu.Label>
          {choices
            .filter((choice) => choice.group === group)
            .map((choice) => (
              <ReaderItem key={choice.id} choice={choice} isOwn={choice.id === own} />
            ))}
        </DropdownMenu.RadioGroup>
      ))}
    </OpenedMenu>
  );
}

function ReaderItem({ choice: { id, label, member }, isOwn }: { readonly choice: ReaderChoice; readonly isOwn: boolean }) {
  return (
    <DropdownMenu.RadioItem
      value={id}
      className="flex min-h-10 cursor-pointer items-center justify-between rounded-lg px-3 text-base data-[highlighted]:bg-wash"
    >
      <span>
        {member === null ? label : member.name}
        {member !== null && <span className="ml-2 text-quiet">{isOwn ? HOUSE_WORDS.playsAndIsYou(member.plays) : member.plays}</span>}
      </span>
      <DropdownMenu.ItemIndicator>
        <ChosenIcon size={17} className="text-accent" />
      </DropdownMenu.ItemIndicator>
    </DropdownMenu.RadioItem>
  );
}
