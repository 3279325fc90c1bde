import type { CheckedPage } from './checked-page.ts';
import type { CheckedSite, NoticedOnSite } from './checked-site.ts';
import type { Noticed } from './noticed.ts';
import { altMissing } from './findings/alt-missing.ts';
import { altUnhelpful } from './findings/alt-unhelpful.ts';
import { availabilityOver } from './findings/availability-over.ts';
import { captionMissing } from './findings/caption-missing.ts';
import { creditMissing } from './findings/credit-missing.ts';
import { evidenceWanted } from './findings/evidence-wanted.ts';
import { facesSeen } from './findings/faces-seen.ts';
import { factsMissing } from './findings/facts-missing.ts';
import { hardWords } from './findings/hard-words.ts';
import { headingOrder } from './findings/heading-order.ts';
import { languageMixed } from './findings/language-mixed.ts';
import { leftOverWords } from './findings/left-over-words.ts';
import { licenceForbids } from './findings/licence-forbids.ts';
import { linkBroken } from './findings/link-broken.ts';
import { linkMoved } from './findings/link-moved.ts';
import { linkWords } from './findings/link-words.ts';
import { looksAlike } from './findings/looks-alike.ts';
import { notFramed } from './findings/not-framed.ts';
import { outlineUnfilled } from './findings/outline-unfilled.ts';
import { partUnfinished } from './findings/part-unfinished.ts';
import { personalData } from './findings/personal-data.ts';
import { personalInside } from './findings/personal-inside.ts';
import { pictureCoarse } from './findings/picture-coarse.ts';
import { pictureCount } from './findings/picture-count.ts';
import { picturePoor } from './findings/picture-poor.ts';
import { secretLink } from './findings/secret-link.ts';
import { staleWords } from './findings/stale-words.ts';
import { titleMissing } from './findings/title-missing.ts';
import { transcriptMissing } from './findings/transcript-missing.ts';
import { closedInside } from './site-findings/closed-inside.ts';
import { handInClosed } from './site-findings/hand-in-closed.ts';
import { notForSale } from './site-findings/not-for-sale.ts';
import { offTheWay } from './site-findings/off-the-way.ts';
import { othersNamed } from './site-findings/others-named.ts';
import { passEnding } from './site-findings/pass-ending.ts';
import { quickLinkBroken } from './site-findings/quick-link-broken.ts';
import { saidOtherwise } from './site-findings/said-otherwise.ts';

/** Every rule by the name that what it notices is remembered by; in the order in which findings of one page are told. */
export const rules = {
  title: titleMissing,
  facts: factsMissing,
  alt: altMissing,
  transcript: transcriptMissing,
  credit: creditMissing,
  licence: licenceForbids,
  link: linkBroken,
  'secret-link': secretLink,
  outline: outlineUnfilled,
  'left-over': leftOverWords,
  availability: availabilityOver,
  personal: personalData,
  inside: personalInside,
  faces: facesSeen,
  'alt-unhelpful': altUnhelpful,
  unfinished: partUnfinished,
  evidence: evidenceWanted,
  pictures: pictureCount,
  alike: looksAlike,
  coarse: pictureCoarse,
  poor: picturePoor,
  caption: captionMissing,
  'link-words': linkWords,
  'link-moved': linkMoved,
  'not-framed': notFramed,
  headings: headingOrder,
  'hard-words': hardWords,
  stale: staleWords,
  language: languageMixed,
} as const satisfies Record<string, (checked: CheckedPage) => Noticed[]>;
export type RuleKey = keyof typeof rules;

/** Rules that compare pages with each other. Each is quick: all pages are looked at after every change. */
export const siteRules = {
  'said-otherwise': saidOtherwise,
  'off-the-way': offTheWay,
  'closed-inside': closedInside,
  'quick-link': quickLinkBroken,
  'not-for-sale': notForSale,
  'pass-ending': passEnding,
  'hand-in': handInClosed,
  named: othersNamed,
} as const satisfies Record<string, (checked: CheckedSite) => NoticedOnSite[]>;
export type SiteRuleKey = keyof typeof siteRules;
