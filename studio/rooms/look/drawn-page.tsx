import { memo } from 'react';
import type { Look } from '#core/look/look.ts';
import type { Scheme } from '#core/look/theme-colours.ts';
import { PageView } from '#site/components/page-view.tsx';
import type { PageInput } from '#site/render/page-input.ts';
import { InTheme } from '../../ui/in-theme.tsx';

interface DrawnPageProps {
  input: PageInput;
  look: Look;
  scheme?: Scheme | undefined;
}

/** A page in a look. Nothing in it leads anywhere: it is looked at. */
export const DrawnPage = memo(function DrawnPage({ input, look, scheme }: DrawnPageProps) {
  return (
    <InTheme look={look} {...(scheme && { scheme })}>
      <div inert>
        <PageView input={{ ...input, look }} within />
      </div>
    </InTheme>
  );
});
