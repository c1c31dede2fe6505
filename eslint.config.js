import js from '@eslint/js';
import { createNodeResolver, importX } from 'eslint-plugin-import-x';
import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/** Imports point one way: web and server to contract and core, contract to core, core to nothing of ours. */
const mayNotImport = (folder, forbidden) => ({
  files: [`${folder}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: forbidden.flatMap((name) => [
          {
            group: [`@green-beam/${name}`, `@green-beam/${name}/*`, `**/${name}/src/*`],
            message: `${folder} may not import ${name}.`,
          },
        ]),
      },
    ],
  },
});

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.local/**', 'test-results/**'] },
  js.configs.recommended,
  ...tseslint.configs.strictTypeChecked,
  {
    languageOptions: {
      globals: { ...globals.node },
      parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
    },
  },
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      '@typescript-eslint/unified-signatures': 'off',
      // Objects here are records of functions, and none of them asks for `this`.
      '@typescript-eslint/unbound-method': 'off',
      // An async function without await turns what it throws into a rejection.
      '@typescript-eslint/require-await': 'off',
      // There are no enums here, and looking for them takes half of the time.
      '@typescript-eslint/no-unsafe-enum-assignment': 'off',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        {
          allowDefaultCaseForExhaustiveSwitch: false,
          considerDefaultExhaustiveForUnions: false,
          requireDefaultForNonUnion: true,
        },
      ],
    },
  },
  {
    plugins: { 'import-x': importX },
    settings: { 'import-x/resolver-next': [createNodeResolver({ extensions: ['.ts', '.tsx', '.js', '.mjs'] })] },
    rules: { 'import-x/no-cycle': 'error' },
  },
  { files: ['**/*.{js,mjs}'], ...tseslint.configs.disableTypeChecked },
  {
    files: ['**/*.test.{ts,tsx}', '**/*.spec.ts', 'server/test/**', 'core/test/**', 'e2e/**'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off', '@typescript-eslint/no-explicit-any': 'off' },
  },
  {
    // What a route answers is looked at as it comes, any JSON; matchers are of any type.
    files: ['**/*.test.{ts,tsx}', 'server/test/**', 'e2e/**', 'scripts/**'],
    rules: {
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'setTimeout', 'performance', 'Date'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Core is given its random source.' },
      ],
    },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    languageOptions: { globals: { ...globals.browser } },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  { files: ['web/**/*.tsx'], ...jsxA11y.flatConfigs.recommended },
  mayNotImport('core', ['contract', 'server', 'web', 'e2e']),
  mayNotImport('contract', ['server', 'web', 'e2e']),
  mayNotImport('server', ['web', 'e2e']),
  mayNotImport('web', ['server', 'e2e']),
);
