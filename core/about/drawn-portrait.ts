import type { DrawnPortraitChoice, hairs, heads, mouths } from './drawn-portrait-choice.ts';

/** What a shape is cut from: the paper behind everything, the sheets in front of it, or a line drawn on them. */
export type Sheet = 'back' | 'skin' | 'hair' | 'clothes' | 'line';

/** One cut shape, in a square of 100 by 100, as the `d` of an SVG path. */
export interface CutShape {
  sheet: Sheet;
  d: string;
}

/** An ellipse as a path. */
const ellipse = (x: number, y: number, rx: number, ry: number): string =>
  `M${x - rx} ${y}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0z`;

const faces: Record<(typeof heads)[number], string> = {
  round: ellipse(50, 46, 20, 21),
  long: ellipse(50, 47, 17, 24),
  square: 'M31 30q0-6 8-6h22q8 0 8 6v22q0 16-19 16t-19-16z',
};

/** What lies behind the head, and what lies over it. */
const hairShapes: Record<(typeof hairs)[number], { behind?: string; over?: string }> = {
  none: {},
  short: { over: 'M28 42q-2-22 22-22t22 22q-3-9-10-11q-16 5-25-1q-6 4-9 12z' },
  long: {
    behind: 'M27 44q-1-25 23-25t23 25l3 32q-10 5-14-2h-24q-4 7-14 2z',
    over: 'M30 42q0-19 20-19t20 19q-12-2-20-12q-8 10-20 12z',
  },
  bun: {
    behind: `${ellipse(50, 15, 9, 9)}`,
    over: 'M28 44q-2-23 22-23t22 23q-4-11-22-13q-18 2-22 13z',
  },
  curls: {
    behind: [
      ellipse(30, 34, 9, 9),
      ellipse(40, 24, 9, 9),
      ellipse(54, 21, 10, 9),
      ellipse(66, 28, 9, 9),
      ellipse(72, 40, 8, 9),
      ellipse(27, 46, 7, 8),
    ].join(''),
  },
  cap: { over: 'M28 38q1-19 22-19t22 19h10q2 0 0 3q-14 3-26-1h-28z' },
  scarf: {
    behind: 'M26 48q-3-31 24-31t24 31l5 26q-29 12-58 0z',
    over: 'M31 46q-1-20 19-20t19 20q0-28-19-28t-19 28z',
  },
};

const mouthLines: Record<(typeof mouths)[number], string> = {
  line: 'M43 58h14',
  smile: 'M42 56q8 7 16 0',
};

/** The shapes of a portrait, from the back to the front. */
export function drawnPortrait({ head, hair, glasses, mouth }: DrawnPortraitChoice): CutShape[] {
  const { behind, over } = hairShapes[hair];
  return [
    { sheet: 'back', d: ellipse(50, 50, 50, 50) },
    ...(behind ? [{ sheet: 'hair' as const, d: behind }] : []),
    // Shoulders end on the circle of the ground.
    { sheet: 'clothes', d: 'M15.3 86q6-16 24-18h21.400q18 2 24 18a50 50 0 0 1-69.400 0z' },
    { sheet: 'skin', d: 'M43 60h14v11q-7 7-14 0z' },
    { sheet: 'skin', d: faces[head] },
    ...(over ? [{ sheet: 'hair' as const, d: over }] : []),
    { sheet: 'line', d: 'M42 45v2M58 45v2' },
    ...(glasses
      ? [
          {
            sheet: 'line' as const,
            d: `${ellipse(42, 46, 6, 6)}${ellipse(58, 46, 6, 6)}M48 46h4M36 45l-5-2M64 45l5-2`,
          },
        ]
      : []),
    { sheet: 'line', d: mouthLines[mouth] },
  ];
}
