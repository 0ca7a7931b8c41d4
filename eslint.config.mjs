/**
 * Lint, with the directions of import: app → contract → core, server → contract, core; nothing imports app or server. Of `words` what
 * core and server tell lies under core and takes only types from it; what the screens say lies over contract and is the app's alone.
 */
import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

const WHOSE = 'Those are the words of the screens (docs/architecture.md).';
const rooms = (...names) =>
  names.map((name) => ({
    group: [`@fogata/${name}`, `@fogata/${name}/*`, `**/${name}/src/**`],
    message: `Imports point one way: not from here to ${name} (docs/architecture.md).`,
  }));
/** What is not for the app is not for its words either. */
const screens = { group: ['@fogata/words/en/screens', '@fogata/words/en/screens/*'], message: WHOSE };
const no = (...names) => ({ patterns: [...rooms(...names), ...(names.includes('app') ? [screens] : [])] });
/** Of the server only the demo's rooms may reach the invented weather and thermometers. */
const noInvented = {
  group: ['@fogata/core/standins', '**/standins', '**/standins/**'],
  message: 'Invented weather is for the demo alone (docs/architecture.md).',
};
const invented = { patterns: [...no('app').patterns, noInvented] };
const outside = [
  'express',
  'drizzle-orm',
  '@electric-sql/pglite',
  'react',
  'react-native',
  'node:*',
  'fs',
  'path',
];

export default ts.config(
  {
    ignores: [
      '**/node_modules',
      '**/dist',
      'app/public',
      'server/drizzle',
      '.fogata*',
      '**/.expo',
      'test-results',
    ],
  },
  js.configs.recommended,
  ...ts.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-explicit-any': 'error',
      'no-console': 'error',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'prefer-const': 'error',
    },
  },
  {
    files: ['**/*.js', '**/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        module: 'writable',
        require: 'readonly',
        __dirname: 'readonly',
        URL: 'readonly',
        setTimeout: 'readonly',
      },
    },
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/tests/**', 'core/validation/**', 'core/standins/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [...no('contract', 'server', 'app').patterns, noInvented],
          paths: outside,
        },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'localStorage', 'process'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Randomness is seeded by the caller.' },
        { object: 'Date', property: 'now', message: 'The clock is an argument.' },
      ],
    },
  },
  {
    files: ['words/en/told/**/*.ts'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: ['@fogata/core', '@fogata/core/*'], allowTypeImports: true, message: 'Only its types.' },
            ...no('contract', 'server', 'app').patterns,
            { group: ['../screens', '../screens/*'], message: WHOSE },
          ],
        },
      ],
    },
  },
  {
    files: ['words/en/screens/**/*.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: rooms('server', 'app') }] },
  },
  { files: ['contract/src/**/*.ts'], rules: { 'no-restricted-imports': ['error', no('server', 'app')] } },
  { files: ['server/src/**/*.ts'], rules: { 'no-restricted-imports': ['error', invented] } },
  {
    files: ['server/src/standins/**/*.ts', 'server/src/demo/**/*.ts', 'server/src/serve.ts'],
    rules: { 'no-restricted-imports': ['error', no('app')] },
  },
  {
    files: ['e2e/**/*.ts', 'bench/**/*.ts'],
    rules: { 'no-restricted-imports': ['error', no('app', 'server')] },
  },
  {
    files: ['app/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { ...reactHooks.configs.recommended.rules, 'no-restricted-imports': ['error', no('server')] },
  },
);
