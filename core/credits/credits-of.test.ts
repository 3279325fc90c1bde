import { expect, test } from '@jest/globals';
import { creditLine } from './credit.ts';
import { creditsOf } from './credits-of.ts';
import { mine, type Provenance } from './provenance.ts';
import { sampleSound } from '../materials/sample-sound.ts';

const sound = (id: string, title: string, provenance: Partial<Provenance>) =>
  sampleSound(id, { title, provenance: { ...mine, ...provenance } });

test('credits are in the order of the page: title, author, source, licence; equal ones once, own work never', () => {
  const survey: Partial<Provenance> = {
    whose: 'someone-else',
    title: 'Pier survey no. 4',
    maker: 'Harbour Office',
    source: 'https://archive.example/4',
    licence: 'CC-BY-4.0',
  };
  const materials = [
    sound('own-00001', 'Mine', {}),
    sound('with-0001', 'Gears', { whose: 'with-others', maker: 'Idris' }),
    sound('else-0001', 'Scan, left', survey),
    sound('else-0002', 'Scan, right', survey),
  ];
  const known = new Map(materials.map((one) => [one.id, one]));
  const lines = creditsOf(['else-0002', 'own-00001', 'with-0001', 'else-0001', 'gone-0001'], known).map(
    creditLine,
  );
  expect(lines).toEqual([
    'Pier survey no. 4, Harbour Office. archive.example. CC BY 4.0.',
    'Gears, with Idris.',
  ]);
});
