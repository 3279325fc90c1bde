import { useMemo } from 'react';
import type { LeftOf } from '#core/check/lists/progress.ts';
import { waivedBecause } from '#core/check/waiver.ts';
import { useSite } from '../api/site-context.tsx';
import { isRule } from '../lists/rule-words.ts';
import { isGoing, useFindings } from './use-findings.ts';

/** How often rules have something to say on the pages that readers get, but for what its maker lets stand: they tick lines of lists. */
export function useLeftOf(): LeftOf {
  const { state } = useSite();
  const { of, failed } = useFindings();
  return useMemo(() => {
    const { waived } = state.site;
    const told = [...of].flatMap(([page, all]) =>
      isGoing(state, page) ? all.filter((finding) => waivedBecause(waived, finding) === null) : [],
    );
    return (rule) => {
      if (failed || !isRule(rule)) return null;
      return of.size === 0 ? 'unknown' : told.filter((one) => one.rule === rule).length;
    };
  }, [of, failed, state]);
}
