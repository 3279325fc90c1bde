import { describe, expect, test } from '@jest/globals';
import Color from 'colorjs.io';
import fc from 'fast-check';
import { comforts } from './comfort.ts';
import { asDesignTokens, fromDesignTokens } from './design-tokens.ts';
import { fontPairNames } from './font-pair-names.ts';
import { edges, firstLook, type Look, schemeChoices } from './look.ts';
import { openingLayouts } from '../pages/opening.ts';
import { textures } from './textures.ts';
import { themeNames } from './theme-names.ts';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
const looks: fc.Arbitrary<Look> = fc.record({
  theme: fc.constantFrom(...themeNames),
  seeds: fc.record({ first: fc.option(hex), second: fc.option(hex) }),
  scheme: fc.option(fc.constantFrom(...schemeChoices)),
  comfort: fc.constantFrom(...comforts),
  fonts: fc.option(fc.constantFrom(...fontPairNames)),
  textSize: fc.constantFrom(0.9, 1, 1.15, 1.3),
  spacing: fc.constantFrom(0.8, 1, 1.3),
  corners: fc.option(fc.integer({ min: 0, max: 36 })),
  edge: fc.option(fc.constantFrom(...edges)),
  ground: fc.record({
    colour: fc.option(hex),
    texture: fc.option(fc.constantFrom(...textures)),
    picture: fc.constant(null),
  }),
  opening: fc.option(fc.constantFrom(...openingLayouts)),
});

describe('a look as a file', () => {
  test('comes back as it went', () => {
    fc.assert(
      fc.property(looks, (look) => {
        const file = JSON.stringify(asDesignTokens(look));
        expect(fromDesignTokens(file, firstLook)).toEqual({ look, from: 'a look' });
      }),
      { numRuns: 25 },
    );
  });

  test('its colours are tokens that say the same in both of the format’s ways', () => {
    // Design Tokens Format Module and Color Module 2025.10: $type, $value, colorSpace, components from 0 to 1, hex as a fallback.
    const { color } = asDesignTokens(firstLook);
    for (const token of Object.values({ ...color.light, ...color.dark })) {
      const { colorSpace, components, hex: fallback } = token.$value;
      const [r, g, b] = components as [number, number, number];
      expect(new Color(colorSpace, [r, g, b]).toString({ format: 'hex', collapse: false })).toBe(fallback);
    }
  });
});

describe('tokens of other tools', () => {
  const read = (tokens: object) => fromDesignTokens(JSON.stringify(tokens), firstLook);

  test('give their seeds by what they are called', () => {
    const tokens = {
      palette: {
        $type: 'color',
        grey: { $value: '#888888' },
        brand: { $value: { colorSpace: 'srgb', components: [0.2, 0.4, 0.6] } },
        accent: { $value: { colorSpace: 'srgb', components: [1, 0, 0], hex: '#ff0000' } },
      },
    };
    expect(read(tokens)).toEqual({
      look: { ...firstLook, seeds: { first: '#336699', second: '#ff0000' } },
      from: 'colours',
    });
  });

  test('or by how colourful they are', () => {
    const tokens = {
      one: { $type: 'color', $value: '#777777' },
      two: { $type: 'color', $value: '#cc2200' },
      size: { $type: 'dimension', $value: { value: 4, unit: 'px' } },
    };
    expect(read(tokens)).toMatchObject({ look: { seeds: { first: '#cc2200', second: '#777777' } } });
  });

  test('what is no look says so and changes nothing', () => {
    for (const text of ['', 'no JSON', '[]', '{}', '{"a":{"$type":"color","$value":"red"}}', '"x"'])
      expect(fromDesignTokens(text, firstLook)).toEqual({
        problem: expect.stringContaining('Nothing was changed'),
      });
    const newer = { $extensions: { 'kite-wall.example': { look: { ...firstLook, theme: 'of next year' } } } };
    expect(fromDesignTokens(JSON.stringify(newer), firstLook)).toHaveProperty('problem');
  });
});
