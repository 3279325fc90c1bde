import { framedBy, type LinkFacts, type LinkState } from '#core/materials/link.ts';

const troubles: Record<Exclude<LinkState, 'read'>, string> = {
  gone: 'The page answers that it is not there any more. Readers would meet the same; check the address.',
  closed:
    'The page let nobody in who is not known to it. Readers without an account there would meet the same.',
  slow: 'The page did not answer within 8 seconds. Read it again later.',
  unreachable: 'The page did not answer. Check the address, or read it again later.',
};

/** What became of a link, told to its maker. */
export function linkSentence(facts: LinkFacts): string {
  if (facts.state !== 'read') return `${troubles[facts.state]} Until then it is shown as a card.`;
  if (facts.player)
    return 'A clip at its host: readers see a still, and play it where it stands when they ask.';
  return framedBy(facts)
    ? 'Readers see a still, and the page itself where it stands when they ask.'
    : 'This page refuses to be shown inside others, so it is shown as a card.';
}
