import js from '@eslint/js'
import angular from 'angular-eslint'
import prettier from 'eslint-config-prettier'
import tseslint from 'typescript-eslint'
import house from './lint/storeys.mjs'

/** Imports that would turn the house's arrows round. */
const forbid = (...groups) => ({
  'no-restricted-imports': ['error', { patterns: groups.map(([group, message]) => ({ group, message })) }],
})

/** Doors of core beside its front door that screens may use: what few of them need, fetched when it is needed. */
const CORE_DOORS = [
  'text',
  'solid',
  'anvil',
  'going',
  'advice',
  'designs',
  'courses',
  'weeks',
  'photographs',
  'photo-tracing',
  'radiographs',
  'handing-over',
  'dicom',
  'made-up',
]

export default tseslint.config(
  {
    ignores: [
      '**/dist/',
      '**/node_modules/',
      '**/.angular/',
      '**/test-results/',
      '**/.mutants/',
      '**/reports/',
      'data/',
    ],
  },
  {
    files: ['**/*.mjs'],
    extends: [js.configs.recommended],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        fetch: 'readonly',
        setTimeout: 'readonly',
        performance: 'readonly',
      },
    },
  },
  {
    files: ['**/*.ts'],
    extends: [js.configs.recommended, ...tseslint.configs.recommendedTypeChecked],
    languageOptions: {
      parserOptions: { project: 'tsconfig.lint.json', tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      // Angular hands its validators round as values.
      '@typescript-eslint/unbound-method': ['error', { ignoreStatic: true }],
      eqeqeq: 'error',
    },
  },
  {
    // Arrows point one way: the order stands in lint/house.mjs.
    files: ['core/src/**/*.ts', 'server/src/**/*.ts', 'web/src/**/*.ts'],
    plugins: { house },
    rules: { 'house/storeys': 'error' },
  },
  {
    files: ['core/src/**/*.ts'],
    rules: forbid([
      ['@crescent/*', '@angular/*', 'express', 'node:*'],
      'core has no interface, input or output',
    ]),
  },
  {
    files: ['web/src/**/*.ts'],
    extends: [...angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
    rules: forbid([
      ['@crescent/core/*', ...CORE_DOORS.map((door) => `!@crescent/core/${door}`), 'zod'],
      'screens use the front door of core; schemas stay at the server',
    ]),
  },
  {
    // A length in a sentence is written in the reader's unit: `told` in core, FigureText on a screen.
    files: ['core/src/**/*.ts', 'web/src/**/*.ts'],
    ignores: ['**/*.spec.ts', 'core/src/units/**', 'core/src/notices/told.ts', 'core/src/testing/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'TemplateElement[value.raw=/^ ?(mm|in)(?![a-z])/]',
          message: 'A unit pasted into a sentence: leave the length open with told`${length(mm)}`.',
        },
        {
          selector: 'Literal[value=/\\d ?mm(?![a-z])|\\d\\u002F\\d+ in(?![a-z])/]',
          message: 'A length written out in a sentence: leave it open with told`${length(mm)}`.',
        },
      ],
    },
  },
  {
    files: ['web/src/**/*.html'],
    extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
  },
  {
    files: ['**/*.spec.ts', 'e2e/**/*.ts', 'server/src/testing.ts'],
    rules: {
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
  prettier,
)
