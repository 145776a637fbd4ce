import { Slider as Radix } from 'radix-ui';
import { useId, type ReactNode } from 'react';

/** A number between two ends, where the exact one matters less than what follows from it. */
export function Slider({
  label,
  value,
  from,
  to,
  step,
  set,
  said,
}: {
  label: ReactNode;
  value: number;
  from: number;
  to: number;
  step: number;
  set: (value: number) => void;
  /** The value in words, where the number alone says too little. */
  said?: string;
}) {
  const id = useId();
  return (
    <div className="grid gap-1">
      <span id={id} className="text-sm">
        {label}
      </span>
      <Radix.Root
        className="relative flex h-6 w-full max-w-70 touch-none items-center"
        min={from}
        max={to}
        step={step}
        value={[value]}
        onValueChange={([next]) => {
          if (next !== undefined) set(next);
        }}
      >
        <Radix.Track className="border-ink bg-paper h-1 w-full grow border">
          <Radix.Range className="bg-depth-6 absolute h-1" />
        </Radix.Track>
        <Radix.Thumb
          aria-labelledby={id}
          aria-valuetext={said}
          className="border-ink bg-paper hover:bg-tint block size-4.5 rounded-full border-2"
        />
      </Radix.Root>
    </div>
  );
}
