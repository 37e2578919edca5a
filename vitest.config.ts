import { fileURLToPath } from 'node:url'
import dsv from '@rollup/plugin-dsv'
import { defineConfig } from 'vitest/config'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export default defineConfig({
  plugins: [dsv({ include: '**/data/*.csv' })],
  resolve: { alias: { '~~': here('.'), '~': here('./app') } },
  test: {
    include: ['core/**/*.test.ts', 'app/**/*.test.ts', 'server/**/*.test.ts', 'scripts/**/*.test.ts'],
    environment: 'node',
  },
})
