import js from '@eslint/js';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

/** The areas in the order of the work: each may use those before it, and none after. */
const areas = ['account', 'roster', 'grouping', 'lesson', 'rooms', 'materials', 'ready', 'live', 'debrief', 'record', 'dryrun'];
const backArrows = areas.slice(0, -1).map((area, i) => ({
  files: [`web/src/areas/${area}/**`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            regex: `^(\\.\\./)+(areas/)?(${areas.slice(i + 1).join('|')})/`,
            message: 'An area uses only areas before it.',
          },
        ],
      },
    ],
  },
}));

export default ts.config(
  { ignores: ['web/dist*/**', 'web/src/api/generated.ts', 'web/src/messages/**', 'e2e/results/**'] },
  js.configs.recommended,
  {
    files: ['**/*.ts', '**/*.tsx'],
    extends: [...ts.configs.strictTypeChecked, ...ts.configs.stylisticTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/consistent-type-definitions': ['error', 'interface'],
    },
  },
  ...backArrows,
  {
    // A function is read at one look. Tests group their cases in one.
    files: ['web/src/**', 'web/*.ts'],
    ignores: ['**/*.test.ts', '**/*.test.tsx'],
    rules: { 'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true, IIFEs: true }] },
  },
  { files: ['**/*.tsx'], ...a11y.flatConfigs.strict },
  // What a page shows and what it knows; tests and what runs beside the pages have no hooks.
  {
    files: ['web/src/**/*.tsx', 'web/src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.test.tsx'],
    ...hooks.configs.flat.recommended,
  },
  {
    files: ['web/public/student-worker.js'],
    languageOptions: { globals: { self: 'readonly', caches: 'readonly', fetch: 'readonly', URL: 'readonly' } },
  },
  {
    files: ['bench/**/*.mjs', 'media/**/*.mjs', 'e2e/**/*.mjs', 'web/*.mjs', 'web/messages/*.mjs', 'eslint.config.js'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        fetch: 'readonly',
        setTimeout: 'readonly',
        clearTimeout: 'readonly',
        setInterval: 'readonly',
        clearInterval: 'readonly',
        performance: 'readonly',
        URL: 'readonly',
        crypto: 'readonly',
        Buffer: 'readonly',
        window: 'readonly',
        document: 'readonly',
        TextDecoder: 'readonly',
        TextEncoder: 'readonly',
      },
    },
  },
);
