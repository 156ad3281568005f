import js from '@eslint/js';
import angular from '@angular-eslint/eslint-plugin';
import template from '@angular-eslint/eslint-plugin-template';
import * as templateParser from '@angular-eslint/template-parser';
import tseslint from 'typescript-eslint';

const forbid = (patterns) => ({ 'no-restricted-imports': ['error', { patterns }] });

export default tseslint.config(
  { ignores: ['**/node_modules', '**/dist', '**/.angular', '.demo', '.test', '**/coverage', '**/*.cjs'] },
  js.configs.recommended,
  { files: ['scripts/*.mjs', 'eslint.config.mjs'], languageOptions: { globals: { console: 'readonly', process: 'readonly' } } },
  {
    files: ['**/*.ts'],
    extends: [tseslint.configs.strict, tseslint.configs.stylistic],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/consistent-type-imports': 'off',
      'max-lines': ['error', { max: 300 }],
      'no-empty': 'error',
    },
  },
  // The borders: the core knows nobody, the screens never reach into the server.
  {
    files: ['core/src/**/*.ts'],
    rules: forbid([
      {
        regex:
          '^(?!\\.{1,2}/|\\.\\.?$|zod$|culori/fn$|uuid$|polygon-clipping$|clipper2-ts$|svgpath$|fast-xml-parser$|papaparse$|ml-kmeans$|image-js$|date-fns$|@date-fns/tz$|ics$)',
        message: 'The core imports only its own files and pure packages: see its package.json.',
      },
    ]),
  },
  {
    files: ['web/src/**/*.ts'],
    plugins: { '@angular-eslint': angular },
    processor: template.processors['extract-inline-html'],
    rules: {
      ...angular.configs.recommended.rules,
      ...forbid([
        {
          group: ['**/server/**', '@aurantia/server', '**/core/src/**'],
          message: 'Screens import the core by its name and never the server.',
        },
      ]),
      '@angular-eslint/component-selector': ['error', { type: 'element', prefix: 'au', style: 'kebab-case' }],
      '@angular-eslint/prefer-on-push-component-change-detection': 'error',
      '@angular-eslint/no-pipe-impure': 'off', // units change under a figure that stays the same
    },
  },
  {
    files: ['server/src/**/*.ts'],
    rules: forbid([
      {
        group: ['**/web/**', '@aurantia/web', '**/core/src/**'],
        message: 'The server imports the core by its name and never the screens.',
      },
    ]),
  },
  {
    files: ['web/src/**/*.html'],
    plugins: { '@angular-eslint/template': template },
    languageOptions: { parser: templateParser },
    rules: { ...template.configs.recommended.rules, ...template.configs.accessibility.rules },
  },
  // Controls are Material's, through our parts; pictures on buttons are icons, never letters.
  {
    files: ['web/src/**/*.html'],
    rules: {
      'no-restricted-syntax': [
        'error',
        { selector: 'Element[name="select"]', message: 'Use au-pick: lists are Material’s.' },
        {
          selector: 'Element[name="input"] > TextAttribute[name="type"][value=/^(checkbox|radio|date|range|number)$/]',
          message: 'Use au-tick, au-choice, au-date or au-number: fields are Material’s.',
        },
        { selector: 'TextAttribute[name="title"]', message: 'Use auTip or au-word: words on things are Material’s tooltips.' },
        { selector: 'BoundAttribute[name="title"]', message: 'Use auTip or au-word: words on things are Material’s tooltips.' },
        { selector: 'Text[value=/^\\s*[×✕⠿↑↓←→▾▸⋯⋮?+−✓]\\s*$/u]', message: 'Use au-icon: a letter is no picture.' },
      ],
    },
  },
);
