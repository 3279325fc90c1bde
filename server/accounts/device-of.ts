import Bowser from 'bowser';

/** More than any browser says of itself. */
const longest = 400;

/** What a browser is, as it says itself: “Firefox on Linux”. Empty where it says nothing that is known. */
export function deviceOf(userAgent: string | undefined): string {
  if (!userAgent || userAgent.length > longest) return '';
  const { browser, os } = Bowser.parse(userAgent);
  return [browser.name, os.name].filter(Boolean).join(' on ');
}
