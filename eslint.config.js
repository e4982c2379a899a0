import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import js from '@eslint/js';
import { everywhere, ignored, parts, syntax } from './lint/rules.mjs';
import svelteConfig from './svelte.config.js';

const { 'no-unused-vars': unused, ...others } = everywhere;
const components = '**/*.svelte';
/** What holds for components too, as this linter writes it. */
const here = ({ files, excludeFiles, rules }) => ({
  files: files.filter((f) => f.endsWith('.svelte')),
  ignores: excludeFiles,
  rules
});

/** Lints the components; everything else is oxlint's (oxlint.config.mjs), which takes a twentieth of the time. */
export default ts.config(
  { ignores: [...ignored, '**/*.js', '**/*.mjs', '**/*.ts', '!**/*.svelte.ts'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  { languageOptions: { globals: { ...globals.browser, ...globals.node } } },
  { files: [components, '**/*.svelte.ts'], languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } } },
  {
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/no-unused-vars': unused,
      'svelte/no-navigation-without-resolve': 'off',
      // State here is replaced whole ($state.raw), so plain Set and Date inside a function are right.
      'svelte/prefer-svelte-reactivity': 'off',
      ...others
    }
  },
  ...[
    ...parts,
    ...syntax.map(({ refused, ...which }) => ({ ...which, rules: { 'no-restricted-syntax': ['error', ...refused] } }))
  ]
    .map(here)
    .filter(({ files }) => files.length)
);
