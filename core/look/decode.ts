/** Luminance of a channel of sRGB, both 0 to 1. Source: WCAG 2.2, definition of relative luminance (IEC 61966-2-1). */
export const decode = (value: number): number =>
  value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
