/** Until when a second look is open, and whether its maker ended it before. */
export interface LookWindow {
  endsAt: Date;
  endedAt: Date | null;
}

/** Whether its link opens the draft: it ends by itself. */
export const isOpen = ({ endsAt, endedAt }: LookWindow, now: Date): boolean =>
  endedAt === null && now < endsAt;
