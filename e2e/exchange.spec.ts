import AxeBuilder from '@axe-core/playwright'
import { expect, pasteToBench, test } from './support'

const LD = {
  '@context': 'https://schema.org',
  '@type': 'Recipe',
  name: 'Boat club pea pockets',
  recipeYield: '8 pockets',
  recipeIngredient: [
    'For the dough:',
    '250 g plain flour',
    '125 ml water',
    'For the filling:',
    '300 g peas',
    '60 g feta',
  ],
  recipeInstructions: [
    { '@type': 'HowToStep', text: 'Fill 8 rounds, fold and bake at 190 °C for 20 minutes.' },
  ],
}
const PAGE = `<!doctype html><html><head><script type="application/ld+json">${JSON.stringify(LD)}</script></head><body><img src="http://example.invalid/x.png"><p>Subscribe</p></body></html>`

test.describe('recipes in and out', () => {
  test('a page that is pasted whole becomes its recipe, and nothing of it is fetched or shown', async ({
    page,
  }) => {
    await page.goto('/paste')
    await page.getByLabel('Paste a recipe').fill(PAGE)
    await expect(page.getByLabel('Paste a recipe')).toHaveValue(/^Boat club pea pockets\nMakes 8 pockets/)
    await page.getByRole('button', { name: 'Put it on the bench' }).click()
    await expect(page.getByLabel('Title')).toHaveValue('Boat club pea pockets')
  })

  test('files go in, several to the shelf with a report, and a saved recipe comes out in open forms', async ({
    page,
    request,
  }) => {
    await page.goto('/paste')
    const file = (name: string, text: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text) })
    await page
      .getByLabel(/Open saved pages/)
      .setInputFiles([
        file('one.html', PAGE),
        file(
          'two.txt',
          'Pear parcels\nMakes 6\n\nDough\n250 g puff pastry\n\nFilling\n3 pears\n\nBake 20 minutes at 200 C',
        ),
        file('three.json', '{"a":'),
      ])
    await expect(page.getByText('Boat club pea pockets: on the shelf')).toBeVisible()
    await expect(page.getByText('two.txt: on the shelf')).toBeVisible()
    await expect(page.getByText('three.json: this is neither a page nor JSON that can be read')).toBeVisible()
    expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([])

    const { recipes } = await (await request.get('/api/recipes')).json()
    const { id } = recipes.find((one: { title: string }) => one.title === 'Boat club pea pockets')
    await page.goto(`/bench/${id}`)
    await page.getByRole('button', { name: 'Revision 1, show all' }).click()
    await expect(page.getByRole('link', { name: 'JSON-LD (schema.org)' })).toHaveAttribute(
      'href',
      `/api/recipes/${id}/export?format=jsonld`,
    )
    const out = async (format: string) => request.get(`/api/recipes/${id}/export?format=${format}`)
    const form = await (await out('jsonld')).json()
    expect(form.recipeIngredient).toContain('250 g all-purpose flour')
    expect(form.nutrition.calories).toMatch(/^\d+ kcal$/)
    for (const [format, type, words] of [
      ['markdown', 'text/markdown', '## Figures'],
      ['text', 'text/plain', 'Makes 8'],
      ['csv', 'text/csv', 'a piece'],
    ] as const) {
      const answer = await out(format)
      expect(answer.headers()['content-type']).toContain(type)
      expect(answer.headers()['x-not-kept']).toBeTruthy()
      expect(await answer.text()).toContain(words)
    }
    expect((await out('docx')).status()).toBe(422)
    // Our own document comes back as it went.
    const own = await (await out('json')).text()
    const { recipes: back } = await (
      await request.post('/api/recipes/import', { data: { jsonld: own } })
    ).json()
    expect(back[0].recipe).toEqual(JSON.parse(own))
  })

  test('names what cannot be taken in', async ({ request }) => {
    const give = (data: object) => request.post('/api/recipes/import', { data })
    const page = await (await give({ html: PAGE })).json()
    expect(page.report[0]).toBe('1 recipe read from JSON-LD')
    expect(page.recipes[0].recipe.pieces).toBe(8)
    for (const [data, field] of [
      [{}, 'html'],
      [{ jsonld: '{' }, 'jsonld'],
      [{ jsonld: '{"@type":"Person"}' }, 'jsonld'],
      [{ html: 7 }, 'html'],
    ] as [object, string][]) {
      const answer = await give(data)
      expect(answer.status()).toBe(422)
      expect((await answer.json()).errors[0].field).toBe(field)
    }
  })

  test('the bench stays whole after a page of nonsense', async ({ page }) => {
    await pasteToBench(page, 'Pies\nDough\n200 g flour\n110 ml water\nFilling\n200 g peas')
    await page.goto('/paste')
    await page.getByLabel('Paste a recipe').fill('<div><script>throw 1</script></div>')
    await expect(page.getByRole('button', { name: 'Put it on the bench' })).toBeVisible()
  })
})

test('a booklet: two recipes with what to do differently, a page for each, and no step torn in two', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'Print a booklet' }).click()
  await expect(page.getByText('Tick a recipe')).toBeVisible()
  await page.getByRole('checkbox', { name: 'Boathouse cabbage and caraway buns, vegan' }).check()
  await page.getByRole('checkbox', { name: 'Towpath herb turnovers on the griddle' }).check()
  const sheets = page.getByRole('region', { name: 'The sheets' })
  await expect(sheets.getByRole('article')).toHaveCount(2)
  const buns = sheets.getByRole('article').first()
  await expect(buns.getByRole('heading', { name: 'What to do differently' })).toBeVisible()
  await expect(buns.getByText(/Step 2 says/).first()).toBeVisible()
  await expect(buns.getByText('Cereals containing gluten')).toBeVisible()
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([])
  await expect(page.getByRole('button', { name: 'Print a booklet of 2' })).toBeEnabled()
  const pdf = (await page.pdf({ format: 'A4' })).toString('latin1')
  // The contents, and a page at least for each.
  expect((pdf.match(/\/Type\s*\/Page[^s]/g) ?? []).length).toBeGreaterThanOrEqual(3)
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden()
  expect(
    await buns
      .locator('.method li')
      .first()
      .evaluate((one) => getComputedStyle(one).breakInside),
  ).toBe('avoid')
  expect(await buns.evaluate((one) => getComputedStyle(one).breakAfter)).toBe('page')
})

test('a zip of recipes goes to the shelf, and says what of it did not', async ({ page }) => {
  const { strToU8, zipSync } = await import('fflate')
  await page.goto('/paste')
  await page.getByLabel(/Open saved pages/).setInputFiles({
    name: 'all.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from(
      zipSync({
        'one.txt': strToU8(
          'Zipped leek pies\nMakes 8\nDough\n300 g flour\n150 g butter\nFilling\n300 g leek\nBake 20 min at 190',
        ),
        'mine.csv': strToU8('title,ingredients\nZipped buns,"400 g flour; 220 g water; 300 g leek"'),
        '../../evil.txt': strToU8('Evil\n1 egg'),
      }),
    ),
  })
  await expect(page.getByText('one.txt: on the shelf')).toBeVisible()
  await expect(page.getByText('Zipped buns: on the shelf')).toBeVisible()
  await expect(page.getByText(/evil\.txt: its name leads out/)).toBeVisible()
  for (const title of ['Zipped leek pies', 'Zipped buns']) {
    const { recipes } = (await (await page.request.get('/api/recipes')).json()) as {
      recipes: { id: string; title: string }[]
    }
    const found = recipes.find((one) => one.title === title)
    expect(found, title).toBeTruthy()
    await page.request.delete(`/api/recipes/${found!.id}`)
  }
})
