import { mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureChromium } from './lib/chromium.mjs'
import { throwawayDatabase } from './lib/postgres.mjs'
import { ensureBuild, ensurePackages, freePort, ROOT, say, startServer } from './lib/run.mjs'

// Drives the demo in a database of its own and writes one picture of each main view.
ensurePackages()
const executablePath = ensureChromium()
ensureBuild()
const { chromium } = await import('@playwright/test')
const { cluster, url } = await throwawayDatabase()
const folder = join(ROOT, 'docs', 'screenshots')
mkdirSync(folder, { recursive: true })
// Copies that an earlier run left would stand in the picture of the settings.
const copies = mkdtempSync(join(tmpdir(), 'swap-pocket-pictures-'))

/** A recipe as somebody writes it down with floury hands, with what such notes leave open. */
const SCRIBBLED = readFileSync(join(ROOT, 'test', 'scribbled.txt'), 'utf8').trim()

let server = null
let browser = null
try {
  server = await startServer({
    port: await freePort(),
    databaseUrl: url,
    env: { SWAP_POCKET_NIGHTLY: '0', SWAP_POCKET_COPIES: copies },
  })
  browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-background-networking'],
  })
  // The demo is loaded while the first pages are served already.
  const DEMO_RECIPES = 9
  let recipes = []
  for (let tries = 0; recipes.length < DEMO_RECIPES && tries < 50; tries++) {
    await new Promise((done) => setTimeout(done, 200))
    recipes = (await (await fetch(`${server.address}/api/recipes`)).json()).recipes
  }
  const idOf = (title) => recipes.find((recipe) => recipe.title === title).id

  /** Opens a page of a size, lets a story run, and writes the picture. */
  const shoot = async (name, story, { width = 1280, height = 800, scheme = 'light' } = {}) => {
    const page = await browser.newPage({
      viewport: { width, height },
      colorScheme: scheme,
      locale: 'en-GB',
      baseURL: server.address,
    })
    await story(page)
    await page.waitForTimeout(400)
    await page.screenshot({ path: join(folder, `${name}.png`) })
    await page.close()
    say(`docs/screenshots/${name}.png`)
  }

  const vegan = (page) => page.getByRole('button', { name: 'vegan', exact: true }).click()
  const bench = async (page, title) => {
    await page.goto(`/bench/${idOf(title)}`)
    await page.getByLabel('Title').waitFor()
  }

  await shoot('shelf', async (page) => {
    await page.goto('/')
    await page.getByRole('article').first().waitFor()
  })
  await shoot('paste', async (page) => {
    await page.goto('/paste')
    await page.getByLabel('Paste a recipe').fill(SCRIBBLED)
    await page.getByText('12 pieces').first().waitFor()
  })
  await shoot('bench', (page) => bench(page, 'Curd and leek hand pies'))
  await shoot('bench-vegan', (page) => bench(page, 'Curd and leek hand pies, vegan'))
  const clock = async (page) => {
    await page.clock.setFixedTime(new Date('2026-11-26T14:00:00Z'))
    await bench(page, 'Boathouse cabbage and caraway buns')
    await page.getByRole('link', { name: 'Clock' }).click()
    await page.getByText('proven').waitFor()
    await page.getByRole('button', { name: 'Add a dish from the shelf' }).click()
    await page.getByLabel('Dish from the shelf').selectOption({ label: 'Steamed mushroom buns' })
    await page.getByText('2 · Steamed mushroom buns').waitFor()
    await page.getByText('proven').waitFor()
  }
  await shoot('clock', clock)
  await shoot('list', async (page) => {
    await clock(page)
    await page.getByRole('link', { name: 'Shopping list' }).click()
    await page.getByRole('listitem').first().waitFor()
  })
  await shoot('tray', async (page) => {
    await bench(page, 'Curd and leek hand pies')
    await page.getByRole('link', { name: 'Tray' }).click()
    await page.getByRole('heading', { name: 'What comes out' }).waitFor()
  })
  await shoot('bench-swap', async (page) => {
    await bench(page, 'Steamed mushroom buns')
    await page.getByRole('button', { name: 'Swap Minced pork, raw' }).click()
  })
  await shoot('bench-working', async (page) => {
    await bench(page, 'Boathouse cabbage and caraway buns')
    await page.getByRole('button', { name: /^Protein/ }).click()
  })
  const adaptDialog = async (page, title) => {
    await bench(page, title)
    await page.getByRole('button', { name: 'More diets, targets and combinations' }).click()
    return page.getByRole('dialog', { name: 'Adapt this recipe' })
  }
  await shoot('adapt', async (page) => {
    const dialog = await adaptDialog(page, 'Curd and leek hand pies')
    await dialog.getByLabel('Vegetarian').check()
    await dialog.getByLabel('Keto', { exact: true }).check()
    await dialog.getByRole('button', { name: 'Find the nearest' }).click()
    await dialog.getByRole('button', { name: /^Take it/ }).waitFor()
  })
  await shoot('trade-off', async (page) => {
    const dialog = await adaptDialog(page, 'Steamed mushroom buns')
    await dialog.getByRole('button', { name: 'How far for what' }).click()
    await dialog.getByRole('button', { name: 'Draw it' }).click()
    await dialog.getByRole('row').nth(20).waitFor()
    await dialog.getByRole('button', { name: /^Pick/ }).nth(20).click()
  })
  await shoot('compare', async (page) => {
    const ids = [
      'Curd and leek hand pies',
      'Curd and leek hand pies, vegan',
      'Boathouse cabbage and caraway buns',
    ]
    await page.goto(`/compare?ids=${ids.map(idOf).join(',')}`)
    await page.getByRole('row', { name: 'Energy' }).waitFor()
  })
  await shoot('stove', async (page) => {
    await bench(page, 'Boathouse cabbage and caraway buns')
    await page.getByRole('link', { name: 'Stove' }).click()
    await page.getByRole('button', { name: 'Begin to cook' }).click()
    await page.getByRole('button', { name: 'Pour 100 g' }).click({ clickCount: 5 })
    await page.getByRole('button', { name: 'Pour 10 g' }).click()
    await page.getByRole('button', { name: 'Pour 1 g', exact: true }).click({ clickCount: 2 })
    await page.getByText('12 g too much').first().waitFor()
    await page.waitForTimeout(2500)
    await page.getByRole('button', { name: 'It is in' }).click()
    await page.getByRole('button', { name: 'Start 10 min' }).click()
  })
  await shoot('notebook', async (page) => {
    await bench(page, 'Boathouse cabbage and caraway buns')
    await page.getByRole('link', { name: 'Stove' }).click()
    await page.getByRole('button', { name: 'Begin to cook' }).click()
    await page.getByRole('button', { name: 'lukewarm milk' }).click()
    await page.getByLabel('lukewarm milk weighed, in g').fill('272')
    await page.getByRole('button', { name: 'Take it' }).click()
    await page.getByRole('tab', { name: 'Heat' }).click()
    await page.getByLabel('The probe is in').selectOption('Filling at closing')
    await page.getByLabel('Temperature in °C').fill('38')
    await page.getByRole('button', { name: 'Take it' }).click()
    await page.getByRole('tab', { name: 'Count' }).click()
    await page.getByLabel('Pieces in the batch').fill('12')
    await page.getByRole('button', { name: 'is out' }).click()
    await page.getByRole('button', { name: 'Finish and write it down' }).click()
    await page.getByRole('group', { name: 'The dough felt' }).getByText('as wanted').click()
    await page.getByRole('group', { name: 'Taste' }).getByText('very good').click()
    await page.getByLabel('Something that went wrong').selectOption('Leaked at the seam')
    await page.evaluate(() => document.activeElement?.blur())
  })
  await shoot('larder', async (page) => {
    await page.goto('/larder/parmesan?with=nutritional-yeast')
    await page.getByRole('heading', { name: 'Parmesan' }).waitFor()
  })
  await shoot('card', async (page) => {
    await bench(page, 'Curd and leek hand pies, vegan')
    await page.getByRole('button', { name: 'card', exact: true }).click()
    await page.getByRole('dialog').waitFor()
  })
  await shoot('settings', async (page) => {
    await page.goto('/settings')
    await page.getByRole('button', { name: 'Make a copy now' }).click()
    await page.getByText('read back and checked.').waitFor()
    await page.getByRole('button', { name: 'Restore…' }).click()
    await page.getByRole('button', { name: 'Restore it' }).waitFor()
  })
  await shoot('table', async (page) => {
    await bench(page, 'Boathouse cabbage and caraway buns')
    await page.getByRole('link', { name: 'Table' }).first().click()
    for (const [name, diet] of [
      ['Stroke', ''],
      ['Bow', 'Vegan'],
      ['Cox', 'Gluten-free'],
      ['Coach', 'High-protein'],
    ]) {
      await page.getByRole('button', { name: 'Add a guest' }).click()
      const at = (await page.getByLabel('Name').count()) - 1
      await page.getByLabel('Name').nth(at).fill(name)
      await page.getByLabel('Name').nth(at).blur()
      if (diet) await page.getByLabel(`A diet for ${name}`).selectOption(diet)
    }
    await page
      .getByRole('table', { name: /On each plate/ })
      .getByRole('row', { name: /Coach/ })
      .waitFor()
    await page.waitForTimeout(1500)
  })
  await shoot(
    'bench-phone',
    async (page) => {
      await bench(page, 'Fried plantain and bean pockets')
      await vegan(page)
      await page.getByRole('tab', { name: /Piece/ }).click()
      await page.waitForTimeout(4500)
    },
    { width: 390, height: 844 },
  )
} finally {
  await browser?.close()
  server?.child.kill('SIGTERM')
  cluster.remove()
  rmSync(copies, { recursive: true, force: true })
}
