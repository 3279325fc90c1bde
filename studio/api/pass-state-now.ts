import type { Pass } from '#contract/passes.ts';
import { type PassState, passState } from '#core/passes/pass-state.ts';

/** The window of a pass as it comes over the wire, as instants. */
export const windowOf = ({ opensAt, closesAt }: Pick<Pass, 'opensAt' | 'closesAt'>) => ({
  opensAt: opensAt === null ? null : new Date(opensAt),
  closesAt: closesAt === null ? null : new Date(closesAt),
});

/** Whether a pass opens something at an instant. */
export const passStateAt = (pass: Pick<Pass, 'on' | 'opensAt' | 'closesAt'>, now: Date): PassState =>
  passState({ on: pass.on, ...windowOf(pass) }, now);
