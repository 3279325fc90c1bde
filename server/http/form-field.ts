/**
 * One field of what a form sent.
 *
 * @param fields as they came: anything
 * @returns empty where there is no such field, or more than one
 */
export function formField(fields: unknown, name: string): string {
  const value = (fields as Record<string, unknown> | null)?.[name];
  return typeof value === 'string' ? value : '';
}
