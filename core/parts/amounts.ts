/** A number as somebody wrote it in a table, with what stands before and after it: “€ 1.250,50”, “3 m”. */
interface Written {
  before: string;
  sign: '' | '-';
  /** Digits, points, commas, spaces and apostrophes as they were typed. */
  number: string;
  after: string;
}

/** Signs that stand between groups of digits in one place of the world or another. */
const grouping = /[\s'’]/g;

function written(cell: string): Written | null {
  const text = cell.trim().slice(0, 60);
  const first = text.search(/\d/);
  if (first < 0) return null;
  const lastAt = text.length - [...text].reverse().join('').search(/\d/);
  const number = text.slice(first, lastAt);
  if (/[^\d.,\s'’]/.test(number)) return null;
  const lead = text.slice(0, first).trim();
  const negative = /^[-−–]|[-−–]$/.test(lead);
  const before = lead.replace(/^[-−–+]|[-−–+]$/g, '').trim();
  return { before, sign: negative ? '-' : '', number, after: text.slice(lastAt).trim() };
}

/** The sign that a number's writer surely meant as the decimal one; null where it can be read either way, or has none. */
function surelyDecimal(number: string): '.' | ',' | null {
  const [points, commas] = [number.split('.').length - 1, number.split(',').length - 1];
  if (points > 0 && commas > 0) return number.lastIndexOf('.') > number.lastIndexOf(',') ? '.' : ',';
  if (points + commas !== 1) return null;
  const sign = points === 1 ? '.' : ',';
  const [whole = '', rest = ''] = number.replace(grouping, '').split(sign);
  // “1.250” is twelve hundred and fifty for some and one and a quarter for others.
  return rest.length === 3 && whole.length <= 3 && !/^0/.test(whole) ? null : sign;
}

export interface Amount {
  /** The number without its decimal sign: 1250 with two decimals is 12.50. */
  units: bigint;
  decimals: number;
}

function amountOf({ sign, number }: Written, decimal: '.' | ','): Amount | null {
  const other = decimal === '.' ? ',' : '.';
  const [whole = '', rest = '', ...more] = number.replace(grouping, '').replaceAll(other, '').split(decimal);
  if (more.length > 0) return null;
  return { units: BigInt(`${sign}${whole || '0'}${rest}`), decimals: rest.length };
}

/** What a column of cells comes to. */
export type Total =
  | { kind: 'sum'; text: string }
  /** Nothing to add up, or something that is no number; cells in different units are not added up. */
  | { kind: 'none'; why: 'empty' | 'words' | 'units' };

/** Whether every cell that says something is a number, so that a column is set to the right. */
export const isAmounts = (cells: readonly string[]): boolean =>
  cells.some((cell) => cell.trim() !== '') &&
  cells.every((cell) => cell.trim() === '' || written(cell) !== null);

/**
 * Adds up a column as it was typed, exactly: 0.10 and 0.20 are 0.30. Whether a point or a comma is the decimal sign is
 * taken from the cells that leave no doubt; without one, three digits behind a single sign are thousands (common practice
 * in price lists). The sum is written with as many decimals as the most exact cell, and with the unit that all share.
 */
export function totalOf(cells: readonly string[]): Total {
  const said = cells.filter((cell) => cell.trim() !== '');
  if (said.length === 0) return { kind: 'none', why: 'empty' };
  const all = said.map(written);
  const read = all.filter((one) => one !== null);
  const [first] = read;
  if (!first || read.length < all.length) return { kind: 'none', why: 'words' };
  if (read.some(({ before, after }) => before !== first.before || after !== first.after))
    return { kind: 'none', why: 'units' };
  const signs = new Set(read.map(({ number }) => surelyDecimal(number)).filter((sign) => sign !== null));
  if (signs.size > 1) return { kind: 'none', why: 'words' };
  const [known] = signs;
  // Where nothing tells, the one sign there is stands between thousands.
  const decimal = known ?? (read.some(({ number }) => number.includes('.')) ? ',' : '.');
  const amounts = read.map((one) => amountOf(one, decimal));
  if (amounts.includes(null)) return { kind: 'none', why: 'words' };
  const decimals = Math.max(...amounts.map((one) => one?.decimals ?? 0));
  const units = amounts.reduce(
    (sum, one) => sum + (one ? one.units * 10n ** BigInt(decimals - one.decimals) : 0n),
    0n,
  );
  const digits = (units < 0n ? -units : units).toString().padStart(decimals + 1, '0');
  const whole = digits.slice(0, digits.length - decimals);
  const number = `${units < 0n ? '-' : ''}${whole}${decimals > 0 ? decimal + digits.slice(-decimals) : ''}`;
  const space = (text: string) => (/^[\p{L}%]/u.test(text) || text.length > 1 ? '\u00a0' : '');
  const { before, after } = first;
  return {
    kind: 'sum',
    text: `${before}${before && '\u00a0'}${number}${after && (space(after) || '\u00a0')}${after}`,
  };
}
