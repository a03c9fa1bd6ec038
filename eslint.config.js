import js from '@eslint/js';
import globals from 'globals';
import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Forbids imports that match a pattern, and says why. */
function forbid(...patterns) {
  return { 'no-restricted-imports': ['error', { patterns }] };
}

export default tseslint.config(
  { ignores: ['**/dist/', '**/node_modules/', '.sorn/', 'data/**', 'server/drizzle/'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { ignoreRestSiblings: true, argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      eqeqeq: 'error',
    },
  },
  {
    files: ['{core,link,host,agents/*,cli,server,web,bench}/src/**/*.{ts,tsx}', 'bench/*.ts'],
    ignores: ['**/*.test.ts', '**/testing/**'],
    languageOptions: {
      parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
    },
  },
  {
    files: ['scripts/**', '*.config.*'],
    languageOptions: { globals: globals.node },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/src/testing/**'],
    rules: {
      ...forbid({
        regex:
          '^(?!\\.{1,2}/|(?:zod|re2js|fast-deep-equal|papaparse|yaml|smol-toml|toml-eslint-parser|fast-xml-parser|diff)$)',
        message: 'core imports only core, zod and small pure libraries.',
      }),
      'no-restricted-globals': ['error', 'Date', 'window', 'document', 'process', 'performance'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }],
    },
  },
  {
    files: ['server/src/**', 'cli/src/**'],
    rules: forbid({
      regex: '@sorn/web|(^|/)web/|^react',
      message: 'server and cli never import web.',
    }),
  },
  {
    files: ['web/src/**'],
    plugins: { 'react-hooks': reactHooks },
    languageOptions: { globals: globals.browser },
    rules: {
      ...reactHooks.configs.recommended.rules,
      ...forbid({
        regex: '@sorn/(server|cli)|(^|/)server/|^node:',
        message: 'web never imports server.',
      }),
    },
  },
  { files: ['web/src/**/*.tsx'], ...jsxA11y.flatConfigs.recommended },
  {
    files: ['web/src/views/*/**'],
    rules: forbid(
      {
        regex: '@sorn/(server|cli)|(^|/)server/|^node:',
        message: 'web never imports server.',
      },
      {
        regex: '^\\.\\./(?!\\.\\./)|/views/',
        message: 'A view never imports another view: move it to sheet/, app/ or core/.',
      },
    ),
  },
);
