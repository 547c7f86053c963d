import { Slider as Radix } from 'radix-ui';

interface SliderProps {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  /** What the value is to those who do not see it, with its unit. */
  readonly said?: string;
  readonly onChange: (value: number) => void;
  /** Called when it is let go; for what is kept. */
  readonly onRest?: (value: number) => void;
  readonly className?: string;
}

/** An amount on a line. */
export function Slider({ label, value, min, max, step, said, onChange, onRest, className = 'w-40' }: SliderProps) {
  return (
    <Radix.Root
      value={[value]}
      min={min}
      max={max}
      step={step}
      onValueChange={([wanted = min]) => onChange(wanted)}
      onValueCommit={([wanted = min]) => onRest?.(wanted)}
      className={`relative flex h-11 touch-none items-center ${className}`}
    >
      <Radix.Track className="relative h-1.5 grow rounded-full bg-edge/60">
        <Radix.Range className="absolute h-full rounded-full bg-accent" />
      </Radix.Track>
      <Radix.Thumb aria-label={label} aria-valuetext={said} className="block size-6 rounded-full border-2 border-accent bg-raised" />
    </Radix.Root>
  );
}
