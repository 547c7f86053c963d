import { Checkbox } from 'radix-ui';
import { type ReactNode, useId } from 'react';
import { ChosenIcon } from './icons.ts';

interface TickProps {
  readonly label: ReactNode;
  readonly on: boolean;
  readonly onTick: (on: boolean) => void;
}

/** One thing that is so or not. */
export function Tick({ label, on, onTick }: TickProps) {
  const id = useId();
  return (
    <span className="flex min-h-11 items-center gap-2.5">
      <Checkbox.Root
        id={id}
        checked={on}
        onCheckedChange={(next) => onTick(next === true)}
        className="grid size-6 shrink-0 place-items-center rounded-md border-2 border-edge bg-raised data-[state=checked]:border-accent data-[state=checked]:bg-accent data-[state=checked]:text-on-accent"
      >
        <Checkbox.Indicator>
          <ChosenIcon size={17} strokeWidth={3} />
        </Checkbox.Indicator>
      </Checkbox.Root>
      <label htmlFor={id} className="cursor-pointer">
        {label}
      </label>
    </span>
  );
}
