import { isPicture } from '#core/materials/material.ts';
import { type Ground, groundColours, passingSides, picturesOfGround } from '#core/parts/ground.ts';
import { useSite } from '../api/site-context.tsx';
import { PickMaterials } from '../materials/pick-materials.tsx';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { MaterialPicture } from '../ui/material-picture.tsx';
import { Segments } from '../ui/segments.tsx';
import { SelectField } from '../ui/select.tsx';

const names = {
  page: 'The page itself',
  above: 'The same as the part above',
  paper: 'Second paper',
  quiet: 'Quiet colour',
  strong: 'Strong colour',
  ruled: 'Ruled paper',
  squared: 'Squared paper',
  dots: 'Dotted paper',
  weave: 'Woven paper',
  picture: 'A picture, as faint as words need',
  passing: 'Pictures that stand while it passes',
} as const;
type Choice = keyof typeof names;
const sideNames = { left: 'Left', centre: 'Centre', right: 'Right' } as const;

function choiceOf(ground: Ground | undefined): Choice {
  if (!ground) return 'page';
  if (ground.kind === 'colour') return ground.colour;
  return ground.kind === 'texture' ? ground.texture : ground.kind;
}

interface GroundDialogProps {
  ground: Ground | undefined;
  /** What the part above lies on, where that is not the page. */
  above: Ground | undefined;
  onChange: (ground: Ground | undefined) => void;
  onClose: () => void;
}

/** What a part lies on. Parts that follow each other on equal grounds lie on one. */
export function GroundDialog({ ground, above, onChange, onClose }: GroundDialogProps) {
  const { state } = useSite();
  const pictures = state.materials.filter(isPicture);
  const [first] = pictures;
  const options = (Object.keys(names) as Choice[])
    .filter((value) => value !== 'above' || above)
    .map((value) => ({
      value,
      name: names[value],
      disabled: (value === 'picture' || value === 'passing') && !first,
    }));
  const wide = ground && 'wide' in ground ? ground.wide : true;
  const choose = (value: Choice) => {
    const [had = first?.id ?? ''] = picturesOfGround(ground);
    const colour = groundColours.find((one) => one === value);
    if (value === 'page') onChange(undefined);
    else if (value === 'above') onChange(above);
    else if (value === 'picture') onChange({ kind: 'picture', picture: had, wide });
    else if (value === 'passing') onChange({ kind: 'passing', pictures: [had], side: 'left' });
    else if (colour) onChange({ kind: 'colour', colour, wide });
    else onChange({ kind: 'texture', texture: value as 'ruled', wide });
  };
  const shown = picturesOfGround(ground).flatMap((id) => pictures.find((one) => one.id === id) ?? []);
  return (
    <Dialog
      title="What it lies on"
      description="Parts that follow each other on equal grounds lie on one together."
      leavesFocus
      onClose={onClose}
    >
      <div className="grid gap-4">
        <SelectField name="It lies on" value={choiceOf(ground)} options={options} onChange={choose} />
        {(ground?.kind === 'picture' || ground?.kind === 'passing') && (
          <div className="flex flex-wrap items-end gap-3">
            {shown.map((material) => (
              <MaterialPicture
                key={material.id}
                material={material}
                alt={material.alt || material.title}
                className="h-20 w-28 object-cover"
              />
            ))}
            <PickMaterials
              title={ground.kind === 'picture' ? 'Choose a picture to lie on' : 'Choose one picture or two'}
              most={ground.kind === 'picture' ? 1 : 2}
              onPick={(ids) =>
                onChange(
                  ground.kind === 'picture'
                    ? { ...ground, picture: ids[0] ?? ground.picture }
                    : { ...ground, pictures: ids },
                )
              }
            >
              <Button small>{ground.kind === 'picture' ? 'Another picture' : 'Other pictures'}</Button>
            </PickMaterials>
          </div>
        )}
        {ground?.kind === 'passing' ? (
          <>
            <Segments
              label="Where it passes"
              value={ground.side}
              options={passingSides.map((value) => ({ value, name: sideNames[value] }))}
              onChange={(side) => onChange({ ...ground, side })}
            />
            <p className="note">
              On phones, on paper and for readers who want less motion, the pictures stand above it instead.
              Here in Compose, too.
            </p>
          </>
        ) : (
          ground && (
            <label className="flex items-center gap-3">
              <input
                type="checkbox"
                className="h-5 w-5 accent-[var(--ink)]"
                checked={ground.wide}
                onChange={(event) => onChange({ ...ground, wide: event.target.checked })}
              />
              From edge to edge
            </label>
          )
        )}
        <Button className="justify-self-end" onClick={onClose}>
          Done
        </Button>
      </div>
    </Dialog>
  );
}
