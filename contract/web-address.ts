import { z } from 'zod';

function urlFrom(text: string): URL | null {
  try {
    return new URL(text);
  } catch {
    return null;
  }
}

/** A web address as somebody types or pastes it, made whole: "kite.example/work" is `https://kite.example/work`. */
export const webAddressSchema = z
  .string()
  .trim()
  .max(2000, 'This address is longer than 2,000 characters. Use a shorter one.')
  .transform((text, context): string => {
    const url = urlFrom(/^[a-z][a-z0-9+.-]*:\/\//i.test(text) ? text : `https://${text}`);
    const named = url && (url.hostname.includes('.') || url.hostname.startsWith('['));
    if (!url || !/^https?:$/.test(url.protocol) || !named || /\s/.test(text)) {
      context.addIssue('This is no web address. It looks like https://example.org/page.');
      return z.NEVER;
    }
    if (url.username || url.password) {
      context.addIssue('This address holds a name or password, which readers would see. Leave them out.');
      return z.NEVER;
    }
    return url.href;
  });

/** The web address that a piece of text is as a whole, or null when it is something else. */
export function webAddressIn(text: string): string | null {
  const address = /^\s*https?:\/\/\S+\s*$/i.test(text) ? webAddressSchema.safeParse(text) : null;
  return address?.success ? address.data : null;
}
