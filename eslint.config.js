import js from '@eslint/js'
import reactHooks from 'eslint-plugin-react-hooks'
import { defineConfig } from 'eslint/config'
import tseslint from 'typescript-eslint'

export default defineConfig(
  { ignores: ['**/vite.config.ts', '**/dist/', '**/node_modules/', '.snowdrift/', 'packages/web/public/'] },
  js.configs.recommended,
  tseslint.configs.strictTypeChecked,
  {
    languageOptions: {
      parserOptions: {
        project: ['packages/*/tsconfig.json', 'tsconfig.tests.json'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      'max-lines': ['error', { max: 400, skipBlankLines: true }],
      'no-warning-comments': ['error', { terms: ['todo', 'fixme', 'xxx', 'hack'] }],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { varsIgnorePattern: '^_', argsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      // Numbers in messages are our own; they need no wrapping.
      '@typescript-eslint/restrict-template-expressions': [
        'error',
        { allowNumber: true, allowBoolean: true },
      ],
      // The server framework's chained routes and the data layer's queries without arguments are typed so.
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
      '@typescript-eslint/no-invalid-void-type': 'off',
      // `onClick={() => dispatch(…)}` is how handlers are written here.
      '@typescript-eslint/no-confusing-void-expression': 'off',
    },
  },
  {
    files: ['packages/core/src/**'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'setTimeout', 'fetch', 'console'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random' },
        { object: 'Date', property: 'now' },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: 'ClassDeclaration', message: 'Data are plain records, functions stand beside them.' },
      ],
    },
  },
  { files: ['packages/web/src/**'], ...reactHooks.configs.flat.recommended },
  {
    files: ['packages/web/src/**'],
    rules: {
      // On plain addresses in a home network a browser has neither.
      'no-restricted-properties': [
        'error',
        { object: 'crypto', property: 'randomUUID', message: 'Take v4 of uuid.' },
        { object: 'crypto', property: 'subtle' },
        { object: 'navigator', property: 'clipboard', message: 'Take copyText.' },
      ],
    },
  },
  {
    files: ['**/*.test.ts', 'e2e/**', 'bench/**', '**/testing/**'],
    rules: {
      '@typescript-eslint/no-unused-expressions': 'off',
      '@typescript-eslint/no-non-null-assertion': 'error',
    },
  },
  {
    files: ['**/*.js', '**/*.mjs', '**/*.cjs'],
    extends: [tseslint.configs.disableTypeChecked],
    languageOptions: { globals: { process: 'readonly', console: 'readonly', module: 'readonly' } },
  },
)
