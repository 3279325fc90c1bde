/**
 * Signs that nobody can see or write: the C0 and C1 controls but tab, line feed and carriage return (Unicode Standard,
 * chapter 23). PostgreSQL keeps no text with a NUL.
 */
// eslint-disable-next-line no-control-regex
const controls = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f]/g;
const halves = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;

/** Text without control characters and without halves of characters; the same text when it has none. */
export const wellFormed = (text: string): string => text.replace(controls, '').replace(halves, '\ufffd');

/** The same for every text in a value, keys of objects left as they are. The very same value when nothing was wrong. */
export function wellFormedIn<T>(value: T): T {
  if (typeof value === 'string') return wellFormed(value) as T;
  if (Array.isArray(value)) {
    const list = value.map((one: unknown) => wellFormedIn(one));
    return list.some((one, at) => one !== value[at]) ? (list as T) : value;
  }
  if (typeof value === 'object' && value !== null) {
    const entries = Object.entries(value).map(([name, one]) => [name, wellFormedIn(one)] as const);
    const old = value as Record<string, unknown>;
    return entries.some(([name, one]) => one !== old[name]) ? (Object.fromEntries(entries) as T) : value;
  }
  return value;
}
