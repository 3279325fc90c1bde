import { called, type CheckedPage, standingOn } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Sounds and clips that say nothing to people who cannot hear them (WCAG 2.2, 1.2.1 and 1.2.2). */
export const transcriptMissing = ({ page, materials }: CheckedPage): Noticed[] =>
  standingOn(page).flatMap(({ material, part }) => {
    const one = materials.get(material);
    if ((one?.kind !== 'sound' && one?.kind !== 'clip') || one.transcript.trim() !== '') return [];
    return {
      ...{ weight: 'needed' as const, part, material, of: '' },
      says:
        one.kind === 'clip'
          ? `The clip ${called(one)} has no captions.`
          : `The sound ${called(one)} has no transcript.`,
      why: 'Nobody who cannot hear it, or has the sound off, gets anything of it. Write down what is said, or what is heard.',
    };
  });
