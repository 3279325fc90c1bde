import type { Fixes, Region } from '../materials/fixes.ts';

export interface Size {
  widthPx: number;
  heightPx: number;
}
interface Point {
  x: number;
  y: number;
}

/** A turn as whole quarters (0 to 3, clockwise) and what is left of it, −45° to 45°. */
export function quartersOf(turn: number): { quarters: number; fineDegrees: number } {
  const whole = Math.round(turn / 90);
  return { quarters: ((whole % 4) + 4) % 4, fineDegrees: turn - whole * 90 };
}

/** Size of a picture after whole quarter turns. */
export function afterQuarters({ widthPx, heightPx }: Size, quarters: number): Size {
  return quarters % 2 === 0 ? { widthPx, heightPx } : { widthPx: heightPx, heightPx: widthPx };
}

/**
 * How large a frame of the picture's own proportions, level and centred, fits into the picture when that is turned by
 * some degrees: 1 for no turn. The frame turned the other way has a bounding box of
 * (w·cos φ + h·sin φ) × (w·sin φ + h·cos φ), and that box must lie within w × h (elementary geometry).
 */
export function levelFrameScale({ widthPx: w, heightPx: h }: Size, fineDegrees: number): number {
  const angle = (Math.abs(fineDegrees) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return Math.min(w / (w * cos + h * sin), h / (w * sin + h * cos));
}

/** Where the shown frame lies: in pixels of the picture after its turn, from the centre of the turned picture. */
export interface FixedFrame {
  quarters: number;
  fineDegrees: number;
  /** The level frame without empty corners, before the crop. */
  levelPx: Size;
  /** The shown piece of the level frame; not rounded. */
  leftPx: number;
  topPx: number;
  widthPx: number;
  heightPx: number;
}

const whole: Region = { x: 0, y: 0, width: 1, height: 1 };

/**
 * The frame that is left of a picture by its turn and crop.
 *
 * @param upright size of the original as seen, after its EXIF turn
 */
export function fixedFrame(upright: Size, { turn = 0, crop = whole }: Fixes): FixedFrame {
  const { quarters, fineDegrees } = quartersOf(turn);
  const turned = afterQuarters(upright, quarters);
  const scale = levelFrameScale(turned, fineDegrees);
  const levelPx = { widthPx: turned.widthPx * scale, heightPx: turned.heightPx * scale };
  return {
    quarters,
    fineDegrees,
    levelPx,
    leftPx: levelPx.widthPx * crop.x,
    topPx: levelPx.heightPx * crop.y,
    widthPx: levelPx.widthPx * crop.width,
    heightPx: levelPx.heightPx * crop.height,
  };
}

/** Size in whole pixels of a picture as it is shown, with its fixes. */
export function shownSize(upright: Size, fixes: Fixes): Size {
  const { widthPx, heightPx } = fixedFrame(upright, fixes);
  return { widthPx: Math.max(1, Math.round(widthPx)), heightPx: Math.max(1, Math.round(heightPx)) };
}

/** Turns a point about the origin; degrees clockwise with y pointing down. */
function turned({ x, y }: Point, degrees: number): Point {
  const angle = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return { x: x * cos - y * sin, y: x * sin + y * cos };
}

/** Where a point of the upright original is shown, as shares of the shown frame; outside 0…1 when it is cut away. */
export function toShown(upright: Size, fixes: Fixes, point: Point): Point {
  const frame = fixedFrame(upright, fixes);
  const about = turned(
    { x: (point.x - 0.5) * upright.widthPx, y: (point.y - 0.5) * upright.heightPx },
    fixes.turn ?? 0,
  );
  return {
    x: (about.x + frame.levelPx.widthPx / 2 - frame.leftPx) / frame.widthPx,
    y: (about.y + frame.levelPx.heightPx / 2 - frame.topPx) / frame.heightPx,
  };
}

/** The other way round: which point of the upright original is shown at a place of the shown frame. */
export function toUpright(upright: Size, fixes: Fixes, place: Point): Point {
  const frame = fixedFrame(upright, fixes);
  const about = turned(
    {
      x: frame.leftPx + place.x * frame.widthPx - frame.levelPx.widthPx / 2,
      y: frame.topPx + place.y * frame.heightPx - frame.levelPx.heightPx / 2,
    },
    -(fixes.turn ?? 0),
  );
  return { x: about.x / upright.widthPx + 0.5, y: about.y / upright.heightPx + 0.5 };
}

const within = (value: number): number => Math.min(1, Math.max(0, value));

/** Fixes with another turn or crop, their focus point still on the same thing, or as near to it as is shown. */
export function withFrame(upright: Size, fixes: Fixes, frame: Pick<Fixes, 'turn' | 'crop'>): Fixes {
  const next: Fixes = { ...fixes, ...frame };
  if (!fixes.focus) return next;
  const moved = toShown(upright, next, toUpright(upright, fixes, fixes.focus));
  return { ...next, focus: { x: within(moved.x), y: within(moved.y) } };
}

/** Proportions people ask for, widest first; common practice of cameras, prints and screens. */
export const cropRatios = [
  { name: '16:9', ratio: 16 / 9 },
  { name: '3:2', ratio: 3 / 2 },
  { name: '4:3', ratio: 4 / 3 },
  { name: '1:1', ratio: 1 },
  { name: '4:5', ratio: 4 / 5 },
  { name: '2:3', ratio: 2 / 3 },
] as const;

/**
 * The largest crop of wanted proportions, around the middle of the one there is.
 *
 * @param level size of what is cropped (the level frame)
 * @param ratio width divided by height
 */
export function cropOfRatio(level: Size, ratio: number, around: Region = whole): Region {
  const wide = level.widthPx / level.heightPx;
  const [width, height] = ratio > wide ? [1, wide / ratio] : [ratio / wide, 1];
  const at = (middle: number, size: number) => Math.min(1 - size, Math.max(0, middle - size / 2));
  return {
    x: at(around.x + around.width / 2, width),
    y: at(around.y + around.height / 2, height),
    width,
    height,
  };
}
