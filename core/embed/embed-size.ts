/** The sizes in which a page is shown inside another one, in CSS pixels. */
export const cardWidth = 480;
export const frameSize = { width: 960, height: 640 } as const;

/** A size no larger than what was asked for; what is no number asks for nothing (oEmbed 1.0, section 2.2). */
export function within(size: number, most: string | undefined): number {
  const asked = most === undefined || !/^\d{1,6}$/.test(most) ? Infinity : Number(most);
  return asked > 0 ? Math.min(size, asked) : size;
}
