/** A number with its noun: “1 picture”, “3 pictures”, “2 passes”. */
export const plural = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;
