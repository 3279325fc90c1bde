import { computeAccessibleName, getRole } from 'dom-accessibility-api';

type SpokenKind =
  'heading' | 'link' | 'button' | 'picture' | 'field' | 'landmark' | 'list' | 'table' | 'clip' | 'words';

/** One thing that somebody hears who has a page read to them, in its turn. */
export interface SpokenLine {
  kind: SpokenKind;
  text: string;
  /** Of a heading, 1 to 6. */
  level?: number;
  /** Where it is not the page's own. */
  language?: string;
  /** Where it stands. */
  element: Element;
}

const landmarks: Readonly<Record<string, string>> = {
  banner: 'Head of the page',
  navigation: 'Menu',
  main: 'Main part',
  complementary: 'Beside it',
  contentinfo: 'Foot of the page',
  region: 'Section',
  form: 'Form',
};
const fields = new Set([
  'textbox',
  'searchbox',
  'checkbox',
  'radio',
  'combobox',
  'spinbutton',
  'slider',
  'listbox',
]);
const unsaid = new Set(['SCRIPT', 'STYLE', 'NOSCRIPT', 'TEMPLATE', 'HEAD']);

const isSilent = (element: Element, style: CSSStyleDeclaration): boolean =>
  unsaid.has(element.tagName) ||
  element.getAttribute('aria-hidden') === 'true' ||
  element.hasAttribute('hidden') ||
  element.hasAttribute('inert') ||
  style.display === 'none';

/** Values of `display` that do not end what is said in one breath. */
const flowsOn = /^(?:inline|contents|ruby|$)/;

const oneLine = (text: string): string => text.replace(/\s+/g, ' ').trim();

/** A section is one to be led to only where it has a name, and the head and foot of something smaller are none of the page. */
function landmarkOf(role: string | null, element: Element, name: string): string | null {
  if (role === null || !Object.hasOwn(landmarks, role)) return null;
  if ((role === 'region' || role === 'form') && name === '') return null;
  if (
    (role === 'banner' || role === 'contentinfo') &&
    !element.hasAttribute('role') &&
    element.closest('article, aside, main, nav, section') !== null
  )
    return null;
  return landmarks[role] ?? null;
}

/** What an element is heard as by itself, with all that is in it; null where only what is in it is heard. */
function wholeOf(element: Element, role: string | null): { kind: SpokenKind; level?: number } | null {
  if (role === 'heading') {
    const level = element.getAttribute('aria-level') ?? /^H([1-6])$/.exec(element.tagName)?.[1];
    return { kind: 'heading', level: Number(level ?? 2) };
  }
  if (role === 'link') return { kind: 'link' };
  if (role === 'button' || element.tagName === 'SUMMARY') return { kind: 'button' };
  if (role === 'img' || role === 'image') return { kind: 'picture' };
  if (element.tagName === 'VIDEO' || element.tagName === 'AUDIO') return { kind: 'clip' };
  if (role !== null && fields.has(role)) return { kind: 'field' };
  return null;
}

/**
 * What a page says, in the order in which a screen reader goes through it from its beginning: the order of its document, whatever
 * stands where on the screen. Names are computed as the standard has it (Accessible Name and Description Computation 1.2).
 */
export function spokenLines(page: Document): SpokenLine[] {
  const view = page.defaultView;
  const lines: SpokenLine[] = [];
  if (!view) return lines;
  let run = '';
  let runAt: Element | null = null;
  const own = page.documentElement.lang;
  const languageAt = (element: Element) => {
    const language = element.closest('[lang]')?.getAttribute('lang') ?? own;
    return language === own ? {} : { language };
  };
  const say = (kind: SpokenKind, text: string, element: Element, level?: number) =>
    lines.push({ kind, text, element, ...languageAt(element), ...(level !== undefined && { level }) });
  const flush = () => {
    const text = oneLine(run);
    if (text !== '' && runAt) say('words', text, runAt);
    run = '';
    runAt = null;
  };

  const walk = (element: Element) => {
    const style = view.getComputedStyle(element);
    if (isSilent(element, style)) return;
    const role = getRole(element);
    // A picture without a text is passed over, one that has none to be passed over by is not.
    if (element.tagName === 'IMG' && element.getAttribute('alt') === '') return;
    const whole = style.visibility === 'hidden' ? null : wholeOf(element, role);
    const block = !flowsOn.test(style.display);
    if (block || whole) flush();
    if (whole) {
      const name = oneLine(computeAccessibleName(element));
      if (name !== '' || whole.kind !== 'link') say(whole.kind, name, element, whole.level);
      return;
    }
    if (element.tagName === 'svg') return;
    const name =
      role !== null && Object.hasOwn(landmarks, role) ? oneLine(computeAccessibleName(element)) : '';
    const landmark = landmarkOf(role, element, name);
    if (landmark !== null) say('landmark', name === '' ? landmark : `${landmark}: ${name}`, element);
    if (role === 'list') {
      const items = [...element.children].filter((child) => getRole(child) === 'listitem').length;
      if (items > 1) say('list', `${items} lines`, element);
    }
    if (role === 'table') say('table', oneLine(computeAccessibleName(element)), element);
    for (const child of element.childNodes) {
      if (child.nodeType === child.TEXT_NODE && style.visibility !== 'hidden') {
        if (run === '') runAt = element;
        run += child.textContent ?? '';
      }
      if (child.nodeType === child.ELEMENT_NODE) walk(child as Element);
    }
    if (block) flush();
  };
  walk(page.body);
  flush();
  return lines;
}
