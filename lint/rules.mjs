// What the code may import from where, and what it may not contain: read by the linter of the TypeScript (oxlint.config.mjs) and
// by the one of the components (eslint.config.js).

/** The one-way arrows of the architecture: who may not import whom. */
const forbid = (files, patterns, excludeFiles = []) => ({
  files,
  excludeFiles,
  rules: { 'no-restricted-imports': ['error', { patterns }] }
});

/**
 * Floors: each room imports only rooms of the floors below it, so that no circle can come back. A room is a folder under
 * its root, or a file that lies there. The lowest floor stands first.
 */
const floors = {
  'src/core': [
    ['units', 'hazards'],
    ['physics'],
    ['items', 'house-rules', 'sums'],
    ['engine'],
    ['record'],
    ['findings', 'sources', 'tray'],
    ['measurements'],
    ['stations'],
    ['holds', 'survey', 'history', 'jobs', 'instruments'],
    ['procedures'],
    ['care', 'drowned'],
    ['judge.ts'],
    ['diagnosis'],
    ['advice'],
    ['plan'],
    ['parts', 'gates'],
    ['moves'],
    ['stages.ts', 'schedule', 'decision'],
    ['concluded.ts'],
    ['assess.ts', 'conclude.ts'],
    ['report', 'practice']
  ],
  'src/lib/ui': [
    ['form', 'history', 'marks', 'parts', 'record', 'session'],
    ['bench', 'care', 'drawing', 'instruments', 'jobs', 'photos', 'practice', 'suspects', 'tray'],
    ['survey', 'yard'],
    ['sheets']
  ]
};
/** One rule a room: what it may not import, beside `always`. */
const standing = (root, always) =>
  floors[root].flatMap((rooms, k) =>
    rooms.map((room) => {
      const others = floors[root].slice(k).flat();
      const forbidden = others.filter((r) => r !== room).map((r) => r.replace('.', '\\.'));
      const file = /\.ts$/.test(room);
      const up = file ? '\\.' : '\\.\\.(/\\.\\.)*';
      return forbid(
        file ? [`${root}/${room}`] : [`${root}/${room}/**/*.ts`, `${root}/${room}/**/*.svelte`],
        [
          ...always,
          {
            regex: `^(${up}|${root === 'src/core' ? '\\$core' : '\\$lib/ui'})/(${forbidden.join('|')})(/|$)`,
            message: `${room} stands on floor ${k + 1}: it imports only what lies below it (lint/rules.mjs, floors).`
          }
        ],
        ['**/*.test.ts']
      );
    })
  );
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
    '**/demo/**',
    '**/test/**'
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

/** What is not linted. */
export const ignored = [
  '**/build/',
  '**/.svelte-kit/',
  '.stryker-tmp/',
  'node_modules/',
  'drizzle/',
  'test-results/',
  'data/',
  'demo-data/'
];

export const everywhere = {
  'no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
  'max-lines': ['error', { max: 320, skipBlankLines: true, skipComments: true }]
};

/** Rules of parts of the code; where two hold for one file, the later one. */
export const parts = [
  {
    files: ['src/core/**/*.ts'],
    excludeFiles: ['src/core/**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'fetch', 'process'],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The clock is passed in.' },
        { object: 'Math', property: 'random', message: 'Randomness is passed in.' }
      ]
    }
  },
  ...standing('src/core', [outsideCore]),
  forbid(['src/routes/**/*.ts', 'src/routes/**/*.svelte'], [database]),
  // Matchers are part of the first script of every page.
  forbid(
    ['src/params/*.ts'],
    [{ regex: '^\\$(core|lib)/', message: 'A matcher knows the shape of a name and imports nothing.' }]
  ),
  ...standing('src/lib/ui', [server]),
  // A test of a component draws it as the server does.
  forbid(['src/lib/workers/**/*.ts'], [server], ['**/*.test.ts'])
];

/** What the syntax may not hold: selectors of the syntax tree. */
export const syntax = [
  {
    files: ['src/core/**/*.ts', 'src/lib/**/*.ts', 'src/lib/**/*.svelte', 'src/routes/**/*.svelte'],
    excludeFiles: ['src/core/units/**', '**/*.test.ts'],
    refused: [
      { selector: 'Literal[value=6894.757]', message: 'Conversion factors come from units.' },
      { selector: 'Literal[value=273.15]', message: 'Conversion factors come from units.' }
    ]
  },
  {
    files: ['src/core/*'],
    excludeFiles: floors['src/core']
      .flat()
      .filter((r) => r.endsWith('.ts'))
      .map((r) => `src/core/${r}`),
    refused: [
      {
        selector: 'Program',
        message: 'A file at the root of the core is a room: give it a floor in lint/rules.mjs.'
      }
    ]
  }
];
