import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'
import { packedTables } from './data/packedTables.mjs'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export default defineConfig({
  plugins: [packedTables()],
  resolve: { alias: { '~~': here('.'), '~': here('./app') } },
  test: {
    include: [
      'core/**/*.test.ts',
      'app/**/*.test.ts',
      'server/**/*.test.ts',
      'scripts/**/*.test.ts',
      'shared/**/*.test.ts',
    ],
    environment: 'node',
    // A test proves what is so, not how fast: a machine with other work is slow.
    testTimeout: 60_000,
  },
})
