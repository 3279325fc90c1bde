import { roughDateForReaders } from '#core/dates/rough-date-for-readers.ts';
import type { Material } from '#core/materials/material.ts';
import { isMoment } from '#core/moments/moments-of.ts';
import { materialsOf } from '#core/parts/materials-of.ts';
import type { Part } from '#core/parts/parts.ts';
import { settingsOf } from './parts.ts';
import { materialName } from '../ui/material-picture.tsx';

/** What a part is called where it is not seen: what it shows, if that is one thing, else its kind and how much of it. */
export function partInWords(part: Part, materials: readonly Material[]): string {
  if (isMoment(part)) return `Moment: ${part.title || roughDateForReaders(part.date, 'en')}`;
  const shown = materialsOf(part);
  const [first] = shown;
  const material = shown.length === 1 ? materials.find(({ id }) => id === first) : undefined;
  const { name, detail } = settingsOf(part);
  if (material) return `${name}: ${materialName(material)}`;
  const more = detail(part as never);
  return more ? `${name}: ${more}` : name;
}
