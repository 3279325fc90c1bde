import { readdirSync } from 'node:fs';
import js from '@eslint/js';
import a11y from 'eslint-plugin-jsx-a11y';
import regexp from 'eslint-plugin-regexp';
import hooks from 'eslint-plugin-react-hooks';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';
import globals from 'globals';

/**
 * Imports go one way. Each folder lists the folders of ours it may use; everything else of ours is refused,
 * written either as `#folder/…` or as a relative path that climbs out. The folder itself is always allowed.
 */
const mayImport = {
  core: [],
  contract: ['core'],
  site: ['core'],
  studio: ['contract', 'core', 'site'],
  server: ['contract', 'core', 'site'],
};
const folders = ['core', 'contract', 'site', 'studio', 'server', 'demo', 'e2e', 'bench', 'standins', 'build'];

/** Every write is a command: a route that edits by itself would leave open what it lowers. */
const throughCommands = {
  selector:
    'ImportDeclaration[source.value=/db.(edit|history).ts$/] ImportSpecifier[imported.name=/^(edit|undo|redo)$/]',
  message: 'Write through Commands (server/commands), which closes what an edit lowers.',
};

const rooms = readdirSync(new URL('studio/rooms', import.meta.url));

const direction = Object.entries(mayImport).flatMap(([folder, allowed]) => {
  const refused = folders.filter((other) => other !== folder && !allowed.includes(other));
  const patterns = [
    {
      regex: `^(#|(\\.\\./)+)(${refused.join('|')})(/|$)`,
      message: `${folder}/ may import only from: ${allowed.join(', ') || 'nothing of ours'}.`,
    },
  ];
  if (folder === 'core')
    patterns.push({
      regex: '^(node:|react|fastify|drizzle-orm|sharp|pg$)',
      message: 'core/ is computation only: no I/O, no React, no Node.',
    });
  const ignores = ['**/*.test.{ts,tsx}'];
  const rule = (...all) => ({ 'no-restricted-imports': ['error', { patterns: all }] });
  if (folder !== 'studio') return [{ files: [`${folder}/**/*.{ts,tsx}`], ignores, rules: rule(...patterns) }];
  const apart = {
    // Only app.tsx opens rooms; what two of them share stands in a folder of its own.
    regex: `(^|/)rooms/|^\\.\\./(${rooms.join('|')})/`,
    message: 'Rooms do not know each other: move what is shared to studio/ui or studio/materials.',
  };
  const primitives = {
    regex: '^radix-ui$',
    message: 'What is built on Radix stands in studio/ui, once for all rooms.',
  };
  return [
    { files: ['studio/**/*.{ts,tsx}'], ignores, rules: rule(...patterns, apart, primitives) },
    { files: ['studio/ui/**/*.{ts,tsx}'], ignores, rules: rule(...patterns, apart) },
    { files: ['studio/app.tsx'], rules: rule(...patterns, primitives) },
  ];
});

export default tseslint.config(
  { ignores: ['dist/', 'node_modules/', 'data/', 'coverage/', '.cache/'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-console': ['error', { allow: ['warn', 'error'] }],
    },
  },
  {
    // What the compiler knows: promises nobody waits for, kinds nobody handles, and objects put into words.
    files: ['**/*.{ts,tsx}'],
    languageOptions: {
      parserOptions: {
        project: ['tsconfig{,.core,.studio,.worker}.json'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/no-base-to-string': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': 'error',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
    },
  },
  {
    // Input from outside must not be able to keep the server busy: no expression that takes more than linear time.
    plugins: { regexp },
    rules: {
      'regexp/no-super-linear-backtracking': ['error', { report: 'potential' }],
      'regexp/no-super-linear-move': ['error', { report: 'potential', ignorePartial: false }],
    },
  },
  {
    files: ['server/**/*.ts'],
    ignores: ['server/commands/**', 'server/db/**', '**/*.test.ts'],
    rules: {
      'no-restricted-syntax': ['error', throughCommands],
    },
  },
  {
    files: ['server/**/routes.ts', 'server/**/*-plugin.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        throughCommands,
        {
          selector:
            'ImportDeclaration[source.value="drizzle-orm"], ImportDeclaration[source.value=/db.schema.ts$/]',
          message: 'A route answers; what it asks of the database stands in a file beside it.',
        },
      ],
    },
  },
  {
    files: ['studio/**/*.tsx'],
    ignores: ['studio/ui/select.tsx', '**/*.test.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        { selector: 'JSXOpeningElement[name.name="select"]', message: 'Use Select of studio/ui.' },
      ],
    },
  },
  { files: ['**/*.test.ts', 'e2e/**'], rules: { 'regexp/no-super-linear-move': 'off' } },
  { files: ['build/**', 'demo/**', 'bench/**', 'e2e/**', '*.js'], rules: { 'no-console': 'off' } },
  {
    files: ['studio/**/*.tsx', 'site/**/*.tsx'],
    plugins: { 'react-hooks': hooks, 'jsx-a11y': a11y },
    rules: { ...hooks.configs.recommended.rules, ...a11y.flatConfigs.recommended.rules },
  },
  ...direction,
  prettier,
);
