import type { RemarkRule } from './remark.ts';

const openings =
  /^(?:(?:was |were )?responsible for|duties included|tasks included|helped (?:out )?with|assisted (?:with|in)|worked on|involved in|participated in|took part in)\b/i;

/** A beginning that says somebody was there and not what they did. */
export const weakOpening: RemarkRule = (text) => {
  const [words] = openings.exec(text.trim()) ?? [];
  return words === undefined
    ? null
    : {
        kind: 'weak',
        words,
        sentence: `“${words}” hides what you did. Begin with the work itself: made, mended, drew.`,
      };
};
