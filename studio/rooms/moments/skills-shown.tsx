import { isShown, type ShownPage } from '#core/pages/page.ts';
import { mostProofs } from '#core/parts/entry.ts';
import type { Moment } from '#core/parts/moment.ts';
import type { Part, PartOf } from '#core/parts/parts.ts';
import { useSite } from '../../api/site-context.tsx';
import { CheckField } from '../../ui/check-field.tsx';

const isSkill = (part: Part): part is PartOf<'entry'> => part.kind === 'entry' && part.section === 'skills';

/** The skills on the résumé that a moment shows: it is kept with the skill, as what proves it. */
export function SkillsShown({ page, moment }: { page: ShownPage; moment: Moment }) {
  const { state, now, changePage } = useSite();
  const resume = state.pages.filter(isShown).find(({ kind, archived }) => kind === 'resume' && !archived);
  const skills = resume?.parts.filter(isSkill) ?? [];
  if (!resume || skills.length === 0) return null;
  const isOf = (skill: PartOf<'entry'>) =>
    skill.proofs.some((proof) => proof.page === page.id && proof.part === moment.id);
  const change = (skill: PartOf<'entry'>, wanted: boolean) => {
    const there = now()
      .pages.filter(isShown)
      .find(({ id }) => id === resume.id);
    if (!there) return;
    const others = skill.proofs.filter((proof) => proof.page !== page.id || proof.part !== moment.id);
    const proofs = wanted ? [...others, { page: page.id, part: moment.id }] : others;
    changePage(
      resume.id,
      { parts: there.parts.map((part) => (part.id === skill.id ? { ...skill, proofs } : part)) },
      wanted ? 'A proof tied' : 'A proof untied',
      `${resume.id} skill ${skill.id} ${wanted}`,
    );
  };
  return (
    <details>
      <summary className="field-name">
        Shows a skill:{' '}
        {skills
          .filter(isOf)
          .map(({ title }) => title)
          .join(', ') || 'none yet'}
      </summary>
      <div className="grid gap-1.5 pt-2">
        {skills
          .filter((skill) => isOf(skill) || skill.proofs.length < mostProofs)
          .map((skill) => (
            <CheckField
              key={skill.id}
              name={skill.title || 'Skill without a name'}
              checked={isOf(skill)}
              onChange={(wanted) => change(skill, wanted)}
            />
          ))}
      </div>
    </details>
  );
}
