import { effectiveHeight } from '#core/access/effective-height.ts';
import { isShown } from '#core/pages/page.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';
import { showsProof } from '#core/resume/evidence-map/shows-proof.ts';
import { proofOpens } from '#core/resume/proof-opens.ts';
import type { Proof } from '#core/resume/proof.ts';
import { useSite } from '../../api/site-context.tsx';
import { Select } from '../../ui/select.tsx';
import { heightNames } from '../../ui/height-names.ts';
import { partInWords } from '../../parts/part-in-words.ts';
import type { Version } from './use-resume.ts';

const valueOf = (proof: Proof | null) => (proof ? `${proof.page} ${proof.part ?? ''}`.trim() : '');

/** What proves a line or an entry: a page, or a part of one; with a word where readers of the version cannot open it. */
export function ProofField({
  label,
  proof,
  page,
  version,
  none = 'Nothing proves it yet',
  onChange,
}: {
  label: string;
  proof: Proof | null;
  /** The résumé's own, which proves nothing. */
  page: string;
  version: Version;
  /** Said while nothing is chosen. */
  none?: string;
  onChange: (proof: Proof | null) => void;
}) {
  const { state } = useSite();
  const pages = state.pages
    .filter(isShown)
    .filter((one) => one.id !== page && !one.archived && !rulesOfPage(one).isFront);
  const options = pages.flatMap((one) => [
    { value: one.id, name: pageName(one) },
    ...one.parts.filter(showsProof).map((part) => ({
      value: `${one.id} ${part.id}`,
      name: `   ${partInWords(part, state.materials)}`.slice(0, 90),
    })),
  ]);
  const value = valueOf(proof);
  const known = options.some((one) => one.value === value);
  const own = effectiveHeight(state, { page, part: version.id });
  const its =
    proof &&
    effectiveHeight(
      state,
      proof.part === null ? { page: proof.page } : { page: proof.page, part: proof.part },
    );
  const outOfReach = proof && its && !proofOpens(state, { page, version: version.id })(proof);
  return (
    <div className="grid gap-1">
      <Select
        label={label}
        value={known ? value : ''}
        options={[{ value: '', name: proof && !known ? 'What proved it is gone' : none }, ...options]}
        onChange={(next) => {
          const [to = '', part] = next.split(' ');
          onChange(to === '' ? null : { page: to, part: part ?? null });
        }}
      />
      {outOfReach && (
        <p className="note">
          It is {heightNames[its.height]}, and this version is {heightNames[own.height]}: its readers cannot
          open it, so they are not told of it.
        </p>
      )}
    </div>
  );
}
