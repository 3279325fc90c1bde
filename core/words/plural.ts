/** A number with its noun: “1 picture”, “3 pictures”. */
export const plural = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;
