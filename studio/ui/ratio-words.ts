/** A contrast ratio as it is read: rounded down, so that nothing is said to reach what it misses. */
export const ratioWords = (ratio: number): string => (Math.floor(ratio * 10) / 10).toFixed(1);
