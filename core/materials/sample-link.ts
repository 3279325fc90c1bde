import type { LinkFacts } from './link.ts';

/** What was read from a page, as tests need it: it answered, says nothing, and may be shown inside another. */
export const sampleLinkFacts = (more: Partial<LinkFacts> = {}): LinkFacts => ({
  format: 'link',
  url: 'https://kite.example/page',
  state: 'read',
  title: '',
  description: '',
  site: '',
  picture: null,
  framing: 'allowed',
  movedTo: null,
  player: null,
  readAt: '2026-01-01T10:00:00Z',
  ...more,
});
