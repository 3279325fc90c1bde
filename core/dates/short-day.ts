import { format, parseISO } from 'date-fns';

/** A day of late, as a maker reads it: `27 Nov`. @param day as ISO 8601 writes it */
export const shortDay = (day: string): string => format(parseISO(day), 'd MMM');
