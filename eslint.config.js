import tseslint from 'typescript-eslint';
import vue from 'eslint-plugin-vue';
import vueParser from 'vue-eslint-parser';
import globals from 'globals';

/** A rule set that forbids import paths; the reasons stand in docs/architecture.md. */
const forbid = (...patterns) => ({ 'no-restricted-imports': ['error', { patterns }] });

const nodeBuiltins = { group: ['node:*', 'fs', 'path', 'os', 'http', 'crypto', 'child_process'], message: 'core is pure: no Node.' };
const insideOfFolders = {
  group: ['@pace-bend/core/*/*', '**/core/src/**'],
  message: "use a core folder's public face: @pace-bend/core/<folder>.",
};

export default tseslint.config(
  { ignores: ['**/node_modules/**', 'web/dist/**', '.data/**', 'coverage/**', 'test-results/**', 'playwright-report/**'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parser: vueParser, parserOptions: { parser: tseslint.parser, sourceType: 'module' } },
  },
  {
    rules: {
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/attributes-order': 'off',
      'vue/require-default-prop': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', ignoreRestSiblings: true }],
      eqeqeq: ['error', 'always'],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['core/src/**/*.test.ts', 'core/src/testing/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            nodeBuiltins,
            {
              group: ['vue', 'vue-router', 'pinia', 'express', 'mysql2*', 'ant-design-vue*', 'chart.js*', 'joi', 'luxon'],
              message: 'core is pure: no interface, network or database.',
            },
            { group: ['@pace-bend/*', '**/server/**', '**/web/**'], message: 'core depends on nothing in this repository.' },
          ],
        },
      ],
      'no-restricted-globals': [
        'error',
        ...[
          'window',
          'document',
          'navigator',
          'localStorage',
          'fetch',
          'process',
          'performance',
          'setTimeout',
          'setInterval',
          'crypto',
          'Buffer',
        ].map((name) => ({ name, message: 'core is pure: pass it in.' })),
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'core has no clock: time comes in as an argument.' },
        { object: 'Math', property: 'random', message: 'core has no randomness: numbers come in as an argument.' },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'core has no clock: time comes in as an argument.' },
      ],
    },
  },
  {
    files: ['server/src/**/*.ts'],
    languageOptions: { globals: globals.node },
    rules: forbid({ group: ['@pace-bend/web*', '**/web/src/**'], message: 'the server does not import the interface.' }, insideOfFolders),
  },
  {
    files: ['web/src/**/*.{ts,vue}'],
    languageOptions: { globals: globals.browser },
    rules: forbid(
      { group: ['@pace-bend/server*', '**/server/src/**'], message: 'the interface talks to the server over HTTP only.' },
      nodeBuiltins,
      insideOfFolders,
    ),
  },
  {
    // A promise that nobody waits for is a failure that nobody hears of.
    files: ['core/src/**/*.ts', 'server/src/**/*.ts', 'devices/src/**/*.ts', 'e2e/**/*.ts', 'bench/**/*.ts', 'web/src/**/*.{ts,vue}'],
    ignores: ['bench/strip/**'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname, extraFileExtensions: ['.vue'] } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
      '@typescript-eslint/await-thenable': 'error',
    },
  },
  {
    files: ['e2e/**/*.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { property: 'waitForTimeout', message: 'wait for something that happens: see e2e/waiting.ts.' },
      ],
    },
  },
  // A test of the interface may look at the files of the project.
  {
    files: ['web/src/**/*.test.ts'],
    rules: forbid(
      { group: ['@pace-bend/server*', '**/server/src/**'], message: 'the interface talks to the server over HTTP only.' },
      insideOfFolders,
    ),
  },
  { files: ['bin/**/*.mjs', 'e2e/**/*.ts', 'bench/**/*.ts', '*.js', '*.mjs'], languageOptions: { globals: globals.node } },
);
