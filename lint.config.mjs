/**
 * Lint, with the directions of import: app → contract → core, server → contract, core; nothing imports app or server. Of `words` what
 * core and server tell lies under core and takes only types from it; what the screens say lies over contract and is the app's alone.
 */
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
const outside = {
  regex: '^node:|^(express|drizzle-orm|@electric-sql|react|react-native|fs|path)(/|$)',
  message: 'What is computed knows no screen, no file and no server.',
};

const errors = (names) =>
  Object.fromEntries(
    names
      .trim()
      .split(/\s+/)
      .map((name) => [name, 'error']),
  );

/** What is wrong wherever it stands. */
const WRONG = errors(`
  for-direction no-async-promise-executor no-case-declarations no-compare-neg-zero no-cond-assign no-constant-binary-expression
  no-constant-condition no-control-regex no-debugger no-delete-var no-dupe-else-if no-duplicate-case no-empty no-empty-character-class
  no-empty-pattern no-empty-static-block no-ex-assign no-extra-boolean-cast no-fallthrough no-global-assign no-invalid-regexp
  no-irregular-whitespace no-loss-of-precision no-misleading-character-class no-nonoctal-decimal-escape no-prototype-builtins
  no-regex-spaces no-self-assign no-shadow-restricted-names no-sparse-arrays no-unexpected-multiline no-unsafe-finally
  no-unsafe-optional-chaining no-unused-labels no-unused-private-class-members no-useless-backreference no-useless-catch
  no-useless-escape require-yield use-isnan valid-typeof no-var prefer-const prefer-rest-params prefer-spread no-array-constructor
  no-unused-expressions no-console typescript/ban-ts-comment typescript/no-duplicate-enum-values typescript/no-empty-object-type
  typescript/no-explicit-any typescript/no-extra-non-null-assertion typescript/no-misused-new typescript/no-namespace
  typescript/no-non-null-asserted-optional-chain typescript/no-this-alias typescript/no-unnecessary-type-constraint
  typescript/no-unsafe-declaration-merging typescript/no-unsafe-function-type typescript/no-wrapper-object-types
  typescript/prefer-as-const typescript/prefer-namespace-keyword typescript/triple-slash-reference`);

/** What React's compiler would not have: a screen is drawn from what it is given, and from nothing else. */
const REACT = errors(`
  react/rules-of-hooks react/exhaustive-deps react/static-components react/use-memo react/void-use-memo
  react/preserve-manual-memoization react/incompatible-library react/immutability react/globals react/refs react/set-state-in-effect
  react/error-boundaries react/purity react/set-state-in-render react/unsupported-syntax`);

export default {
  ignorePatterns: [
    '**/node_modules',
    '**/dist',
    'app/public',
    'server/drizzle',
    '.fogata*',
    '**/.expo',
    'test-results',
  ],
  plugins: ['eslint', 'typescript', 'react'],
  categories: { correctness: 'error' },
  env: { builtin: true },
  rules: {
    ...WRONG,
    'no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    eqeqeq: ['error', 'always', { null: 'ignore' }],
  },
  overrides: [
    {
      files: ['**/*.js', '**/*.mjs'],
      env: { node: true },
      rules: { 'no-undef': 'error' },
    },
    { files: ['**/*.ts', '**/*.tsx', '**/*.mts'], rules: { 'typescript/no-require-imports': 'error' } },
    {
      files: ['core/**/*.ts'],
      excludeFiles: ['core/tests/**', 'core/validation/**', 'core/standins/**'],
      rules: {
        'no-restricted-imports': [
          'error',
          { patterns: [...no('contract', 'server', 'app').patterns, noInvented, outside] },
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
        'no-restricted-imports': [
          'error',
          {
            patterns: [
              {
                group: ['@fogata/core', '@fogata/core/*'],
                allowTypeImports: true,
                message: 'Only its types.',
              },
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
      rules: { ...REACT, 'no-restricted-imports': ['error', no('server')] },
    },
  ],
};
