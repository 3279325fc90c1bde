import { trimmed } from '../../words/trimmed.ts';

/** Words of which one names what somebody was or studied (common practice). */
const role =
  /\b(?:engineer|developer|programmer|manager|intern|internship|assistant|associate|analyst|designer|director|president|officer|lead|leader|head|teacher|tutor|instructor|mentor|volunteer|consultant|coordinator|administrator|supervisor|specialist|technician|apprentice|trainee|help|helper|clerk|cashier|waiter|waitress|barista|server|bartender|chef|cook|nurse|editor|writer|researcher|scientist|artist|maker|freelancer|founder|co-founder|owner|member|captain|coach|organi[sz]er|ceo|cto|cfo)\b/i;
const degree =
  /\b(?:bachelor|master|doctor|ph\.? ?d|b\.? ?sc|m\.? ?sc|b\.? ?a|m\.? ?a|b\.? ?eng|m\.? ?eng|mba|diploma|degree|certificate|a-levels?|gcse|abitur|associate of|minor|major|engineering|science|studies|administration|mathematics|design)\b/i;
const place =
  /\b(?:universit(?:y|ies|ät|é|ad)|college|school|institute|academy|polytechnic|hochschule|inc|ltd|llc|gmbh|company|corp|group|labs?|hospital|bank|library|museum|centre|center|foundation|association|studio|workshop|council)\b/i;

/** Whether words say what somebody did rather than where: 1 if so, −1 if the other way round, 0 if they say neither. */
export function saysWhat(words: string, ofStudies: boolean): number {
  const [what, where] = [(ofStudies ? degree : role).test(words), place.test(words)];
  return Number(what) - Number(where);
}

const strongSeparators = / {4}| [|·•@–—-] | at /u;
/** Pieces of a head, a line with single blanks: what, where, and what else stands in it. */
export function piecesOfHead(head: string): string[] {
  const strong = head.split(strongSeparators);
  // Commas part what nothing else parts.
  const pieces = strong.length > 1 ? strong : head.split(/[,;] /);
  return pieces.map((piece) => trimmed(piece, ',;:|()', ',;:|(')).filter(Boolean);
}
