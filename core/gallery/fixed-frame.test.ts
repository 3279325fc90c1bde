import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { burntIn, type Fixes, fixesSchema } from '../materials/fixes.ts';
import {
  cropOfRatio,
  fixedFrame,
  levelFrameScale,
  shownSize,
  toShown,
  toUpright,
  withFrame,
} from './fixed-frame.ts';
import { regionBetween } from './region.ts';

const side = fc.integer({ min: 40, max: 6000 });
const size = fc.record({ widthPx: side, heightPx: side });
const share = fc.double({ min: 0, max: 1, noNaN: true });
const turn = fc.oneof(fc.constantFrom(0, 90, 180, -90), fc.double({ min: -179.9, max: 180, noNaN: true }));
const crop = fc
  .tuple(share, share, share, share)
  .map(([x, y, right, below]) => regionBetween({ x, y }, { x: right, y: below }))
  .filter(({ width, height }) => width >= 0.05 && height >= 0.05);
const frame = fc.record({ turn, crop });

describe('the frame that turn and crop leave', () => {
  test('is the whole picture without fixes, and its sides change places with a quarter turn', () => {
    const upright = { widthPx: 4000, heightPx: 3000 };
    expect(shownSize(upright, {})).toEqual(upright);
    expect(shownSize(upright, { turn: 90 })).toEqual({ widthPx: 3000, heightPx: 4000 });
    expect(shownSize(upright, { turn: -90 })).toEqual({ widthPx: 3000, heightPx: 4000 });
    expect(shownSize(upright, { turn: 180 })).toEqual(upright);
  });

  test('a square turned by 45 degrees leaves a square of 1/√2 of its side (elementary geometry)', () => {
    expect(levelFrameScale({ widthPx: 1000, heightPx: 1000 }, 45)).toBeCloseTo(Math.SQRT1_2, 12);
  });

  test('never shows anything from outside the picture, and is as large as that lets it be', () => {
    fc.assert(
      fc.property(size, turn, (upright, degrees) => {
        const corners = [0, 1].flatMap((x) =>
          [0, 1].map((y) => toUpright(upright, { turn: degrees }, { x, y })),
        );
        const outermost = Math.max(
          ...corners.map(({ x, y }) => Math.max(Math.abs(x - 0.5), Math.abs(y - 0.5))),
        );
        expect(outermost).toBeCloseTo(0.5, 6);
      }),
    );
  });

  test('a point is found again on the way there and back', () => {
    fc.assert(
      fc.property(size, frame, share, share, (upright, fixes, x, y) => {
        const back = toUpright(upright, fixes, toShown(upright, fixes, { x, y }));
        expect(back.x).toBeCloseTo(x, 6);
        expect(back.y).toBeCloseTo(y, 6);
      }),
    );
  });

  test('the focus point stays on the same thing while that is shown', () => {
    const upright = { widthPx: 4000, heightPx: 3000 };
    const before: Fixes = { focus: { x: 0.75, y: 0.5 } };
    const after = withFrame(upright, before, { turn: 90, crop: { x: 0, y: 0.5, width: 1, height: 0.5 } });
    const thing = toUpright(upright, before, { x: 0.75, y: 0.5 });
    const shown = toShown(upright, after, thing);
    expect(after.focus?.x).toBeCloseTo(shown.x, 9);
    expect(after.focus?.y).toBeCloseTo(shown.y, 9);
    expect(withFrame(upright, {}, { turn: 90 }).focus).toBeUndefined();
  });

  test.each([16 / 9, 3 / 2, 1, 4 / 5])('a crop of ratio %p has it in pixels', (ratio) => {
    fc.assert(
      fc.property(size, crop, (upright, around) => {
        const cut = cropOfRatio(upright, ratio, around);
        const { widthPx, heightPx } = fixedFrame(upright, { crop: cut });
        expect(widthPx / heightPx).toBeCloseTo(ratio, 6);
        expect(Math.max(cut.width, cut.height)).toBe(1);
      }),
    );
  });
});

describe('fixes as they are stored', () => {
  test('those that do nothing are not burnt in, and the focus point never is', () => {
    expect(
      burntIn({
        turn: 0,
        brightness: 0,
        blackOut: [],
        round: false,
        crop: { x: 0, y: 0, width: 1, height: 1 },
        focus: { x: 0.2, y: 0.2 },
      }),
    ).toEqual({});
  });

  test('a region outside its picture and a turn of more than a half are refused', () => {
    const outside = { x: 0.8, y: 0, width: 0.5, height: 0.1 };
    expect(fixesSchema.safeParse({ crop: outside }).success).toBe(false);
    expect(fixesSchema.safeParse({ blackOut: [outside] }).success).toBe(false);
    expect(fixesSchema.safeParse({ turn: 200 }).success).toBe(false);
    expect(fixesSchema.parse({ crop: { x: 0.123456, y: 0, width: 0.5, height: 1 } }).crop?.x).toBe(0.1235);
  });
});
