import type { Material } from '#core/materials/material.ts';
import { fileSize } from '#core/words/file-size.ts';

/** How much of what one maker may keep is used. */
export function Meter({ materials, totalBytes }: { materials: readonly Material[]; totalBytes: number }) {
  const used = materials.reduce((sum, { bytes }) => sum + bytes, 0);
  return (
    <label className="grid gap-0.5 text-xs text-ink-3">
      <span>
        {fileSize(used)} of {fileSize(totalBytes)} used
      </span>
      <meter className="h-2 w-30" min={0} max={totalBytes} high={totalBytes * 0.9} value={used} />
    </label>
  );
}
