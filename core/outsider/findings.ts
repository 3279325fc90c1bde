import { plural } from '../words/plural.ts';
import type { Finding, Tried, TriedWay, WayIn } from './outsider-test.ts';

/** A way in by name, as a sentence begins with it. */
function named(way: WayIn): string {
  switch (way.kind) {
    case 'address':
      return 'The address';
    case 'site-link':
      return 'The link to the site';
    case 'page-link':
      return `The link to ${way.name}`;
    case 'pass':
      return `The pass “${way.name}”`;
  }
}

/** Names in a sentence: “A, B and C”, at most a few of them. */
function list(names: readonly string[]): string {
  if (names.length > 4) return `${names.slice(0, 3).join(', ')} and ${names.length - 3} more`;
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;
}

const right = (says: string): Finding => ({ is: 'right', says, repairs: [] });
const changePass = (way: WayIn): Finding['repairs'] =>
  way.kind === 'pass' ? [{ kind: 'change-pass', pass: way.pass, name: way.name }] : [];

const because = {
  off: 'is switched off',
  'not-yet': 'is not open yet',
  over: 'is over',
  height: 'is not open',
};

/** What a shut way in looked like. */
function ofShut({ way, met, shutBecause = 'height' }: TriedWay): Finding[] {
  if (met === 'shut') return [];
  return [
    {
      is: 'wrong',
      says:
        met === 'silent'
          ? `${named(way)}: nothing answered.`
          : `${named(way)} ${because[shutBecause]}, and opened all the same.`,
      repairs: [...changePass(way), { kind: 'again' }],
    },
  ];
}

/** What was met at one way in. */
export const findingsAt = (tried: TriedWay): Finding[] =>
  tried.meant === 'shut' ? ofShut(tried) : ofOpen(tried);

/** What was met at a way in that is meant to be open. */
function ofOpen(tried: TriedWay): Finding[] {
  const { way, met, pages, failed, missing } = tried;
  const name = named(way);
  if (met === 'silent')
    return [{ is: 'wrong', says: `${name}: nothing answered.`, repairs: [{ kind: 'again' }] }];
  if (met === 'shut')
    return [
      {
        is: 'wrong',
        says: `${name} opens nothing, though it is meant to.`,
        repairs: [{ kind: 'publish' }, ...changePass(way)],
      },
    ];
  const found: Finding[] = [];
  if (tried.meant === 'password')
    found.push(
      met === 'asks'
        ? right(`${name} asks for its password.`)
        : { is: 'wrong', says: `${name} opened without its password.`, repairs: changePass(way) },
    );
  else if (met === 'asks')
    found.push({
      is: 'wrong',
      says: `${name} asks for a password it does not have.`,
      repairs: changePass(way),
    });
  else {
    const opened = pages.filter((page) => page.opened);
    const titles = opened.map(({ title }) => title);
    found.push(right(`${name} opens ${plural(opened.length, 'page')}: ${list(titles)}.`));
  }
  for (const { page, title, opened } of met === 'opens' ? pages : [])
    if (!opened)
      found.push({
        is: 'wrong',
        says: `${name} did not open ${title}.`,
        repairs: [{ kind: 'open-page', page, title }, { kind: 'again' }],
      });
  for (const { page, title, because: why } of missing)
    found.push({
      is: 'wrong',
      says:
        why === 'private'
          ? `${name} could not open ${title}. It is Private.`
          : `${name} could not open ${title}. It is not published yet.`,
      repairs: [why === 'private' ? { kind: 'raise', page, title } : { kind: 'publish' }, ...changePass(way)],
    });
  const together = new Map<string, TriedWay['failed']>();
  for (const one of failed) {
    const key = `${one.status} ${one.on}`;
    together.set(key, [...(together.get(key) ?? []), one]);
  }
  for (const some of together.values()) {
    const [{ path = '', on = '', status = null } = {}] = some;
    const what = some.length > 1 ? plural(some.length, 'file') : path || 'the front';
    found.push({
      is: 'wrong',
      says: `${name}: ${what} did not load${on ? `, named on ${on}` : ''}${
        status === null ? '; nothing answered' : ` (status ${status})`
      }.`,
      repairs: [{ kind: 'publish' }, { kind: 'again' }],
    });
  }
  if (tried.listed !== null && tried.listed !== tried.mayBeListed)
    found.push({
      is: 'wrong',
      says: tried.listed
        ? `${name} lets search engines list it, though they are to stay away.`
        : `${name} asks search engines to stay away, though they may list it.`,
      repairs: [{ kind: 'publish' }],
    });
  if (tried.cut) found.push({ is: 'note', says: `${name}: more stands there than was tried.`, repairs: [] });
  return found;
}

/** What stayed shut, in one sentence. */
function stayedShut({ ways, guessed }: Tried): Finding[] {
  const pages = guessed.filter(({ opened }) => !opened).map(({ title }) => title);
  const shut = ways
    .filter(({ meant, met }) => meant === 'shut' && met === 'shut')
    .map(({ way }) => named(way));
  const names = [...pages, ...shut.map((name) => name.replace(/^The /, 'the '))];
  if (names.length === 0) return [];
  const all = list(names);
  return [right(`${all[0]?.toUpperCase()}${all.slice(1)} stayed shut, and nothing told that they exist.`)];
}

/**
 * What one run of the test found, in plain words: first what is right, then what is wrong with its repairs, then what is only worth
 * knowing.
 */
export function outsiderFindings(tried: Tried): Finding[] {
  const { ways, guessed, outside, release } = tried;
  if (release === null)
    return [
      {
        is: 'note',
        says: 'Nothing is published yet, so there is nothing that somebody could open.',
        repairs: [{ kind: 'publish' }],
      },
    ];
  const open = ways.filter(({ meant }) => meant !== 'shut');
  const listed = open.find(({ way }) => way.kind === 'address')?.listed ?? null;
  const findings: Finding[] = [
    ...open.flatMap(ofOpen),
    ...(open.length === 0
      ? [{ is: 'note' as const, says: 'Nobody can open anything of it now.', repairs: [] }]
      : []),
    ...ways.filter(({ meant }) => meant === 'shut').flatMap(ofShut),
    ...guessed
      .filter(({ opened }) => opened)
      .map(({ page, title }): Finding => ({
        is: 'wrong',
        says: `A stranger could open ${title}, which is not for strangers.`,
        repairs: [{ kind: 'close', page, title }],
      })),
    ...stayedShut(tried),
    ...(listed === null
      ? []
      : [right(listed ? 'Search engines may list it.' : 'Search engines are asked to stay away.')]),
    ...outside
      .filter(({ answers }) => answers === 'gone')
      .map(({ to, on }): Finding => ({
        is: 'wrong',
        says: `What ${to} led to, named on ${on}, is gone.`,
        repairs: [],
      })),
  ];
  const unknown = outside.filter(({ answers }) => answers === 'unknown').length;
  if (unknown > 0)
    findings.push({
      is: 'note',
      says: `${plural(unknown, 'link')} to elsewhere did not answer the server, which may say nothing about readers.`,
      repairs: [],
    });
  const order = { right: 0, wrong: 1, note: 2 };
  return findings.sort((a, b) => order[a.is] - order[b.is]);
}
