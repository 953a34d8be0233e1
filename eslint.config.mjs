import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'

/** Folders of the core from the ground up: each may use only those before it. */
const LAYERS = [
  'measure',
  'pantry',
  'language',
  'recipe',
  'method',
  'balance',
  'care',
  'swaps',
  'crumb',
  'reformulate',
  'tin',
  'oven',
  'finish',
  'schedule',
  'counter',
  'bakebook',
  'table',
  'formats',
  'contract',
]

const layerRules = LAYERS.map((folder, i) => ({
  files: [`core/${folder}/**/*.ts`],
  // A test may enter by the contract, as a baker's request does.
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...(LAYERS.slice(i + 1).length
            ? [{ group: LAYERS.slice(i + 1).map((above) => `**/${above}/*`), message: `core/${folder} may not use what lies above it.` }]
            : []),
          {
            group: ['vue', 'nuxt*', '#*', '~*', 'node:*', 'dexie', 'comlink', '**/app/**', '**/server/**', '**/cli/**'],
            message: 'The core knows no interface and no platform.',
          },
        ],
      },
    ],
  },
}))

export default tseslint.config(
  { ignores: ['types', '.nuxt', '.output', 'node_modules', 'dist'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: tseslint.parser } },
  },
  {
    rules: {
      'no-undef': 'off',
      'vue/multi-word-component-names': 'off',
      '@typescript-eslint/no-explicit-any': 'error',
      'no-warning-comments': ['error', { terms: ['todo', 'fixme', 'xxx'] }],
    },
  },
  {
    files: ['core/**/*.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'navigator', 'process', 'Date', 'localStorage'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random', message: 'The core has no randomness of its own.' }],
    },
  },
  ...layerRules,
  {
    // Screens ask a store, a store asks the worker, the worker asks the contract; plain helpers and types are free.
    files: ['app/components/**', 'app/pages/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['**/core/reformulate/reformulate', '**/core/contract/handle', '**/core/recipe/text'],
              allowTypeImports: true,
              message: 'Screens never compute: ask a store.',
            },
          ],
        },
      ],
    },
  },
  prettier,
)
