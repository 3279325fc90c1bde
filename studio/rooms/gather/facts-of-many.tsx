import { useState } from 'react';
import { changeMaterials } from '#contract/materials.ts';
import type { Material } from '#core/materials/material.ts';
import { plural } from '#core/words/plural.ts';
import { mine, type Provenance } from '#core/credits/provenance.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUndoNotice } from '../../api/use-undo-notice.ts';
import { DateField } from '../../ui/date-field.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { ProjectField } from './project-field.tsx';
import { ProvenanceFields } from './provenance-fields.tsx';
import { TagField } from '../../ui/tag-field.tsx';
import { Button } from '../../ui/button.tsx';

/** Facts of several materials at once. Only what is touched here is changed; one undo takes all of it back. */
export function FactsOfMany({ materials, onClose }: { materials: readonly Material[]; onClose: () => void }) {
  const { state, run, seen } = useSite();
  const undoNotice = useUndoNotice();
  const [tags, setTags] = useState<string[]>([]);
  const [takenOn, setTakenOn] = useState<string | null>(null);
  const [project, setProject] = useState<string | null>();
  const [provenance, setProvenance] = useState<Provenance | null>(null);
  const [busy, setBusy] = useState(false);
  const kinds = new Set(materials.map(({ kind }) => kind));
  const these = plural(materials.length, kinds.size === 1 && kinds.has('picture') ? 'picture' : 'thing');
  const touched = tags.length > 0 || takenOn !== null || project !== undefined || provenance !== null;

  const apply = async () => {
    setBusy(true);
    const patch = await run(() =>
      call(changeMaterials, {
        params: { site: state.site.id },
        body: {
          materials: materials.map(({ id }) => ({ id, seen: seen(id) })),
          label: `Facts of ${these}`,
          change: {
            ...(takenOn === null ? {} : { takenOn }),
            ...(project === undefined ? {} : { project }),
            ...(provenance ? { provenance } : {}),
          },
          addTags: tags,
        },
      }),
    );
    setBusy(false);
    if (!patch) return;
    undoNotice(`Facts of ${these} changed.`);
    onClose();
  };

  return (
    <Dialog
      title={`Facts of ${these}`}
      description="What you leave alone stays as it is for each of them."
      onClose={onClose}
    >
      <div className="grid gap-4">
        <ProjectField
          pages={state.pages}
          value={project === undefined ? null : (project ?? '')}
          onChange={setProject}
        />
        <TagField tags={tags} onChange={setTags} />
        <DateField empty="as it is for each" value={takenOn} onChange={setTakenOn} />
        {provenance ? (
          <ProvenanceFields
            value={provenance}
            ownTitle=""
            onChange={(change) => setProvenance({ ...provenance, ...change })}
          />
        ) : (
          <Button
            className="justify-self-start"
            onClick={() => setProvenance({ ...mine, whose: 'someone-else' })}
          >
            Say whose work they are
          </Button>
        )}
        <Button
          look="go"
          className="justify-self-start"
          disabled={!touched || busy}
          onClick={() => void apply()}
        >
          Change {these}
        </Button>
      </div>
    </Dialog>
  );
}
