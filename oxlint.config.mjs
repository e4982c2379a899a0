// Lints the TypeScript. The components are ESLint's (eslint.config.js), whose Svelte plugin reads their markup.
import { everywhere, ignored, parts, syntax } from './lint/rules.mjs';

/** What ESLint and its TypeScript plugin recommend and oxlint does not count as wrong by itself. */
const recommended = [
  'no-array-constructor',
  'no-case-declarations',
  'no-empty',
  'no-fallthrough',
  'no-prototype-builtins',
  'no-regex-spaces',
  'no-unexpected-multiline',
  'no-unused-expressions',
  'no-useless-assignment',
  'no-var',
  'prefer-const',
  'prefer-rest-params',
  'prefer-spread',
  'preserve-caught-error',
  'typescript/ban-ts-comment',
  'typescript/no-empty-object-type',
  'typescript/no-explicit-any',
  'typescript/no-namespace',
  'typescript/no-require-imports',
  'typescript/no-unnecessary-type-constraint',
  'typescript/no-unsafe-function-type'
];

export default {
  plugins: ['eslint', 'typescript'],
  jsPlugins: ['./lint/syntax.mjs'],
  categories: { correctness: 'error' },
  env: { browser: true, node: true, builtin: true },
  ignorePatterns: [...ignored, '**/*.svelte'],
  rules: { ...everywhere, ...Object.fromEntries(recommended.map((r) => [r, 'error'])) },
  overrides: [
    ...parts,
    ...syntax.map(({ refused, ...which }) => ({ ...which, rules: { 'syntax/refused': ['error', ...refused] } }))
  ]
};
