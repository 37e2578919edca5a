import withNuxt from './.nuxt/eslint.config.mjs'

export default withNuxt(
  { rules: { 'vue/html-self-closing': 'off', 'vue/max-attributes-per-line': 'off' } },
  {
    // The computation stands alone: it knows neither the application nor the server nor the platform.
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['**/app/**', '**/server/**', '**/data/**', 'node:*', 'vue', '#*', '~*'],
              message: 'core uses nothing outside core',
            },
          ],
        },
      ],
    },
  },
  {
    // A pattern that takes both cases by the Unicode table is compiled to ten times the code: docs/decisions.md.
    files: ['core/reading/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'Literal[regex.flags=/iu/]',
          message: 'say letters as [a-zß-öø-ɏ], without the flag u',
        },
      ],
    },
  },
  { files: ['scripts/**/*.mjs'], rules: { 'no-console': 'off' } },
)
