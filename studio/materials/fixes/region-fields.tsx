import type { Region } from '#core/materials/fixes.ts';
import { NumberField } from './number-field.tsx';

interface RegionFieldsProps {
  region: Region;
  /** What the region is, for its name. */
  of: string;
  onChange: (region: Region) => void;
}

const percent = (share: number): number => Math.round(share * 1000) / 10;

/** A rectangle in numbers: percent of the picture's width and height. */
export function RegionFields({ region, of, onChange }: RegionFieldsProps) {
  const set = (change: Partial<Region>) => {
    const next = { ...region, ...change };
    onChange({
      x: Math.min(next.x, 1 - 0.01),
      y: Math.min(next.y, 1 - 0.01),
      width: Math.max(0.01, Math.min(next.width, 1 - Math.min(next.x, 0.99))),
      height: Math.max(0.01, Math.min(next.height, 1 - Math.min(next.y, 0.99))),
    });
  };
  return (
    <fieldset className="grid grid-cols-[1fr_1fr] gap-x-3 gap-y-2">
      <legend className="sr-only">{of}, in percent of the picture</legend>
      {(
        [
          ['x', 'From left'],
          ['y', 'From top'],
          ['width', 'Width'],
          ['height', 'Height'],
        ] as const
      ).map(([key, name]) => (
        <NumberField
          key={key}
          label={name}
          unit="%"
          value={percent(region[key])}
          least={key === 'width' || key === 'height' ? 1 : 0}
          most={100}
          step={0.5}
          onChange={(value) => set({ [key]: value / 100 })}
        />
      ))}
    </fieldset>
  );
}
