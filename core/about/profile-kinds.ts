/** What a maker shows elsewhere. */
export const profileKinds = ['work', 'pictures', 'clips', 'sound', 'code', 'writing', 'contact'] as const;
export type ProfileKind = (typeof profileKinds)[number];
