import {
  File,
  FileUser,
  Folders,
  Hammer,
  Heading,
  House,
  type LucideIcon,
  SquareArrowOutUpRight,
  User,
} from 'lucide-react';
import type { PageKind } from '#core/pages/page-kinds.ts';

/** Drawn before the name of a page of each kind. */
export const kindSigns: Record<PageKind, LucideIcon> = {
  home: House,
  project: Hammer,
  about: User,
  resume: FileUser,
  plain: File,
  group: Folders,
  heading: Heading,
  link: SquareArrowOutUpRight,
};

/** What can be tied to the string, with what it is good for. */
export const tieable: { kind: Exclude<PageKind, 'home'>; name: string; note: string }[] = [
  { kind: 'project', name: 'Project', note: 'A case page; it hangs on the front page too' },
  { kind: 'group', name: 'Group', note: 'A year, a course, a subject: holds projects and pages' },
  { kind: 'plain', name: 'Page', note: 'Anything else: services, thanks, what you are learning' },
  { kind: 'about', name: 'About page', note: 'Who is behind the work' },
  { kind: 'resume', name: 'Résumé', note: 'Your way so far' },
  { kind: 'heading', name: 'Heading', note: 'A word in the menu, over what stands below it' },
  { kind: 'link', name: 'Outside link', note: 'Leads to a page elsewhere' },
];
