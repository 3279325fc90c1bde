import type { ThemeFacts } from '../theme.ts';

export const broadsheet: ThemeFacts = {
  label: 'Broadsheet',
  suits: 'Light, with an editorial serif, for makers whose process reads well.',
  slants: false,
  weights: [400, 650],
};
