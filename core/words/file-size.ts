const units = ['B', 'kB', 'MB', 'GB', 'TB'];

/**
 * A number of bytes in words, as the limits are counted: 1 kB is 1024 bytes. Small numbers of a unit have one digit after
 * the point, where it is not 0: “2.5 MB”, “17 MB”, “2 GB”.
 *
 * @param bytes at least 0
 */
export function fileSize(bytes: number): string {
  let [size, unit] = [bytes, 0];
  // What would be rounded up to the next unit is told in that.
  while (size >= 1023.5 && unit < units.length - 1) [size, unit] = [size / 1024, unit + 1];
  const rounded = unit > 0 && size < 9.95 ? Math.round(size * 10) / 10 : Math.round(size);
  return `${rounded} ${units[unit]}`;
}
