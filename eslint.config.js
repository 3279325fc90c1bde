import js from '@eslint/js';
import a11y from 'eslint-plugin-jsx-a11y';
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

const direction = Object.entries(mayImport).map(([folder, allowed]) => {
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
  return {
    files: [`${folder}/**/*.{ts,tsx}`],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: { 'no-restricted-imports': ['error', { patterns }] },
  };
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
  { files: ['build/**', 'demo/**', 'bench/**', 'e2e/**', '*.js'], rules: { 'no-console': 'off' } },
  {
    files: ['studio/**/*.tsx', 'site/**/*.tsx'],
    plugins: { 'react-hooks': hooks, 'jsx-a11y': a11y },
    rules: { ...hooks.configs.recommended.rules, ...a11y.flatConfigs.recommended.rules },
  },
  ...direction,
  prettier,
);
