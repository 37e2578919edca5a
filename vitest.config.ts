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
    // Both processors, and the larder is built once in each: of 12 minutes 5 were spent on building it anew.
    maxWorkers: '100%',
    isolate: false,
    // A test proves what is so, not how fast: a machine with other work is slow.
    testTimeout: 180_000,
  },
})
