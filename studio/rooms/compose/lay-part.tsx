import { standingBeside } from '#core/parts/beside.ts';
import type { ShownPage } from '#core/pages/page.ts';
import type { Part } from '#core/parts/parts.ts';
import { fetched } from '../../ui/fetched.tsx';

const GroundDialog = fetched(() =>
  import('../../parts/ground-dialog.tsx').then((module) => module.GroundDialog),
);

interface LayPartProps {
  page: ShownPage;
  /** Which part is asked about; null: none. */
  part: string | null;
  onChange: (part: Part) => void;
  onClose: () => void;
}

/**
 * Asks what a part lies on. It stands outside of the page: a part that gets a ground is drawn in another place, and whatever was open
 * in it would be closed.
 */
export function LayPart({ page, part: id, onChange, onClose }: LayPartProps) {
  const chosen = page.parts.findIndex((one) => one.id === id);
  // Of two beside each other the first says what both lie on.
  const at = typeof standingBeside(page.parts)[chosen] === 'number' ? chosen - 1 : chosen;
  const chosenId = page.parts[chosen]?.id ?? '';
  const part = page.parts[at];
  if (!part) return null;
  return (
    <GroundDialog
      ground={part.ground}
      above={page.parts[at - 1]?.ground}
      onChange={(ground) => {
        const { ground: _, ...rest } = part;
        onChange({ ...rest, ...(ground && { ground }) } as Part);
      }}
      onClose={() => {
        onClose();
        // Whoever came by keys goes on where the part is now; the button they came from may be gone.
        requestAnimationFrame(() => {
          const own = document.getElementById(`part-${chosenId}`);
          own?.querySelector<HTMLElement>('[aria-label^="More for"]')?.focus();
        });
      }}
    />
  );
}
