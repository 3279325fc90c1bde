import { beforeAll, describe, expect, test } from '@jest/globals';
import { type Found, foundOf } from './support/found-of-resume.ts';
import { fileKinds, type ReadSample, readResumes } from './support/read-resumes.ts';
import { people, writtenWith } from './support/sample-resumes.ts';

/**
 * Old résumés taken in by rules: the four sample résumés that come with the schema of JSON Resume, each in four layouts, made by pandoc as
 * DOCX and as text and by Chromium as PDF. `docs/resume-taken-in.md` has the figures and says what they are of.
 */
let samples: ReadSample[];
beforeAll(async () => {
  samples = await readResumes();
});

const totalOf = (of: readonly ReadSample[]): Found =>
  of
    .flatMap(({ person, guessed }) => (people[person] ? [foundOf(people[person], guessed)] : []))
    .reduce((a, b) => ({
      entries: a.entries + b.entries,
      found: a.found + b.found,
      wrong: a.wrong + b.wrong,
      names: a.names + b.names,
      namesRight: a.namesRight + b.namesRight,
      dates: a.dates + b.dates,
      datesRight: a.datesRight + b.datesRight,
      owner: a.owner + b.owner,
    }));

describe('old résumés', () => {
  test('of four people in four layouts and three kinds of file are read', () => {
    expect(samples).toHaveLength(48);
  });

  test.each(fileKinds)('as %s say most of what they were made from', (kind) => {
    const { entries, found, wrong, names, namesRight, dates, datesRight } = totalOf(
      samples.filter((one) => one.kind === kind),
    );
    expect(found / entries).toBeGreaterThan(0.95);
    expect(wrong / entries).toBeLessThan(0.05);
    expect(namesRight / names).toBeGreaterThan(0.9);
    expect(datesRight / dates).toBeGreaterThan(0.95);
  });

  test('of people that the rules were not written with say about as much', () => {
    const others = totalOf(samples.filter(({ person }) => !writtenWith.includes(person)));
    expect(others.found / others.entries).toBeGreaterThan(0.95);
    expect(others.wrong / others.entries).toBeLessThan(0.06);
    expect(others.owner).toBe(samples.length / 2);
  });

  test('no address is taken into an entry', () => {
    for (const { person, guessed } of samples)
      expect(JSON.stringify(guessed.guesses)).not.toContain(people[person]?.basics.email ?? '@');
  });
});
