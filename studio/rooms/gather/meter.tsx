import type { Material } from '#core/content/material.ts';

const words = (bytes: number): string =>
  bytes >= 1024 ** 3
    ? `${(bytes / 1024 ** 3).toFixed(1)} GB`
    : `${Math.max(bytes > 0 ? 1 : 0, Math.round(bytes / 1024 ** 2))} MB`;

/** How much of what one maker may keep is used. */
export function Meter({ materials, totalBytes }: { materials: readonly Material[]; totalBytes: number }) {
  const used = materials.reduce((sum, { bytes }) => sum + bytes, 0);
  return (
    <label className="used">
      <span>
        {words(used)} of {words(totalBytes)} used
      </span>
      <meter min={0} max={totalBytes} high={totalBytes * 0.9} value={used} />
    </label>
  );
}
