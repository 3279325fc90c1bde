import { useId } from 'react';

interface SliderProps {
  label: string;
  /** The value in words: "+12 %". */
  words: string;
  value: number;
  least: number;
  most: number;
  step: number;
  onLive: (value: number) => void;
  onDone: (value: number) => void;
}

/** A value moved by feel; what it does shows while it moves, and it is saved when it is let go. */
export function Slider({ label, words, value, least, most, step, onLive, onDone }: SliderProps) {
  const id = useId();
  const done = (event: { currentTarget: HTMLInputElement }) => onDone(Number(event.currentTarget.value));
  return (
    <div className="grid grid-cols-[1fr_auto] text-s text-ink-2">
      <label className="font-firm" htmlFor={id}>
        {label}
      </label>
      <output className="font-mono text-xs" htmlFor={id}>
        {words}
      </output>
      <input
        id={id}
        className="col-span-full h-7 w-full accent-vermilion"
        type="range"
        min={least}
        max={most}
        step={step}
        value={value}
        aria-valuetext={words}
        onChange={(event) => onLive(Number(event.target.value))}
        onPointerUp={done}
        onKeyUp={done}
        onBlur={done}
      />
    </div>
  );
}
