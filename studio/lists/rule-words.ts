import type { RuleKey, SiteRuleKey } from '#core/check/rules.ts';

/** What each rule of Check looks for, as it is chosen to tick a line of a list. Names alone: the rules themselves are the worker's. */
export const ruleWords: Readonly<Record<RuleKey | SiteRuleKey, string>> = {
  title: 'A title and one line about it',
  facts: 'What I did, where others are named',
  alt: 'Alt text',
  transcript: 'Transcripts',
  credit: 'Source and licence of others’ work',
  licence: 'Changes that a licence forbids',
  link: 'Links that do not open',
  'secret-link': 'Secret links on pages',
  outline: 'Outlines filled in',
  'left-over': 'Words meant to be replaced',
  availability: 'Days of an availability',
  personal: 'What somebody can be found by',
  inside: 'The same inside documents and pictures',
  faces: 'Faces in pictures and documents',
  'alt-unhelpful': 'Alt text that says nothing',
  unfinished: 'Parts that are not finished',
  evidence: 'Evidence',
  pictures: 'How many pictures',
  alike: 'Pictures that look alike',
  coarse: 'Pictures too small for their place',
  poor: 'Pictures blurred or dark for their place',
  caption: 'Captions where the pictures beside have them',
  'link-words': 'What links say',
  'link-moved': 'Links to what has moved',
  'not-framed': 'Links that cannot be shown in place',
  headings: 'Order of headings',
  'hard-words': 'Words that are hard to read',
  stale: 'Plans for a time that has passed',
  language: 'Words in another language than their page',
  'said-otherwise': 'About, résumé and projects that differ',
  'off-the-way': 'Pages that nothing leads to',
  'closed-inside': 'Links to pages that do not open',
  'not-for-sale': 'NonCommercial work where something is sold',
  'pass-ending': 'Passes that end soon',
  'hand-in': 'Hand-ins that would not open',
  named: 'People who are named',
};

/** Whether this studio has such a rule. */
export const isRule = (name: string): name is keyof typeof ruleWords => Object.hasOwn(ruleWords, name);
