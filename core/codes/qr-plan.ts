/** Levels of error correction, the strongest first: about 30, 25, 15 and 7 of 100 code words may be lost (ISO/IEC 18004, table 12, from memory). */
export const qrLevels = ['H', 'Q', 'M', 'L'] as const;
export type QrLevel = (typeof qrLevels)[number];

/** The light margin that a code needs on each side, in modules (ISO/IEC 18004, 9.1, from memory). */
export const quietZone = 4;
/** The smallest module that telephones read well at arm's length, in mm (common practice). */
export const smallestModuleMm = 0.5;

/** Sizes in which codes are offered, with their margin, in mm. */
export const qrSizes = [20, 30, 50, 80] as const;

export interface QrPlan {
  level: QrLevel;
  /** Width of one module, in mm. */
  moduleMm: number;
  /** Whether its modules are large enough to be read. */
  reads: boolean;
  /** The smallest size at which they are, in mm. */
  smallestMm: number;
}

/**
 * The strongest error correction that a code still has room for at a printed size: stronger ones have more modules, which are smaller.
 *
 * @param modules along one side at each level, without the margin
 * @param printedMm width of the code with its margin, in mm
 */
export function qrPlan(modules: Readonly<Record<QrLevel, number>>, printedMm: number): QrPlan {
  const moduleAt = (level: QrLevel) => printedMm / (modules[level] + 2 * quietZone);
  const level = qrLevels.find((one) => moduleAt(one) >= smallestModuleMm) ?? 'L';
  const smallest = Math.min(...qrLevels.map((one) => modules[one])) + 2 * quietZone;
  return {
    level,
    moduleMm: moduleAt(level),
    reads: moduleAt(level) >= smallestModuleMm,
    smallestMm: Math.ceil(smallest * smallestModuleMm),
  };
}
