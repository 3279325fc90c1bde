import type { MaterialOf } from './material.ts';
import { mine } from '../credits/provenance.ts';

/** A material as tests need one: nothing is said of it yet but what they say. */
export const sampleSound = (id: string, more: Partial<MaterialOf<'sound'>> = {}): MaterialOf<'sound'> => ({
  id,
  kind: 'sound',
  facts: { format: 'mp3', seconds: 1 },
  title: '',
  caption: '',
  alt: '',
  original: '0'.repeat(64),
  fileName: '',
  bytes: 1,
  takenOn: null,
  tags: [],
  project: null,
  fixes: {},
  transcript: '',
  shownBy: null,
  provenance: mine,
  ...more,
});
