import { z } from 'zod';
import { profileKinds } from '../about/profile-kinds.ts';
import { line } from '../words/line.ts';
import { partBase } from './part-base.ts';
import { holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';
import { webAddress } from './web-address.ts';

const profileSchema = z.object({ name: line(80).default(''), to: webAddress, is: z.enum(profileKinds) });
export type Profile = z.infer<typeof profileSchema>;

/** Where else the maker can be found. */
export const profilesSchema = partBase.extend({
  kind: z.literal('profiles'),
  list: z.array(profileSchema).max(12, 'At most twelve links fit here.'),
});

/** What there is to follow: a link without an address is only begun. */
const whole = (list: readonly Profile[]) => list.filter(({ to }) => to.trim() !== '');

export const profiles = partRules<typeof profilesSchema, { list: Profile[] }>({
  ...showsNoMaterial,
  ...holdsNothing,
  schema: profilesSchema,
  noun: 'links',
  tiedIn: 'facts',
  start: () => ({ list: [] }),
  isEmpty: ({ list }) => whole(list).length === 0,
  seen: ({ list }) => ({ list: whole(list) }),
  changed: () => 'links changed',
});
