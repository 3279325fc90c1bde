/** The studio speaks English, wherever its maker's browser is from: dates in another language would stand in the middle of it. */
const format = (parts: Intl.DateTimeFormatOptions) => {
  const own = new Intl.DateTimeFormat('en-GB', parts);
  return (at: Date | string | number): string => own.format(new Date(at));
};

/** An instant by the clocks here: `1 Dec 2026, 01:15`. */
export const dayAndTime = format({ dateStyle: 'medium', timeStyle: 'short' });
/** By the clocks here: `01:15`. */
export const clockTime = format({ hour: '2-digit', minute: '2-digit' });
/** `8 December` */
export const dayAndMonth = format({ day: 'numeric', month: 'long' });
/** `8 Dec` */
export const dayAndShortMonth = format({ day: 'numeric', month: 'short' });
/** `Dec` */
export const shortMonth = format({ month: 'short' });
