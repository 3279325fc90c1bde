/** What in some words may be about a person who can be found by it. */
/** By these somebody is found who is still at school: they are looked for where the maker is under 18. */
export const underAgeKinds = ['age', 'school'] as const;
export const personalKinds = [
  'phone',
  'email',
  'address',
  'birth-date',
  'student-number',
  'coordinates',
  ...underAgeKinds,
] as const;
export type PersonalKind = (typeof personalKinds)[number];

export interface PersonalFound {
  kind: PersonalKind;
  /** As it stands in the words. */
  text: string;
}
