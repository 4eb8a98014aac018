import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import importX from 'eslint-plugin-import-x';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import { readFileSync } from 'node:fs';
import svelteConfig from './web/svelte.config.js';

/** What each room may not import; design: core is pure, SQL lives on the server only. */
const forbid = (...patterns) => ({ 'no-restricted-imports': ['error', { patterns }] });
const node = {
  group: ['node:*', 'fs', 'path', 'postgres', 'pino', 'pdfmake'],
  message: 'core and the browser do not touch Node, files or the database.',
};
const screen = {
  group: ['svelte', 'svelte/*', '$app/*', '$lib/*', 'echarts', 'echarts/*', 'flowbite*'],
  message: 'Only web/ draws.',
};
const upward = { group: ['@pilgrim/cli*', '@pilgrim/web*', '@pilgrim/db*'], message: 'core stands alone.' };
const clock = [
  'error',
  { selector: "NewExpression[callee.name='Date']", message: 'core has no clock.' },
  { selector: "CallExpression[callee.object.name='Date']", message: 'core has no clock.' },
  {
    selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']",
    message: 'core has no randomness but seeded.',
  },
];

/** The rooms of core in the order results flow; a room imports what stands before it, and of the job its types. */
const folders = [
  ...readFileSync(new URL('core/src/kernel/stage-list.ts', import.meta.url), 'utf8').matchAll(/folder: '([\w-]+)'/g),
].map(([, folder]) => folder);
/** The causes of a failure are weighed by the plate: the task is solved after it. */
const stages = ['nameplate', ...folders.filter((folder) => folder !== 'nameplate')].map((folder) => `stages/${folder}`);
const rooms = ['kernel', 'motor', 'catalogue', ...stages, 'job', 'present', 'solve', 'register', 'commands'];
const flow = rooms.map((room, at) => ({
  files: [`core/src/${room}/**/*.ts`],
  rules: {
    '@typescript-eslint/no-restricted-imports': [
      'error',
      {
        patterns: rooms.slice(at + 1).map((later) => ({
          regex: `^\\.\\.?/(.*/)?${later.replace('stages/', '(stages/)?')}/`,
          message: `${room} comes before ${later}.`,
          allowTypeImports: later === 'job',
        })),
      },
    ],
  },
}));

export default ts.config(
  {
    ignores: [
      '**/build/',
      '.cache/',
      '**/.svelte-kit/',
      '**/node_modules/',
      '.data/',
      'test-results/',
      'scripts/bench/bare/',
    ],
  },
  js.configs.recommended,
  {
    files: ['**/*.ts', '**/*.svelte'],
    extends: [...ts.configs.strictTypeChecked],
    languageOptions: { parserOptions: { projectService: true, extraFileExtensions: ['.svelte'] } },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': [
        'error',
        { ignoreArrowShorthand: true, ignoreVoidOperator: true },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      '@typescript-eslint/no-meaningless-void-operator': 'off',
    },
  },
  ...svelte.configs.recommended,
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, svelteConfig }, globals: globals.browser },
    rules: { 'svelte/no-navigation-without-resolve': 'off', 'prefer-const': 'off' },
  },
  { files: ['scripts/**/*.mjs', '*.js', 'web/*.js'], languageOptions: { globals: globals.node } },
  { files: ['web/static/*.js'], languageOptions: { globals: globals.browser } },
  {
    files: ['core/src/**/*.ts'],
    plugins: { 'import-x': importX },
    settings: {
      'import-x/extensions': ['.ts'],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts'] },
    },
    rules: {
      ...forbid(node, screen, upward),
      'no-restricted-syntax': clock,
      'import-x/no-cycle': 'error',
      'max-lines-per-function': ['error', 100],
      'max-params': ['error', 5],
    },
  },
  ...flow,
  { files: ['cli/**/*.ts', 'db/**/*.ts'], rules: forbid(screen) },
  {
    files: ['web/src/**/*.{ts,svelte}'],
    ignores: ['web/src/lib/server/**', 'web/src/hooks.server.ts', 'web/src/routes/**/+*server.ts'],
    rules: forbid(node, { group: ['$lib/server/*', '@pilgrim/db*'], message: 'Only the server may.' }),
  },
  prettier,
  ...svelte.configs.prettier,
);
