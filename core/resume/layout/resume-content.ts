import type { Id } from '../../id.ts';
import type { ResumeSection } from '../sections.ts';

/** A page that shows something, as a file leads to it. */
export interface ProofLink {
  title: string;
  /** Address on the web. */
  to: string;
}

export interface ContentLine {
  id: Id;
  text: string;
  proof: ProofLink | null;
}

export interface ContentEntry {
  id: Id;
  title: string;
  /** Where its own page is. */
  link: string | null;
  level: string;
  place: string;
  /** In words of the résumé's language. */
  when: string;
  lines: readonly ContentLine[];
  proofs: readonly ProofLink[];
}

/** A résumé as it is set on paper: what one reader may have of a version. */
export interface ResumeContent {
  /** BCP 47. */
  language: string;
  name: string;
  /** One line below the name; empty for none. */
  headline: string;
  /** Where the maker is and where the site is, each with where it leads. */
  contact: readonly { text: string; to: string | null }[];
  sections: readonly { section: ResumeSection; label: string; entries: readonly ContentEntry[] }[];
  /** Said at the foot of each page: where the newest one is. */
  newest: { text: string; to: string } | null;
}
