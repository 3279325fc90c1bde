import { type Faker, fakerDE, fakerEN_GB, fakerEN_US, fakerES, fakerFR } from '@faker-js/faker';
import type { PersonalKind } from './found.ts';

export interface SampleText {
  language: string;
  text: string;
  /** What was planted, or null in a trap: words that only look like it. */
  kind: PersonalKind | null;
}

const fakers: [string, Faker][] = [
  ['en', fakerEN_GB],
  ['en', fakerEN_US],
  ['de', fakerDE],
  ['fr', fakerFR],
  ['es', fakerES],
];

type Make = (faker: Faker, language: string) => string;
const written = (date: Date, language: string, faker: Faker): string =>
  faker.helpers.arrayElement([
    date.toISOString().slice(0, 10),
    new Intl.DateTimeFormat(language === 'en' ? 'en-GB' : language, { dateStyle: 'long' }).format(date),
    new Intl.DateTimeFormat(language === 'en' ? 'en-GB' : language, { dateStyle: 'short' }).format(date),
    ...(language === 'en' ? [new Intl.DateTimeFormat('en-US', { dateStyle: 'long' }).format(date)] : []),
  ]);
const born: Readonly<Record<string, readonly string[]>> = {
  en: ['I was born on', 'Date of birth:', 'DOB', 'born'],
  de: ['Ich bin geboren am', 'Geburtsdatum:', 'geb.', 'geboren am'],
  fr: ['Je suis née le', 'Date de naissance :', 'né le'],
  es: ['Nacida el', 'Fecha de nacimiento:', 'nacido el'],
};
const enrolled: Readonly<Record<string, readonly string[]>> = {
  en: ['Student number', 'student no.', 'Student ID:', 'Matriculation number:'],
  de: ['Matrikelnummer:', 'Matr.-Nr.', 'Matrikel-Nr.'],
  fr: ['Numéro d’étudiant', 'numéro étudiant :', 'N° étudiant'],
  es: ['Número de matrícula:', 'Nº de expediente', 'número de estudiante'],
};

const planted: [PersonalKind, Make][] = [
  ['phone', (faker) => faker.phone.number({ style: 'national' })],
  ['phone', (faker) => faker.phone.number({ style: 'international' }).replace(/(\d{3})(?=\d{4})/, '$1 ')],
  ['email', (faker) => faker.internet.email()],
  ['address', (faker) => faker.location.streetAddress()],
  [
    'birth-date',
    (faker, language) =>
      `${faker.helpers.arrayElement(born[language] ?? [])} ${written(faker.date.birthdate({ min: 15, max: 70, mode: 'age', refDate: '2026-01-01' }), language, faker)}`,
  ],
  [
    'student-number',
    (faker, language) =>
      `${faker.helpers.arrayElement(enrolled[language] ?? [])} ${faker.string.numeric({ length: { min: 6, max: 9 }, allowLeadingZeros: false })}`,
  ],
  [
    'coordinates',
    (faker) => `${faker.location.latitude({ precision: 5 })}, ${faker.location.longitude({ precision: 5 })}`,
  ],
];

/** What a maker writes about work, and none of it finds anybody. */
const traps: Make[] = [
  (faker) => faker.commerce.isbn(),
  (faker) => faker.commerce.isbn({ variant: 10, separator: ' ' }),
  (faker) => faker.commerce.price({ min: 100, max: 90000, symbol: '€' }),
  (faker) => `${faker.number.int(999)} × ${faker.number.int(999)} × ${faker.number.int(99)} mm`,
  (faker) => faker.date.past({ refDate: '2026-01-01' }).toISOString(),
  (faker, language) => written(faker.date.past({ refDate: '2026-01-01' }), language, faker),
  (faker) => `${faker.number.int({ min: 1850, max: 1990 })}–${faker.number.int({ min: 1991, max: 2025 })}`,
  (faker) => faker.system.semver(),
  (faker) => faker.finance.iban(),
  (faker) => faker.vehicle.vin(),
  (faker) => `#${faker.string.numeric(6)}`,
  (faker) => faker.color.rgb(),
  (faker) => `@${faker.internet.username()}`,
  (faker) => faker.internet.url(),
  (faker) => faker.internet.ipv4(),
  (faker) =>
    `ratio ${faker.number.float({ max: 1, fractionDigits: 4 })}, ${faker.number.float({ max: 1, fractionDigits: 4 })}`,
  (faker) => `part no. ${faker.string.numeric(10)}`,
  (faker) => `${faker.string.numeric(3)} ${faker.string.numeric(3)} ${faker.string.numeric(3)} screws`,
  (faker) => `${faker.number.int(60)} min ${faker.number.int(60)} s`,
  (faker) => `${faker.location.street()} at low tide`,
  (faker) => `room ${faker.number.int(400)}, floor ${faker.number.int(9)}`,
  (faker) => `${faker.number.int({ min: 1700, max: 1900 })} born in a harbour town`,
];

/**
 * Words with something planted in them and words with what only looks like it, made by a library that knows nothing of what
 * looks for them (@faker-js/faker, its lists of five places). What calls a date one of birth, and a number a student's, is ours.
 *
 * @param seed of its chance: two of them give two halves, one to set limits on and one to report
 * @param each how many of every sort
 */
export function sampleCorpus(seed: number, each: number): SampleText[] {
  return fakers.flatMap(([language, faker], at) => {
    faker.seed(seed * 100 + at);
    const around = (words: string) => `${faker.lorem.sentence()} ${words} ${faker.lorem.sentence()}`;
    return Array.from({ length: each }).flatMap((): SampleText[] => [
      ...planted.map(([kind, make]) => ({ language, kind, text: around(make(faker, language)) })),
      ...traps.map((make) => ({ language, kind: null, text: around(make(faker, language)) })),
    ]);
  });
}
