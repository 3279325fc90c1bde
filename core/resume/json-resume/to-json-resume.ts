import type { ResumeSection } from '../sections.ts';
import { type ItemMapping, itemMappings } from './mapping.ts';
import { nothingTaken, ownKey, type TakenEntry } from './taken-entry.ts';

/** Who a résumé is of, as far as its reader may know. */
export interface ResumeOwner {
  name: string;
  label: string;
  url: string | null;
  region: string;
  profiles: readonly { network: string; url: string }[];
}

type Kept = Partial<{
  titled: string;
  first: number;
  cut: number[];
  empty: boolean;
  rest: Record<string, unknown>;
}> &
  Record<string, unknown>;

const joined = (lines: readonly string[]): string => lines.join(' ');

/** An entry as an item; what the format has no place for stands in it under one key of our own. */
function itemOf(entry: TakenEntry, mapping: ItemMapping): Record<string, unknown> {
  const { title, place, from, to, date, level, text, list } = mapping;
  const kept = (entry.kept ?? {}) as Kept;
  const said: Record<string, unknown> = {};
  const more: Record<string, unknown> = {};
  const put = (field: string | undefined, name: keyof TakenEntry, value: string | null) => {
    if (value === null || value === '') return;
    if (field === undefined) more[name] = value;
    else said[field] = value;
  };
  const dated = (field: string, value: string) => {
    const exact = kept[field];
    return typeof exact === 'string' && exact.startsWith(value) ? exact : value;
  };
  if (kept.titled === 'place' && entry.place === '') put(place, 'place', entry.title);
  else {
    put(title, 'title', entry.title);
    put(place, 'place', entry.place);
  }
  put(level, 'level', entry.level);
  if (from !== undefined && to !== undefined) {
    if (entry.from !== null) said[from] = dated(from, entry.from);
    const ends = entry.to === null ? entry.from : entry.to === 'now' ? null : entry.to;
    if (ends !== null) said[to] = dated(to, ends);
    if (entry.to === 'now' && entry.from === null) more['to'] = 'now';
  } else {
    if (date !== undefined && entry.from !== null) said[date] = dated(date, entry.from);
    else if (entry.from !== null) more['from'] = entry.from;
    if (entry.to !== null) more['to'] = entry.to;
  }
  const lines = entry.lines.map((line) => line.text);
  const isWhole = text !== undefined && list === undefined;
  const first = text === undefined ? 0 : isWhole ? lines.length : Math.min(kept.first ?? 0, lines.length);
  if (text !== undefined && first > 0) {
    said[text] = joined(lines.slice(0, first));
    // One piece of words would come back as other lines.
    if (isWhole && kept.first !== first && first > 1) more['lines'] = entry.lines;
  }
  const others = lines.slice(first);
  if (list !== undefined && (others.length > 0 || kept.empty)) {
    const cut = kept.cut ?? [];
    let at = 0;
    const pieces: string[] = [];
    for (const length of cut.reduce((sum, one) => sum + one, 0) === others.length
      ? cut
      : others.map(() => 1)) {
      pieces.push(joined(others.slice(at, at + length)));
      at += length;
    }
    said[list] = pieces;
  } else if (list === undefined && text === undefined && lines.length > 0) more['lines'] = entry.lines;
  const lineProofs = entry.lines.map(({ proof }) => proof);
  const own = {
    ...(entry.proofs.length > 0 && { proofs: entry.proofs }),
    ...(lineProofs.some((proof) => proof !== null) && { lineProofs }),
    ...(entry.page !== null && { page: entry.page }),
    ...(Object.keys(more).length > 0 && { more }),
  };
  return { ...said, ...kept.rest, ...(Object.keys(own).length > 0 && { [ownKey]: own }) };
}

/** A résumé in JSON Resume 1.0: the entries of a version, and of whom it is what its reader may know; no address to write to. */
export function toJsonResume(entries: readonly TakenEntry[], owner: ResumeOwner): Record<string, unknown> {
  const goals = entries.filter(({ section }) => section === 'goals');
  const summary = joined(
    goals.flatMap(({ title, lines }) => [title, ...lines.map(({ text }) => text)]).filter(Boolean),
  );
  const isPlain = goals.length === 0 || (goals.length === 1 && goals[0]?.title === '' && isBare(goals[0]));
  const basics = {
    name: owner.name,
    ...(owner.label && { label: owner.label }),
    ...(owner.url !== null && { url: owner.url }),
    ...(summary && { summary }),
    ...(owner.region && { location: { region: owner.region } }),
    ...(owner.profiles.length > 0 && { profiles: owner.profiles }),
    // More goals than one piece of words says.
    ...(!isPlain && { [ownKey]: { goals } }),
  };
  const lists = Object.entries(itemMappings).flatMap(([section, mapping]) => {
    const of = entries.filter((entry) => entry.section === (section as ResumeSection));
    return of.length === 0 ? [] : [[mapping.key, of.map((entry) => itemOf(entry, mapping))] as const];
  });
  return {
    $schema: 'https://raw.githubusercontent.com/jsonresume/resume-schema/v1.0.0/schema.json',
    basics,
    ...Object.fromEntries(lists),
  };
}

const isBare = ({ place, from, to, level, proofs, page, lines }: TakenEntry): boolean =>
  JSON.stringify([place, from, to, level, proofs, page]) ===
    JSON.stringify([nothingTaken.place, null, null, '', [], null]) &&
  lines.every(({ proof }) => proof === null);
