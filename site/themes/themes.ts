import type { ThemeName } from '#core/look/look.ts';
import { broadsheet } from './broadsheet/facts.ts';
import type { ThemeFacts } from './theme.ts';

export const themes = { broadsheet } satisfies Record<ThemeName, ThemeFacts>;
