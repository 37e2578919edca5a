import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'
import { packedTables } from './data/packedTables.mjs'

// SEED=… makes the random tests of an earlier run again.
const SEED = process.env.SEED ?? String(Date.now() % 2 ** 31)

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
    env: { SEED },
    setupFiles: [here('test/seed.ts')],
    // On both processors, and what is built once serves all files of a worker: 4 to 7 minutes, 12 before.
    maxWorkers: '100%',
    isolate: false,
    // A test proves what is so, not how fast: a machine with other work is slow.
    testTimeout: 600_000,
  },
})
