import type { Proof } from './proof.ts';

/**
 * Proofs as they are named to readers: each page once, since links of one name that lead to several places of one page tell nobody
 * which is which. The first part of it that proves something is where the link leads; the page as a whole where no part does.
 */
export function oneProofAPage(proofs: readonly Proof[]): Proof[] {
  const byPage = new Map<string, Proof>();
  for (const proof of proofs) {
    const known = byPage.get(proof.page);
    if (!known || (known.part === null && proof.part !== null)) byPage.set(proof.page, proof);
  }
  return [...byPage.values()];
}
