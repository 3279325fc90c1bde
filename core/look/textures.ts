/** What the ground of a page is woven of. */
export const textures = ['none', 'ruled', 'squared', 'dots', 'weave'] as const;
export type Texture = (typeof textures)[number];
