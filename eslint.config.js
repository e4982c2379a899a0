import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

/** The one-way arrows of the architecture: who may not import whom. */
const forbid = (files, patterns) => ({ files, rules: { 'no-restricted-imports': ['error', { patterns }] } });
const outsideCore = {
  group: [
    '$lib',
    '$lib/*',
    '$app/*',
    '$env/*',
    'svelte',
    'svelte/*',
    '@sveltejs/*',
    'node:*',
    'drizzle-orm*',
    'better-sqlite3',
    '**/lib/**',
    '**/routes/**',
    '**/demo/**'
  ],
  message: 'The core knows nothing outside src/core: pass what it needs as an argument.'
};
const database = {
  group: ['**/server/db', '**/server/db/*', 'drizzle-orm*', 'better-sqlite3'],
  message: 'Routes ask a store; only src/lib/server touches the database.'
};
const server = {
  group: ['**/server', '**/server/*', '**/server/**', 'drizzle-orm*', 'better-sqlite3', 'node:*'],
  message: 'Interface code never imports server code.'
};

export default ts.config(
  { ignores: ['build/', '.svelte-kit/', 'node_modules/', 'drizzle/', 'test-results/', 'data/', 'demo-data/'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  { languageOptions: { globals: { ...globals.browser, ...globals.node } } },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } }
  },
  {
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'svelte/no-navigation-without-resolve': 'off',
      // State here is replaced whole ($state.raw), so plain Set and Date inside a function are right.
      'svelte/prefer-svelte-reactivity': 'off',
      'max-lines': ['error', { max: 320, skipBlankLines: true, skipComments: true }]
    }
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'fetch', 'process'],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The clock is passed in.' },
        { object: 'Math', property: 'random', message: 'Randomness is passed in.' }
      ]
    }
  },
  forbid(['src/core/**/*.ts'], [outsideCore]),
  forbid(['src/routes/**/*.ts', 'src/routes/**/*.svelte'], [database]),
  {
    ...forbid(['src/lib/ui/**/*.ts', 'src/lib/ui/**/*.svelte', 'src/lib/workers/**/*.ts'], [server]),
    // A test of a component draws it as the server does.
    ignores: ['src/lib/ui/**/*.test.ts']
  }
);
