import {
  BadgeCheck,
  CalendarDays,
  ClipboardCheck,
  FileUser,
  Hammer,
  type LucideIcon,
  MessageSquareQuote,
  PackageOpen,
  Signpost,
  SwatchBook,
  User,
  Wind,
} from 'lucide-react';

export interface Room {
  path: string;
  name: string;
  icon: LucideIcon;
}

/** The eight rooms, in the order in which people work. */
export const rooms: readonly Room[] = [
  { path: 'gather', name: 'Gather', icon: PackageOpen },
  { path: 'projects', name: 'Projects', icon: Hammer },
  { path: 'about', name: 'About you', icon: User },
  { path: 'arrange', name: 'Arrange', icon: Signpost },
  { path: 'look', name: 'Look', icon: SwatchBook },
  { path: 'check', name: 'Check', icon: ClipboardCheck },
  { path: 'share', name: 'Share', icon: Wind },
  { path: 'feedback', name: 'Feedback', icon: MessageSquareQuote },
];

/** Desks within a room, which the finder leads to as well. */
export const desks: readonly Room[] = [
  { path: 'about/resume', name: 'Résumé desk', icon: FileUser },
  { path: 'plan', name: 'Plan', icon: CalendarDays },
  { path: 'about/evidence', name: 'Skills and evidence', icon: BadgeCheck },
];
