/** What in some words may be about a person who can be found by it. */
export const personalKinds = [
  'phone',
  'email',
  'address',
  'birth-date',
  'student-number',
  'coordinates',
] as const;
export type PersonalKind = (typeof personalKinds)[number];

export interface PersonalFound {
  kind: PersonalKind;
  /** As it stands in the words. */
  text: string;
}
