import { z } from 'zod';

/** How readers get the menu: a line at the top, a list at the side, or folded behind one word. On a phone it is always folded. */
export const menuManners = ['line', 'side', 'word'] as const;
export const menuMannerSchema = z.enum(menuManners);
export type MenuManner = z.infer<typeof menuMannerSchema>;
