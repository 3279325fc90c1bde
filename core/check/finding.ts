import type { Id } from '../id.ts';
import type { Noticed } from './noticed.ts';
import type { RuleKey, SiteRuleKey } from './rules.ts';

/** Something the Check room noticed, told apart from all others by its key. */
export interface Finding extends Noticed {
  /** A digest of it (`digest.ts`). */
  of: string;
  key: string;
  rule: RuleKey | SiteRuleKey;
  page: Id;
}
