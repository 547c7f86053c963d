import { Check, ChevronDown } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useLens } from '../session/lens.ts';
import { keyInForce, setReader } from '../session/lens-store.ts';
import { memberChoice, READER_CHOICES, readerNote } from '../session/reader-view.ts';

const GROUPS = ['The band', 'Concert and horns', 'Guitar'] as const;

/** Through whose eyes everything is read. The sounding key stays in sight. */
export function ReaderLens() {
  const state = useLens();
  const choices = [...(state.members ?? []).map((member) => memberChoice(member)), ...READER_CHOICES];
  const choose = (id: string) => setReader(id);
  const note = readerNote(state.reader, keyInForce(state), state.naming);
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger
        aria-label={`Reader: ${state.reader.label}`}
        className="flex min-h-11 flex-col items-start rounded-lg border border-edge bg-raised px-3 py-1 text-left leading-tight hover:border-accent"
      >
        <span className="flex items-center gap-1 text-[15px] font-semibold whitespace-nowrap">
          {state.reader.label}
          <ChevronDown size={16} aria-hidden="true" className="text-quiet" />
        </span>
        <span className="music-glyph text-[13px] font-medium whitespace-nowrap text-quiet" data-testid="reader-note">
          {note ?? 'reads what sounds'}
        </span>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          sideOffset={8}
          align="end"
          className="z-50 max-h-[70vh] w-64 overflow-auto rounded-2xl border border-edge bg-raised p-2"
        >
          {GROUPS.filter((group) => choices.some((choice) => choice.group === group)).map((group) => (
            <DropdownMenu.RadioGroup key={group} value={state.reader.id} onValueChange={choose}>
              <DropdownMenu.Label className="px-3 pt-2 pb-1 text-sm font-semibold text-quiet">{group}</DropdownMenu.Label>
              {choices
                .filter((choice) => choice.group === group)
                .map((choice) => (
                  <DropdownMenu.RadioItem
                    key={choice.id}
                    value={choice.id}
                    className="flex min-h-10 cursor-pointer items-center justify-between rounded-lg px-3 text-[15px] data-[highlighted]:bg-wash"
                  >
                    <span>
                      {choice.member === null ? choice.label : choice.member.name}
                      {choice.member !== null && <span className="ml-2 text-quiet">{choice.member.plays}</span>}
                    </span>
                    <DropdownMenu.ItemIndicator>
                      <Check size={17} className="text-accent" />
                    </DropdownMenu.ItemIndicator>
                  </DropdownMenu.RadioItem>
                ))}
            </DropdownMenu.RadioGroup>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
