import { previewPath } from '#contract/material-paths.ts';
import { mostLight } from '#core/materials/fixes.ts';
import type { MaterialOf } from '#core/materials/material.ts';
import { shownSize } from '#core/gallery/fixed-frame.ts';
import { Slider } from './slider.tsx';
import type { FixesState } from './use-fixes.ts';
import './region-stage.css';

const words = (share: number): string => `${share > 0 ? '+' : ''}${Math.round(share * 100)} %`;

/** Brightness and contrast, kept modest. The browser's own filters show what the files will be. */
export function useLightTab(material: MaterialOf<'picture'>, { fixes, move, save }: FixesState) {
  const { brightness = 0, contrast = 0, ...unlit } = fixes;
  const size = shownSize(material.facts, fixes);
  const stage = (
    <div className="region-stage">
      <img
        src={`/${previewPath({ id: material.id, fixes: unlit }, 1400)}`}
        width={size.widthPx}
        height={size.heightPx}
        alt=""
        style={{ filter: `brightness(${1 + brightness}) contrast(${1 + contrast})` }}
      />
    </div>
  );
  const controls = (['brightness', 'contrast'] as const).map((which) => (
    <Slider
      key={which}
      label={which === 'brightness' ? 'Brightness' : 'Contrast'}
      words={words(fixes[which] ?? 0)}
      value={fixes[which] ?? 0}
      least={-mostLight}
      most={mostLight}
      step={0.01}
      onLive={(value) => move({ ...fixes, [which]: value })}
      onDone={(value) => save({ ...fixes, [which]: value })}
    />
  ));
  return { stage, controls };
}
