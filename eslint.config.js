// Lint: TypeScript's recommended rules, hooks, and the arrows between the packages.
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const forbid = (...patterns) => [
  'error',
  { patterns: patterns.map(([group, message]) => ({ group, message })) },
];

export default tseslint.config(
  {
    ignores: [
      '**/node_modules/**',
      '**/.next/**',
      '**/next-env.d.ts',
      '.data/**',
      'docs/**',
      '**/test-results/**',
      '**/playwright-report/**',
    ],
  },
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', caughtErrors: 'none' },
      ],
      eqeqeq: ['error', 'smart'],
      'no-var': 'error',
      'prefer-const': 'error',
      // a sentence stands on one line, as it is read; what the formatter breaks is short anyway
      'max-len': [
        'error',
        {
          code: 130,
          ignoreUrls: true,
          ignoreStrings: true,
          ignoreTemplateLiterals: true,
          ignoreRegExpLiterals: true,
        },
      ],
      'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }],
      'max-params': ['error', 6],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': forbid([
        ['react', 'react-*', 'next', 'next/*', '@mantine/*', 'drizzle-orm*', 'pg', 'node:*', '@skiametra/*'],
        'core depends on nothing but small numeric and schema libraries',
      ]),
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'localStorage', 'process'],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']",
          message: 'randomness is an argument',
        },
        { selector: "CallExpression[callee.object.name='Date']", message: 'the clock is an argument' },
      ],
    },
  },
  {
    files: ['formats/**/*.ts', 'devices/**/*.ts'],
    rules: {
      'no-restricted-imports': forbid([
        ['react', 'next', 'next/*', '@mantine/*', 'drizzle-orm*', 'pg', '@skiametra/web*'],
        'formats and devices know only the core',
      ]),
    },
  },
  {
    files: ['cli/**/*.ts'],
    rules: {
      'no-restricted-imports': forbid([
        ['react', 'next', '@mantine/*', 'drizzle-orm*', 'pg', '@skiametra/web*'],
        'the command line does not need the web',
      ]),
    },
  },
  {
    // what is begun is waited for, or said to be left alone; a condition is not a promise. The core begins nothing: it has no
    // promise, and its types are not needed here
    files: ['{formats,devices,cli,web}/**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
    },
  },
  { files: ['web/**/*.tsx'], ...a11y.flatConfigs.recommended },
  {
    // what scrolls must be reached by the keys that scroll it
    files: ['web/**/*.tsx'],
    rules: { 'jsx-a11y/no-noninteractive-tabindex': ['error', { roles: ['region'], tags: [] }] },
  },
  {
    files: ['web/**/*.tsx', 'web/**/*.ts'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  // demos and layouts to begin from are lists of what an aircraft is made of, not functions
  {
    files: ['core/src/demo/*.ts', 'core/src/layout/templates/*.ts'],
    rules: { 'max-lines-per-function': 'off', 'max-params': 'off' },
  },
  // kernels take flat scalars: a record a call is two to four times slower
  {
    files: [
      'core/src/section/{closure,influence}.ts',
      'core/src/surface/{forces,horseshoe}.ts',
      'core/src/power/blades.ts',
    ],
    rules: { 'max-params': ['error', 12] },
  },
  // a component says what is on the screen, line by line
  { files: ['web/**/*.tsx'], rules: { 'max-lines-per-function': ['error', { max: 150 }] } },
  // a describe block is a list, not a function
  { files: ['**/*.test.ts', '**/*.spec.ts', 'web/e2e/**'], rules: { 'max-lines-per-function': 'off' } },
);
