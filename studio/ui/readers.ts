import { Footprints, Link2, User } from 'lucide-react';

/** As whom the draft can be looked at on every site; holders of its passes besides. */
export const readers = [
  { viewer: 'maker', icon: User, name: 'You', note: 'everything, drafts too' },
  {
    viewer: 'link',
    icon: Link2,
    name: 'Someone with the link',
    note: 'what the link would open after publishing',
  },
  { viewer: 'stranger', icon: Footprints, name: 'A stranger', note: 'no account, no link' },
] as const;
