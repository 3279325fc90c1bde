import Papa from 'papaparse';

/** Somebody a pass is made for. */
export interface PassPerson {
  name: string;
  /** What else stands beside the name: an address, a group. Kept for the maker alone. */
  more: string;
}

/** More lines than this are no class list. */
const mostLines = 1000;

/**
 * People from a pasted list or a file with commas, semicolons or tabs (RFC 4180): the first column that says something is the name. A
 * first line that names columns is none of them, and nobody is there twice.
 */
export function peopleFromText(text: string): PassPerson[] {
  const { data } = Papa.parse<string[]>(text.trim(), {
    skipEmptyLines: 'greedy',
    preview: mostLines,
    delimitersToGuess: [',', ';', '\t'],
  });
  const people = new Map<string, PassPerson>();
  data.forEach((cells, at) => {
    const [name = '', ...rest] = cells.map((cell) => cell.trim()).filter((cell) => cell !== '');
    if (name === '' || (at === 0 && /^(name|names|student|students|first name|who)$/i.test(name))) return;
    const person = { name: name.slice(0, 80), more: rest.join(', ').slice(0, 160) };
    people.set(`${person.name}\n${person.more}`.toLowerCase(), person);
  });
  return [...people.values()];
}
