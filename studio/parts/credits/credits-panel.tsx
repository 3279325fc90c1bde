import { Link } from 'react-router';
import { materialsOn } from '#core/pages/materials-on.ts';
import { missingProvenance } from '#core/credits/provenance.ts';
import { useSite } from '../../api/site-context.tsx';
import { materialName } from '../../ui/material-picture.tsx';
import type { PartPanelProps } from '../part-settings.ts';

const needs = { maker: 'who made it', source: 'where it is from', licence: 'its licence' } as const;

/** Below selected credits: whose work on this page cannot be named properly yet. */
export function CreditsPanel({ page }: PartPanelProps<'credits'>) {
  const { state } = useSite();
  const shown = new Set(materialsOn(page));
  const missing = state.materials.flatMap((material) => {
    const lacks = shown.has(material.id) ? missingProvenance(material.provenance) : [];
    return lacks.length > 0 ? [{ material, lacks }] : [];
  });
  return (
    <div className="grid gap-2">
      <p className="note">
        Made by itself from “Whose work is it” in Gather, of everything on this page, and kept up to date.
      </p>
      {missing.length > 0 && (
        <>
          <p className="field-name">Still to be found out</p>
          <ul className="grid gap-1">
            {missing.map(({ material, lacks }) => (
              <li key={material.id}>
                <Link className="link" to={`/${state.site.id}/gather?look=${material.id}`}>
                  {materialName(material)}
                </Link>
                : {lacks.map((one) => needs[one]).join(', ')}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
