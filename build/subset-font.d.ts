declare module 'subset-font' {
  /** Makes a smaller font of one: only the letters of `text`, only the axes' given ranges, only the named features. */
  export default function subsetFont(
    font: Buffer,
    text: string,
    options: {
      targetFormat: 'woff2' | 'sfnt';
      keepFeatures?: readonly string[];
      variationAxes?: Record<string, number | { min: number; max: number }>;
    },
  ): Promise<Buffer>;
}
