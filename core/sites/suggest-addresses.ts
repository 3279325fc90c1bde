import slugify from '@sindresorhus/slugify';
import { addressSchema } from './address.ts';

/** Addresses worth offering for a site of this name, best first; each one passes `addressSchema`. */
export function suggestAddresses(title: string): string[] {
  const base = slugify(title.slice(0, 200)).slice(0, 30).replace(/-$/, '');
  const candidates = base
    ? [base, `${base}-makes`, `${base}-work`, `${base}-projects`, `${base}-${base.length + 20}`]
    : ['my-work', 'my-projects', 'things-i-made'];
  return candidates.filter((candidate) => addressSchema.safeParse(candidate).success);
}
