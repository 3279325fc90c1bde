import { Circle, TriangleAlert } from 'lucide-react';
import { useId, useRef } from 'react';
import { flushSync } from 'react-dom';
import { Link } from 'react-router';
import type { Finding } from '#core/check/finding.ts';
import type { PageKind } from '#core/pages/page-kinds.ts';
import { useSite } from '../../api/site-context.tsx';
import { AltField } from '../../materials/alt-field.tsx';
import { MaterialPicture } from '../../ui/material-picture.tsx';
import { Button } from '../../ui/button.tsx';
import { LetStand } from './let-stand.tsx';
import { TryAgain } from './try-again.tsx';
import { useBlackOut } from './use-black-out.ts';
import { useLinkMends } from './use-link-mends.ts';
import { wayTo } from './way-to.ts';

const signs = {
  needed: { Icon: TriangleAlert, look: 'text-clay', heard: 'Needed' },
  nice: { Icon: Circle, look: 'text-sky', heard: 'Nice to have' },
} as const;

interface FindingItemProps {
  finding: Finding;
  kind: PageKind;
  /** It is being mended here. */
  open: boolean;
  onOpen: (open: boolean) => void;
  /** It was mended by one press, and will be gone in a moment. */
  onMended: () => void;
  /** Its maker lets it stand, and says why. */
  onWaive: (reason: string) => void;
}

/** One thing that was noticed: what, why, the way there, and what can be done about it here. */
export function FindingItem({ finding, kind, open, onOpen, onMended, onWaive }: FindingItemProps) {
  const { state } = useSite();
  const below = useId();
  const writing = useRef<HTMLDivElement>(null);
  const { Icon, look, heard } = signs[finding.weight];
  const material = state.materials.find(({ id }) => id === finding.material);
  const isAlt = finding.rule === 'alt' || finding.rule === 'alt-unhelpful';
  const picture = isAlt && material?.kind === 'picture' ? material : null;
  // Whom it is about is seen, not said.
  const shown = finding.rule === 'faces' && material?.kind === 'picture' ? material : null;
  const blackOut = useBlackOut(finding, material);
  const link = useLinkMends(finding);
  return (
    <li className="border-t border-line py-2.5 first:border-t-0">
      <div className="flex flex-wrap items-start gap-x-4 gap-y-2">
        <Icon size={16} strokeWidth={2} className={`mt-1 flex-none ${look}`} aria-hidden="true" />
        {shown && <MaterialPicture material={shown} alt="" className="h-16 w-24 flex-none object-cover" />}
        <p className="min-w-0 flex-[1_1_18rem]">
          <span className="sr-only">{heard}: </span>
          <b className="block">{finding.says}</b>
          <span className="text-ink-2">{finding.why}</span>
        </p>
        <span className="flex flex-wrap gap-2 phone:ml-8">
          {picture && (
            <Button
              small
              aria-expanded={open}
              aria-controls={below}
              onClick={() => {
                // Drawn at once, so that not even the first letter typed after the press goes elsewhere.
                flushSync(() => onOpen(!open));
                writing.current?.querySelector('textarea')?.focus();
              }}
            >
              {open ? 'Done' : 'Write it here'}
              <span className="sr-only">: {finding.says}</span>
            </Button>
          )}
          {blackOut && (
            <Button
              small
              onClick={() => {
                blackOut();
                onMended();
              }}
            >
              Black it out
              <span className="sr-only">: {finding.says}</span>
            </Button>
          )}
          {link && (
            <Button
              small
              onClick={() => {
                link.mend();
                onMended();
              }}
            >
              {link.words}
              <span className="sr-only">: {finding.says}</span>
            </Button>
          )}
          {finding.rule !== 'link-moved' && finding.leadsTo !== undefined && (
            <TryAgain to={finding.leadsTo} says={finding.says} onMended={onMended} />
          )}
          <Button small asChild>
            <Link to={wayTo(finding, kind, `/${state.site.id}`)}>
              Take me there
              <span className="sr-only">: {finding.says}</span>
            </Link>
          </Button>
          <LetStand finding={finding} onWaive={onWaive} />
        </span>
      </div>
      {picture && open && (
        <div ref={writing} id={below} className="mt-2 ml-8 flex flex-wrap items-start gap-3 phone:ml-0">
          <MaterialPicture material={picture} alt="" className="h-24 w-32 flex-none object-cover" />
          <div className="min-w-0 max-w-lg flex-1">
            <AltField material={picture} named />
          </div>
        </div>
      )}
    </li>
  );
}
