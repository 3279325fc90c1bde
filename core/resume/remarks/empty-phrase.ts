import type { RemarkRule } from './remark.ts';

/** Words that everybody says of themselves and that nothing shows (common practice). */
const phrases =
  /\b(?:hard[- ]?working|team[- ]player|detail[- ]oriented|(?:fast|quick) learner|outside the box|go-getter|self-starter|results?[- ](?:driven|oriented)|highly motivated|passionate about|(?:strong|good|excellent|great) (?:communication|people|interpersonal|organi[sz]ational) skills|works? well under pressure|proven track record|synerg(?:y|ies))\b/i;

/** A phrase that says nothing of this person. */
export const emptyPhrase: RemarkRule = (text) => {
  const [words] = phrases.exec(text) ?? [];
  return words === undefined
    ? null
    : {
        kind: 'empty',
        words,
        sentence: `“${words}” can be said of anybody. Say what you did that shows it.`,
      };
};
