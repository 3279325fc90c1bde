import { ArrowDown, ArrowUp, CornerDownRight, CornerLeftUp, type LucideIcon } from 'lucide-react';
import { pageName } from '#core/pages/page-kinds.ts';
import { Button } from '../../ui/button.tsx';
import { type Carried, type Step, stepped } from './use-carrying.ts';

const steps: { step: Step; name: string; icon: LucideIcon }[] = [
  { step: 'up', name: 'Up', icon: ArrowUp },
  { step: 'down', name: 'Down', icon: ArrowDown },
  { step: 'under', name: 'Under', icon: CornerDownRight },
  { step: 'out', name: 'Out', icon: CornerLeftUp },
];

/** At the foot of the room while something is carried: what it is, where it is, and how to go on. */
export function CarryBar({
  carried,
  sentence,
  onStep,
  onDrop,
  onPutBack,
}: {
  carried: Carried | null;
  /** Where it would land, and what that does. */
  sentence: string;
  onStep: (step: Step) => void;
  onDrop: () => void;
  onPutBack: () => void;
}) {
  return (
    <div
      className={
        carried
          ? 'carry-bar sticky bottom-0 z-10 mt-auto flex flex-wrap items-center gap-x-4 gap-y-2 bg-dusk px-6 py-2 text-dusk-text phone:px-4'
          : 'sr-only'
      }
    >
      <p role="status" className="mr-auto min-w-0 text-s">
        {carried && (
          <>
            <b className="block">
              Carrying {pageName(carried.page)}, place {carried.to.gap + 1} of {carried.rest.length + 1}
            </b>
            <span className="hidden phone:block">{sentence}</span>
            <span className="sr-only phone:hidden">{sentence}</span>
          </>
        )}
      </p>
      {carried?.by === 'steps' && (
        <>
          <span className="flex flex-wrap gap-1.5" data-carry>
            {steps.map(({ step, name, icon: Icon }) => (
              <Button
                key={step}
                small
                className="phone:min-h-11"
                disabled={stepped(carried, step) === null}
                onClick={() => onStep(step)}
              >
                <Icon size={15} aria-hidden="true" /> {name}
              </Button>
            ))}
          </span>
          <span className="flex gap-1.5 phone:w-full" data-carry>
            <Button look="go" small className="phone:min-h-11 phone:flex-1" onClick={onDrop}>
              Drop it here
            </Button>
            <Button small className="phone:min-h-11" onClick={onPutBack}>
              Put back
            </Button>
          </span>
        </>
      )}
    </div>
  );
}
