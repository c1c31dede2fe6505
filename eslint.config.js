import js from '@eslint/js';
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
  ...tseslint.configs.strict,
  { languageOptions: { globals: { ...globals.node } } },
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      '@typescript-eslint/unified-signatures': 'off',
    },
  },
  {
    files: ['**/*.test.{ts,tsx}', '**/*.spec.ts', 'server/test/**', 'core/test/**', 'e2e/**'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off', '@typescript-eslint/no-explicit-any': 'off' },
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
