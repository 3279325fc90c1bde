import type { RemarkRule } from './remark.ts';

/** Past participles that do not end in -ed, of verbs that résumés are full of. */
const irregular =
  'built|made|done|given|taken|held|kept|led|run|sold|bought|brought|taught|told|written|drawn|cut|put|set|sent|spent|won|lost|found|shown|worn|woven|sewn|chosen|driven|grown|known|seen|broken|bent|hung|laid|paid|read|met|begun|caught|fed|lent|left|split|spread|thrown|torn|understood';
const passive = new RegExp(
  String.raw`\b(?:am|is|are|was|were|be|been|being)\s+(?:\w+ly\s+)?(?:\w+ed|${irregular})\b`,
  'i',
);

/** Something that was done, by nobody. */
export const passiveVoice: RemarkRule = (text) => {
  const [words] = passive.exec(text) ?? [];
  return words === undefined
    ? null
    : { kind: 'passive', words, sentence: `“${words}”: by whom? If it was you, begin with what you did.` };
};
