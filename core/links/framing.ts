/** The response headers that decide whether a page may be shown inside another one; several of a name as a list. */
export interface FramingHeaders {
  contentSecurityPolicy: readonly string[];
  xFrameOptions: readonly string[];
}

interface Origin {
  scheme: string;
  host: string;
  /** As written; empty for the scheme's own. */
  port: string;
}

const ownPorts: Record<string, string> = { http: '80', https: '443' };

function originOf(url: string): Origin | null {
  const [, scheme = '', host = '', port = ''] =
    /^(https?):\/\/(?:[^/?#@]*@)?(\[[^\]]+\]|[^/?#:]+)(?::(\d+))?(?:[/?#]|$)/i.exec(url) ?? [];
  if (!host) return null;
  const plain = scheme.toLowerCase();
  return { scheme: plain, host: host.toLowerCase(), port: port === ownPorts[plain] ? '' : port };
}

/** A policy may be stricter than what is asked: who allows http allows https as well. */
const schemeFits = (allowed: string, asked: string): boolean =>
  allowed === asked || (allowed === 'http' && asked === 'https');

function portFits(allowed: string, asked: Origin): boolean {
  const own = ownPorts[asked.scheme];
  const port = asked.port || own;
  if (allowed === '*') return true;
  if (allowed === '') return port === own;
  return allowed === port || (allowed === '80' && port === '443');
}

function hostFits(allowed: string, asked: string): boolean {
  if (allowed === '*') return true;
  // A star stands for one or more names before the dot, never for the name after it alone.
  return allowed.startsWith('*.') ? asked.endsWith(allowed.slice(1)) : asked === allowed;
}

/** Content Security Policy Level 3, 6.7.2 "Does url match expression", for the ancestors of a frame. */
function sourceFits(source: string, page: Origin, by: Origin): boolean {
  const expression = source.toLowerCase();
  if (expression === '*') return true;
  if (expression === "'self'")
    return page.host === by.host && page.port === by.port && schemeFits(page.scheme, by.scheme);
  const scheme = /^([a-z][a-z0-9+.-]*):$/.exec(expression)?.[1];
  if (scheme) return schemeFits(scheme, by.scheme);
  // Ancestors are compared as origins, so a source with a path fits none of them.
  const [, given, host = '', port = ''] =
    /^(?:([a-z][a-z0-9+.-]*):\/\/)?(\*|(?:\*\.)?[a-z0-9-]+(?:\.[a-z0-9-]+)*|\[[^\]]+\])(?::(\d+|\*))?\/?$/.exec(
      expression,
    ) ?? [];
  return (
    host !== '' &&
    schemeFits(given ?? page.scheme, by.scheme) &&
    hostFits(host, by.host) &&
    portFits(port, by)
  );
}

/** The ancestors each policy allows; policies that say nothing about them are left out. */
function ancestorsOf(headers: readonly string[]): string[][] {
  return headers
    .flatMap((header) => header.split(','))
    .flatMap((policy) => {
      const directives = policy.split(';').map((one) => one.trim().split(/\s+/));
      const found = directives.find(([name]) => name?.toLowerCase() === 'frame-ancestors');
      return found ? [found.slice(1)] : [];
    });
}

/** HTML Standard, "check a navigation response's adherence to X-Frame-Options". */
function optionsAllow(headers: readonly string[], page: Origin, by: Origin): boolean {
  const given = new Set(
    headers.flatMap((header) => header.split(',')).map((one) => one.trim().toLowerCase()),
  );
  const meant = ['deny', 'allowall', 'sameorigin'].filter((one) => given.has(one));
  if (given.size > 1) return meant.length === 0;
  if (given.has('deny')) return false;
  return (
    !given.has('sameorigin') || (page.host === by.host && page.port === by.port && page.scheme === by.scheme)
  );
}

/**
 * Whether browsers show a page inside a page of another origin, from the headers it was answered with. Where a policy
 * names frame ancestors, X-Frame-Options does not count.
 *
 * @param url address the page was answered from, after redirects
 * @param by origin of the page that would show it, for example `https://kite.example`
 * @see https://www.w3.org/TR/CSP3/#directive-frame-ancestors
 * @see https://html.spec.whatwg.org/multipage/document-lifecycle.html#the-x-frame-options-header
 */
export function mayBeFramed(headers: FramingHeaders, url: string, by: string): boolean {
  const [page, around] = [originOf(url), originOf(by)];
  if (!page || !around) return false;
  // A page that came without encryption is not shown inside one that came with it (Mixed Content, W3C).
  if (around.scheme === 'https' && page.scheme === 'http') return false;
  const policies = ancestorsOf(headers.contentSecurityPolicy);
  if (policies.length > 0)
    return policies.every((sources) => sources.some((source) => sourceFits(source, page, around)));
  return optionsAllow(headers.xFrameOptions, page, around);
}
