import { z } from 'zod';

/** Shares are kept to four digits: finer than a pixel of any picture that is taken in, and short in an address. */
const share = z
  .number()
  .min(0)
  .max(1)
  .transform((value) => Math.round(value * 10_000) / 10_000);

/** A rectangle as shares of the width and height of what it lies on, from its left upper corner. */
export const regionSchema = z
  .object({ x: share, y: share, width: share, height: share })
  .refine(
    ({ x, y, width, height }) => x + width <= 1.0002 && y + height <= 1.0002,
    'A region lies within its picture.',
  );
export type Region = z.infer<typeof regionSchema>;

/** So many regions of a picture or document can be black. */
export const mostBlackOuts = 100;

/** Parts of a picture or page that nobody may see; `page` counts from 0 and is 0 for a picture. */
export const blackOutSchema = regionSchema.safeExtend({ page: z.number().int().min(0).max(9999).default(0) });
export type BlackOut = z.infer<typeof blackOutSchema>;

/** How much brightness and contrast may be moved: enough to save a dull photo, too little to spoil one. */
export const mostLight = 0.3;
const light = z.number().min(-mostLight).max(mostLight);

/**
 * Settings on the untouched original, changeable at any time. They work in this order: light, black-out, turn, crop,
 * round. Each lies on what the ones before it left, so a blacked-out region stays on its place whatever is cut later.
 */
export const fixesSchema = z.object({
  brightness: light.optional(),
  contrast: light.optional(),
  /** On the upright original, before any turn: it covers the same thing however the picture is turned and cut. */
  blackOut: z
    .array(blackOutSchema)
    .max(mostBlackOuts, `At most ${mostBlackOuts} regions can be blacked out.`)
    .optional(),
  /** Degrees clockwise. What is more or less than a quarter turn is cut to a frame without empty corners. */
  turn: z.number().gt(-180).max(180).optional(),
  /** Of a document: pages that lie on their side or head, each with the quarters it is turned by, clockwise. */
  pageTurns: z
    .array(
      z.object({
        page: z.number().int().min(0).max(9999),
        turn: z.union([z.literal(90), z.literal(180), z.literal(-90)]),
      }),
    )
    .max(500, 'At most 500 pages of a document can be turned.')
    .optional(),
  /** What is kept of the turned picture. */
  crop: regionSchema
    .refine(({ width, height }) => width >= 0.01 && height >= 0.01, 'A cut keeps at least a hundredth.')
    .optional(),
  /** Cut to an ellipse that fills the frame: a circle when the cut is square. */
  round: z.boolean().optional(),
  /** Point kept in view when a page crops the picture, as shares of the width and height that are shown. */
  focus: z.object({ x: z.number().min(0).max(1), y: z.number().min(0).max(1) }).optional(),
});
export type Fixes = z.infer<typeof fixesSchema>;

/**
 * The fixes that are burnt into files, in one order and without those that do nothing: equal results have equal JSON.
 * The focus point is not among them; it moves a crop in the reader's browser.
 */
export function burntIn({ brightness, contrast, blackOut, turn, pageTurns, crop, round }: Fixes): Fixes {
  const whole = crop?.width === 1 && crop.height === 1;
  return {
    ...(brightness ? { brightness } : {}),
    ...(contrast ? { contrast } : {}),
    ...(blackOut && blackOut.length > 0 ? { blackOut } : {}),
    ...(turn ? { turn } : {}),
    ...(pageTurns && pageTurns.length > 0 ? { pageTurns } : {}),
    ...(crop && !whole ? { crop } : {}),
    ...(round ? { round } : {}),
  };
}

/** Whether the files of a picture differ from its original in more than size and format. */
export const hasBurntIn = (fixes: Fixes): boolean => Object.keys(burntIn(fixes)).length > 0;
