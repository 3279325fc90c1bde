/** Words that a site keeps for its own files and pages: no page of a maker stands at them. */
export const reservedSlugs: ReadonlySet<string> = new Set(['files', 'assets', 'tagged']);
