import type { Height } from '#core/access/height.ts';

export const heightNames: Record<Height, string> = {
  public: 'Public',
  unlisted: 'Unlisted',
  invited: 'Invited',
  private: 'Private',
};

/** From the highest to the lowest, as they stand on a string. */
export const fromTheTop: readonly Height[] = ['public', 'unlisted', 'invited', 'private'];

export const heightMeanings: Record<Height, string> = {
  public: 'everyone, and findable if you wish',
  unlisted: 'anyone with the link',
  invited: 'people holding a pass',
  private: 'only you',
};
