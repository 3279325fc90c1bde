const years = String.raw`(?:1[0-7]|[6-9])`;
/** How somebody says that they are a child or a youth (common practice). */
const patterns = [
  // I am 16, I'm 16 years old; not: I am 16 minutes late
  String.raw`(?<!\p{L})I(?:['’]m|\sam)\s${years}(?:\syears\sold)?(?=\s*(?:[.,;:)!]|$|and\s|years\sold))`,
  String.raw`(?<![\p{L}\d])${years}(?:[\s-]years?[\s-]old)(?!\p{L})`,
  String.raw`(?<!\p{L})[Ii]ch\sbin\s${years}(?:\sJahre(?:\salt)?)?(?=\s*(?:[.,;:)!]|$|und\s))`,
  String.raw`(?<![\p{L}\d])${years}\sJahre\salt(?!\p{L})`,
  String.raw`(?<!\p{L})[Jj]['’]ai\s${years}\sans(?!\p{L})`,
  String.raw`(?<!\p{L})[Tt]engo\s${years}\saños(?!\p{L})`,
].map((one) => new RegExp(one, 'gmu'));

/** Where somebody under 18 says how old they are. @returns each as it stands there, once for every place */
export function agesIn(text: string): string[] {
  const found = new Map<number, string>();
  for (const pattern of patterns)
    for (const { index, 0: words } of text.matchAll(pattern)) {
      const overlaps = [...found].some(([at, one]) => at < index + words.length && index < at + one.length);
      if (!overlaps) found.set(index, words);
    }
  return [...found.values()];
}
