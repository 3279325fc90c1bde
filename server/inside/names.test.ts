import { describe, expect, test } from '@jest/globals';
import { type Faker, fakerDE, fakerEN_GB, fakerES, fakerFR } from '@faker-js/faker';
import { peopleIn } from '#core/personal/people-in.ts';
import { calledSo } from './given-names.ts';

/** Sentences of ours around names of theirs; what looks like a name and is none is theirs too, but for what stands around it. */
const places: [string, Faker, string[], number][] = [
  [
    'en',
    fakerEN_GB,
    ['It was welded by * in the workshop.', 'With help from *, I cut it.', 'Interview with *.'],
    0.85,
  ],
  [
    'de',
    fakerDE,
    ['Das hat * in der Werkstatt gemacht.', 'Mit Hilfe von * gesägt.', 'Gespräch mit *.'],
    0.85,
  ],
  [
    'fr',
    fakerFR,
    ['Il a été soudé par * à l’atelier.', 'Avec l’aide de *, coupé.', 'Entretien avec *.'],
    0.8,
  ],
  ['es', fakerES, ['Lo soldó * en el taller.', 'Con la ayuda de * corté.', 'Entrevista con *.'], 0.85],
];
const traps: ((faker: Faker) => string)[] = [
  (faker) => `by train to ${faker.location.city()}.`,
  (faker) => `a ${faker.vehicle.vehicle()} of theirs`,
  () => `in ${fakerEN_GB.color.human()} and grey`,
  () => `our ${fakerEN_GB.commerce.productName()} for sale`,
  () => `the ${fakerEN_GB.company.name()} workshop`,
  () => fakerEN_GB.hacker.phrase(),
];

describe('names of a library that knows nothing of what looks for them (@faker-js/faker)', () => {
  test.each(places)('of people in words of %s most are found', (_, faker, sentences, least) => {
    faker.seed(2);
    const found = Array.from({ length: 200 }, (__, at) => {
      const name = `${faker.person.firstName()} ${faker.person.lastName()}`;
      const text = sentences[at % sentences.length]?.replace('*', name) ?? '';
      return peopleIn([text], calledSo).some((one) => name.startsWith(one));
    });
    expect(found.filter(Boolean).length / found.length).toBeGreaterThan(least);
  });

  test('of what is none few are asked about', () => {
    for (const faker of [fakerEN_GB, fakerDE, fakerFR]) faker.seed(2);
    const asked = [fakerEN_GB, fakerDE, fakerFR].flatMap((faker) =>
      traps.flatMap((make) => Array.from({ length: 60 }, () => peopleIn([make(faker)], calledSo).length > 0)),
    );
    expect(asked.length).toBeGreaterThan(1000);
    expect(asked.filter(Boolean).length / asked.length).toBeLessThan(0.08);
  });
});
