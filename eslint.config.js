import js from '@eslint/js'
import reactHooks from 'eslint-plugin-react-hooks'
import globals from 'globals'
import tseslint from 'typescript-eslint'

export default tseslint.config(
  { ignores: ['dist', 'dist-server', 'data', 'reports', 'node_modules', 'test-results', '.scratch'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      'no-console': 'error',
    },
  },
  {
    // A code or an object in a sentence would be read as "[object Object]".
    files: ['{core,text,server,web}/**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      '@typescript-eslint/restrict-template-expressions': [
        'error',
        { allowNumber: true, allowBoolean: true, allowNullish: true },
      ],
      '@typescript-eslint/no-base-to-string': 'error',
    },
  },
  {
    files: ['core/**/*.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'localStorage', 'setTimeout'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'chance is an argument: pass a seeded source' },
        { object: 'Date', property: 'now', message: 'time is an argument' },
      ],
    },
  },
  { files: ['web/**/*.tsx'], ...reactHooks.configs.flat['recommended-latest'] },
  { files: ['server/cli/**', 'server/main.ts', 'scripts/**', 'bench/**'], rules: { 'no-console': 'off' } },
  { files: ['**/*.{mjs,cjs}', '*.js'], languageOptions: { globals: globals.node } },
  // Parts of these run in the page that they time.
  { files: ['bench/**/*.mjs'], languageOptions: { globals: { ...globals.node, ...globals.browser } } },
  {
    files: ['web/serviceWorker.js'],
    languageOptions: { globals: { ...globals.serviceworker, __FILES__: 'readonly' } },
  },
)
