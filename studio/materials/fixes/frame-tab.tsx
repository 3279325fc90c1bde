import { RotateCcw, RotateCw } from 'lucide-react';
import { useState } from 'react';
import { previewPath } from '#contract/material-paths.ts';
import type { Region } from '#core/materials/fixes.ts';
import type { MaterialOf } from '#core/materials/material.ts';
import { cropOfRatio, cropRatios, fixedFrame, quartersOf, withFrame } from '#core/gallery/fixed-frame.ts';
import { RegionFields } from './region-fields.tsx';
import { RegionStage } from './region-stage.tsx';
import { Slider } from './slider.tsx';
import type { FixesState } from './use-fixes.ts';
import { Button } from '../../ui/button.tsx';
import { SelectField } from '../../ui/select.tsx';

const whole: Region = { x: 0, y: 0, width: 1, height: 1 };
/** Degrees between −180 and 180, to a tenth. */
const normal = (turn: number): number => {
  const rounded = Math.round(turn * 10) / 10;
  return rounded > 180 ? rounded - 360 : rounded <= -180 ? rounded + 360 : rounded;
};

/** Turn, crop and round: what is left of the picture's frame. */
export function useFrameTab(material: MaterialOf<'picture'>, { fixes, saved, move, save }: FixesState) {
  const [ratioName, setRatioName] = useState('free');
  const upright = material.facts;
  const frame = fixedFrame(upright, fixes);
  const savedFrame = fixedFrame(upright, saved);
  const crop = fixes.crop ?? whole;
  const ratio =
    ratioName === 'as it is'
      ? frame.levelPx.widthPx / frame.levelPx.heightPx
      : (cropRatios.find(({ name }) => name === ratioName)?.ratio ?? null);
  // A proportion in pixels is another one in shares.
  const ratioInShares = ratio && (ratio * frame.levelPx.heightPx) / frame.levelPx.widthPx;
  const turnTo = (turn: number) => withFrame(upright, fixes, { turn: normal(turn) });
  const cropTo = (to: Region) => withFrame(upright, fixes, { crop: to });
  const { quarters, fineDegrees } = quartersOf(fixes.turn ?? 0);
  const fine = Math.round(fineDegrees * 10) / 10;

  // While the slider moves, the picture that is there is turned in the browser; the real one comes when it is let go.
  const ahead = (fixes.turn ?? 0) - (saved.turn ?? 0);
  const grown =
    savedFrame.levelPx.widthPx > 0 && quarters === savedFrame.quarters
      ? savedFrame.levelPx.widthPx / frame.levelPx.widthPx
      : 1;
  const { crop: _crop, round: _round, ...uncut } = saved;
  const stage = (
    <RegionStage
      kind="crop"
      regions={[crop]}
      selected={0}
      ratio={ratioInShares}
      onLive={([to]) => to && move(cropTo(to))}
      onDone={([to]) => to && save(cropTo(to))}
    >
      <span className="block overflow-hidden">
        <img
          src={`/${previewPath({ id: material.id, fixes: uncut }, 1400)}`}
          width={Math.round(savedFrame.levelPx.widthPx)}
          height={Math.round(savedFrame.levelPx.heightPx)}
          alt=""
          draggable={false}
          style={ahead ? { transform: `rotate(${ahead}deg) scale(${grown})` } : undefined}
        />
      </span>
    </RegionStage>
  );
  const controls = (
    <>
      <div className="flex flex-wrap gap-2">
        <Button small onClick={() => save(turnTo((fixes.turn ?? 0) - 90))}>
          <RotateCcw size={15} aria-hidden="true" /> Turn left
        </Button>
        <Button small onClick={() => save(turnTo((fixes.turn ?? 0) + 90))}>
          <RotateCw size={15} aria-hidden="true" /> Turn right
        </Button>
      </div>
      <Slider
        label="Level"
        words={`${fine > 0 ? '+' : ''}${fine}°`}
        value={fine}
        least={-45}
        most={45}
        step={0.1}
        onLive={(value) => move(turnTo((fixes.turn ?? 0) - fineDegrees + value))}
        onDone={(value) => save(turnTo((fixes.turn ?? 0) - fineDegrees + value))}
      />
      <SelectField
        name="Proportions"
        value={ratioName}
        options={[
          { value: 'free', name: 'free' },
          { value: 'as it is', name: 'as it is' },
          ...cropRatios.map(({ name }) => ({ value: name, name })),
        ]}
        onChange={(name) => {
          setRatioName(name);
          const wanted =
            name === 'as it is'
              ? frame.levelPx.widthPx / frame.levelPx.heightPx
              : cropRatios.find((one) => one.name === name)?.ratio;
          if (wanted) save(cropTo(cropOfRatio(frame.levelPx, wanted, crop)));
        }}
      />
      <RegionFields region={crop} of="What is kept" onChange={(to) => save(cropTo(to))} />
      <label className="check">
        <input
          type="checkbox"
          checked={fixes.round ?? false}
          onChange={(event) => {
            const square = cropOfRatio(frame.levelPx, 1, crop);
            save({
              ...(event.target.checked && !fixes.crop ? cropTo(square) : fixes),
              round: event.target.checked,
            });
          }}
        />
        Cut it round
      </label>
    </>
  );
  return { stage, controls };
}
