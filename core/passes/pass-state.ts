import type { PassWindow } from './pass-window.ts';

/** Whether a pass opens anything now, and if not, why. */
export type PassState = 'open' | 'off' | 'not-yet' | 'over';

/** @param on whether its maker has it switched on */
export function passState({ on, opensAt, closesAt }: PassWindow & { on: boolean }, now: Date): PassState {
  if (!on) return 'off';
  if (opensAt && now < opensAt) return 'not-yet';
  return closesAt && now >= closesAt ? 'over' : 'open';
}
