import type { Texture } from './textures.ts';

/**
 * As CSS draws them: in the colour of the second sheet on that of the first. Whatever stands on the page is readable on both, and so
 * on every mixture of them.
 */
export const textureDrawings: Record<Texture, string> = {
  none: 'none',
  ruled:
    'repeating-linear-gradient(transparent 0 calc(var(--line-unit) - 1px),var(--paper-2) 0 var(--line-unit))',
  squared:
    'linear-gradient(var(--paper-2) 1px,transparent 0) 0 0/1.25rem 1.25rem,linear-gradient(90deg,var(--paper-2) 1px,transparent 0) 0 0/1.25rem 1.25rem',
  dots: 'radial-gradient(circle at 50% 50%,var(--paper-2) 0 2px,transparent 2.5px) 0 0/1.1rem 1.1rem',
  weave:
    'repeating-linear-gradient(45deg,transparent 0 5px,var(--paper-2) 5px 6px),repeating-linear-gradient(-45deg,transparent 0 5px,var(--paper-2) 5px 6px)',
};
