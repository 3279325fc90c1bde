import type { LinkState } from '../materials/link.ts';
import type { Weight } from './noticed.ts';

/** What is said of a link that does not open, after what the link is. */
export const brokenLink: {
  [K in Exclude<LinkState, 'read'>]: { weight: Weight; says: string; why: string };
} = {
  gone: {
    weight: 'needed',
    says: 'leads to a page that is not there any more.',
    why: 'Readers come to an error. Look for its new address, or take the link off.',
  },
  closed: {
    weight: 'nice',
    says: 'leads to a page that asks for a password.',
    why: 'You may be let in where your readers are not. Open it in a private window and see.',
  },
  slow: {
    weight: 'nice',
    says: 'leads to a page that did not answer in time.',
    why: 'Try it again later; if it stays slow, say on the page what is there.',
  },
  unreachable: {
    weight: 'nice',
    says: 'leads to a page that could not be reached.',
    why: 'Its address may be mistyped or its server down. Try it again later.',
  },
};
