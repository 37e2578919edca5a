import { TABLE_FILE_KEYS, type TableFile } from '../core/exchange/openTable'
import { importAnswer } from '~~/shared/api/foods'
import { inventedName, writeTable, type WrittenTable } from '../test/openTable'
import { expect, pasteToBench, test } from './support'

const label = {
  name: 'Oat cream from the packet',
  perGrams: 100,
  energy: 157,
  energyUnit: 'kcal',
  fatG: 15,
  saturatedFatG: 1.5,
  carbohydrateG: 4,
  sugarsG: 2,
  proteinG: 1,
  salt: 0.1,
  saltUnit: 'salt g',
  allergens: ['gluten'],
}
const unique = () => Math.random().toString(36).slice(2, 8)

test.describe('foods by the API', () => {
  const names = async (request: import('@playwright/test').APIRequestContext, q: string) => {
    const { foods } = (await (await request.get('/api/foods', { params: { q } })).json()) as {
      foods: { name: string; shelf: string }[]
    }
    return foods
  }

  test('are found by name, fragment, misspelling and accent, on every shelf', async ({ request }) => {
    expect((await names(request, 'cheddar'))[0]?.name).toBe('Cheddar')
    expect((await names(request, 'chedar'))[0]?.name).toBe('Cheddar')
    expect((await names(request, 'CRÈME FRAÎCHE')).length).toBeGreaterThan(0)
    expect((await names(request, 'pomfret'))[0]).toMatchObject({ shelf: 'measured' })
    expect(await names(request, 'a%_b\\')).toEqual([])
    expect((await names(request, '🥟')).length).toBe(0)
  })

  test('come first when they were used lately', async ({ request }) => {
    const { foods } = (await (await request.get('/api/foods', { params: { q: 'sole fish' } })).json()) as {
      foods: { id: string }[]
    }
    const recipe = {
      title: 'Sole pockets',
      pieces: 4,
      parts: [
        { kind: 'shell', lines: [{ foodId: 'plain-flour', grams: 200 }] },
        { kind: 'filling', lines: [{ foodId: foods[0]!.id, grams: 200 }] },
      ],
    }
    // A recipe may use a measured food: it is evaluated, stored and read back.
    const evaluated = await request.post('/api/evaluate', { data: { recipe } })
    expect(evaluated.status(), await evaluated.text()).toBe(200)
    expect((await evaluated.json()).allergens).toContain('Fish')
    expect((await request.post('/api/recipes', { data: { recipe } })).status()).toBe(201)
    expect((await names(request, 'fish'))[0]?.name).toBe('Sole fish')
  })

  test('from a packet are checked, stored with who and when, and typed anew', async ({ request }) => {
    const wrong = await request.post('/api/foods', {
      data: { who: 'Ada', label: { ...label, fatG: 60, carbohydrateG: 50, saturatedFatG: 70 } },
    })
    expect(wrong.status()).toBe(422)
    const fields = ((await wrong.json()) as { errors: { field: string }[] }).errors.map((one) => one.field)
    expect(fields).toEqual(expect.arrayContaining(['label.saturatedFatG', 'label.perGrams']))
    expect((await request.post('/api/foods', { data: { who: '', label } })).status()).toBe(422)
    expect(
      (await request.post('/api/foods', { data: { who: 'Ada', label: { ...label, perGrams: 0 } } })).status(),
    ).toBe(422)

    const name = `Oat cream ${unique()}`
    const made = await request.post('/api/foods', {
      data: { who: 'Ada', likeId: 'oat-cream', label: { ...label, name } },
    })
    expect(made.status()).toBe(201)
    const food = (await made.json()) as { id: string; unknown: string[] }
    expect(food.unknown).toEqual(['fibreG'])
    const again = await request.put(`/api/foods/${food.id}`, {
      data: { who: 'Ben', likeId: 'oat-cream', label: { ...label, name, fibreG: 1 } },
    })
    expect(again.status()).toBe(200)
    const read = (await (await request.get(`/api/foods/${food.id}`)).json()) as {
      entries: { who: string; entry: number }[]
    }
    expect(read.entries.map((one) => [one.entry, one.who])).toEqual([
      [2, 'Ben'],
      [1, 'Ada'],
    ])

    // Withdrawn it is offered no longer, and a recipe that uses it still works.
    expect((await request.delete(`/api/foods/${food.id}`)).status()).toBe(200)
    expect((await names(request, name)).map((one) => one.name)).not.toContain(name)
    const recipe = {
      pieces: 4,
      parts: [
        { kind: 'shell', lines: [{ foodId: 'plain-flour', grams: 200 }] },
        { kind: 'filling', lines: [{ foodId: food.id, grams: 100 }] },
      ],
    }
    expect((await request.post('/api/evaluate', { data: { recipe } })).status()).toBe(200)
    expect((await request.delete('/api/foods/cheddar')).status()).toBe(404)
  })

  test('have prices, in one currency', async ({ request }) => {
    const price = { price: 4, packGrams: 400, note: 'market', date: '2026-11-24' }
    expect((await request.put('/api/prices/cheddar', { data: price })).status()).toBe(200)
    for (const bad of [
      { ...price, packGrams: 0 },
      { ...price, price: -1 },
      { ...price, date: 'yesterday' },
    ])
      expect((await request.put('/api/prices/cheddar', { data: bad })).status()).toBe(422)
    expect((await request.put('/api/prices/moon-dust', { data: price })).status()).toBe(404)
    expect((await request.put('/api/prices', { data: { currency: 'euro' } })).status()).toBe(422)
    const book = (await (await request.put('/api/prices', { data: { currency: 'GBP' } })).json()) as {
      currency: string
      prices: unknown[]
    }
    expect(book.currency).toBe('GBP')
    expect(book.prices).toContainEqual({ foodId: 'cheddar', ...price })
    await request.put('/api/prices', { data: { currency: 'EUR' } })
    // A later price counts, whichever is noted first; the same note twice is one.
    const dearer = { ...price, price: 5, date: '2026-12-01' }
    const older = { ...price, price: 3, date: '2026-01-02' }
    for (const one of [dearer, older, older]) await request.put('/api/prices/cheddar', { data: one })
    const noted = (await (await request.get('/api/prices/cheddar')).json()) as { prices: unknown[] }
    expect(noted.prices).toEqual([dearer, price, older].map((one) => ({ foodId: 'cheddar', ...one })))
    const now = (await (await request.get('/api/prices')).json()) as { prices: unknown[] }
    expect(now.prices).toContainEqual({ foodId: 'cheddar', ...dearer })
    expect(now.prices).not.toContainEqual({ foodId: 'cheddar', ...price })
    // Taken out one by one: the one before counts again.
    const left = (await (await request.delete('/api/prices/cheddar')).json()) as { price: unknown }
    expect(left.price).toEqual({ foodId: 'cheddar', ...price })
    await request.delete('/api/prices/cheddar')
    expect((await request.delete('/api/prices/cheddar')).status()).toBe(200)
    expect((await request.delete('/api/prices/cheddar')).status()).toBe(404)
  })
})

test.describe('an open table is taken in', () => {
  type Request = import('@playwright/test').APIRequestContext
  const begin = async (request: Request) =>
    (
      (await (
        await request.post('/api/imports', { data: { source: 'Invented table', who: 'Ada' } })
      ).json()) as { id: string }
    ).id
  const send = (request: Request, id: string, file: TableFile, from: number, bytes: Buffer, last: boolean) =>
    request.post(`/api/imports/${id}/rows`, {
      params: { file, offset: String(from), last: String(last) },
      headers: { 'content-type': 'application/octet-stream' },
      data: bytes,
    })
  const sendAll = async (request: Request, id: string, table: WrittenTable, pieceBytes: number) => {
    for (const file of TABLE_FILE_KEYS) {
      const bytes = Buffer.from(table[file])
      for (let from = 0; from < bytes.length; from += pieceBytes) {
        const piece = bytes.subarray(from, from + pieceBytes)
        const answer = await send(request, id, file, from, piece, from + piece.length >= bytes.length)
        expect(answer.status(), await answer.text()).toBe(200)
      }
    }
  }
  const finish = async (request: Request, id: string, withoutBadRows = false) => {
    const answer = await request.post(`/api/imports/${id}/finish`, { data: { withoutBadRows } })
    if (answer.status() !== 202) return answer
    await expect
      .poll(async () => ((await (await request.get(`/api/imports/${id}`)).json()) as { state: string }).state)
      .toBe('done')
    return answer
  }
  const counts = async (request: Request) =>
    (
      (await (await request.get('/api/foods', { params: { shelf: 'own' } })).json()) as {
        counts: { import: number }
      }
    ).counts.import

  test('in pieces that cut rows in two, resumed, sent twice, and once more as a whole', async ({
    request,
  }) => {
    const table = writeTable(120)
    const id = await begin(request)
    const food = Buffer.from(table.food)
    // A piece is sent twice, as when the answer was lost; then one that leaves a gap.
    await send(request, id, 'food', 0, food.subarray(0, 1000), false)
    expect((await send(request, id, 'food', 0, food.subarray(0, 1000), false)).status()).toBe(200)
    const gap = await send(request, id, 'food', 2000, food.subarray(2000, 3000), false)
    expect(gap.status()).toBe(409)
    expect(await gap.json()).toMatchObject({ nextByte: 1000 })
    const state = importAnswer.parse(await (await request.get(`/api/imports/${id}`)).json())
    expect(state.files.find((one) => one.file === 'food')).toMatchObject({ nextByte: 1000, ended: false })
    expect((await finish(request, id)).status()).toBe(422)

    await sendAll(request, id, table, 777)
    const before = await counts(request)
    await finish(request, id)
    const done = importAnswer.parse(await (await request.get(`/api/imports/${id}`)).json())
    expect(done).toMatchObject({ foods: 120, badRows: [] })
    expect(done.files.find((one) => one.file === 'food_nutrient')?.rows).toBe(table.amountRows)
    const after = await counts(request)
    expect(after - before).toBe(120)

    // The same table again changes nothing more.
    const again = await begin(request)
    await sendAll(request, again, table, 500_000)
    await finish(request, again)
    expect(await counts(request)).toBe(after)
    const { foods } = (await (
      await request.get('/api/foods', { params: { q: inventedName(7) } })
    ).json()) as { foods: { name: string; originKnown: boolean; unitGrams: Record<string, number> }[] }
    expect(foods[0]).toMatchObject({ name: inventedName(7), originKnown: false, unitGrams: { cup: 127 } })
  })

  test('with bad rows says which, and keeps nothing until told to go on without them', async ({
    request,
  }) => {
    const table = writeTable(60, [5, 300, 301, 720])
    const id = await begin(request)
    await sendAll(request, id, table, 100_000)
    const before = await counts(request)
    const refused = await finish(request, id)
    expect(refused.status()).toBe(409)
    const { errors, title } = (await refused.json()) as {
      title: string
      errors: { field: string; message: string }[]
    }
    expect(title).toBe('4 rows cannot be used')
    expect(errors.map((one) => one.field)).toEqual(
      [5, 300, 301, 720].map((row) => `food_nutrient.csv row ${row}`),
    )
    expect(errors[0]?.message).toContain('amount holds "n/a"')
    expect(await counts(request)).toBe(before)
    expect((await finish(request, id, true)).status()).toBe(202)
  })

  test('a wrong header, an endless quote and an unknown import are told', async ({ request }) => {
    const id = await begin(request)
    const wrong = await send(request, id, 'food', 0, Buffer.from('id;name\n1;x\n'), true)
    expect(wrong.status()).toBe(422)
    expect(await wrong.text()).toContain('food.csv must name the columns fdc_id, description')
    const endless = Buffer.from(`"fdc_id","description"\n"1","${'x'.repeat(1_100_000)}`)
    expect((await send(request, id, 'food', 0, endless, false)).status()).toBe(422)
    expect((await send(request, id, 'food', 0, Buffer.from(''), true)).status()).toBe(422)
    const ghost = '7f1c9f0e-8d53-4c1e-9a55-0f8f6f0b9c11'
    expect((await send(request, ghost, 'food', 0, Buffer.from('x'), true)).status()).toBe(404)
    expect((await request.get(`/api/imports/${ghost}`)).status()).toBe(404)
    expect((await request.delete(`/api/imports/${id}`)).status()).toBe(200)
    expect((await send(request, id, 'food', 0, Buffer.from('x'), true)).status()).toBe(404)
  })
})

test.describe('in the larder', () => {
  test('a packet is typed in, doubted, mended, stored and used on the bench', async ({ page }) => {
    const name = `Shop quark ${unique()}`
    await page.goto('/larder')
    await page.getByRole('button', { name: 'Type in a packet' }).click()
    await page.getByLabel('Name', { exact: true }).fill(name)
    await page.getByLabel('Fat', { exact: true }).fill('0,3')
    await page.getByLabel('Carbohydrate', { exact: true }).fill('4')
    await page.getByLabel('Protein', { exact: true }).fill('12')
    await page.getByLabel('Energy', { exact: true }).fill('280')
    await expect(page.getByText('this looks like kJ typed as kcal')).toBeVisible()
    await page.getByLabel('Unit of energy').selectOption('kJ')
    await expect(page.getByText('this looks like')).toBeHidden()
    await page.getByLabel('Fat', { exact: true }).fill('abc')
    await expect(page.getByText('“abc” is no number')).toBeVisible()
    await expect(page.getByRole('button', { name: 'Store it' })).toBeDisabled()
    await page.getByLabel('Fat', { exact: true }).fill('0.3')
    await page.getByText('Minerals and vitamins, where the packet states them').click()
    await page.getByLabel('Calcium', { exact: true }).fill('lots')
    await expect(page.getByText('“lots” is no number')).toBeVisible()
    await expect(page.getByRole('button', { name: 'Store it' })).toBeDisabled()
    await page.getByLabel('Calcium', { exact: true }).fill('120')
    await page.getByRole('checkbox', { name: 'milk' }).first().check()
    await page.getByLabel('Typed by').fill('Ada')
    // What is typed survives a reload.
    await page.reload()
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name)
    await page.getByRole('button', { name: 'Store it' }).click()
    await expect(page.getByRole('heading', { name })).toBeVisible()
    const side = page.getByLabel('One food')
    await expect(side).toContainText('Typed by Ada')
    await expect(side.getByRole('row', { name: /of which fibre/ })).toContainText('unknown')
    await expect(side.getByRole('row', { name: 'Calcium' })).toContainText('120 mg')

    await pasteToBench(page, `Pies\nMakes 8\nDough\n250 g flour\n130 g water\nFilling\n300 g ${name}`)
    await expect(page.getByText(`does not give every figure of ${name}`)).toBeVisible()
    await expect(page.getByRole('button', { name: /^of which fibre at least/ })).toBeVisible()
  })

  test('prices make the bench say what a piece costs', async ({ page, request }) => {
    await page.goto('/larder/leek')
    await page.getByLabel('Costs').fill('0')
    await page.getByRole('button', { name: 'Note the price' }).click()
    await expect(page.getByRole('alert')).toContainText('type the grams in the pack')
    await page.getByLabel('Costs').fill('3.00')
    await page.getByLabel('Grams in the pack').fill('1000')
    await page.getByRole('button', { name: 'Note the price' }).click()
    await expect(page.getByText('€3.00 a kilo')).toBeVisible()
    await page.getByLabel('Costs').fill('3.40')
    await page.getByRole('button', { name: 'Note the price' }).click()
    await expect(page.getByText(/before: €3\.00 a kilo, 20/)).toBeVisible()
    await page.getByRole('button', { name: 'take it out' }).click()
    await expect(page.getByText(/before:/)).toBeHidden()
    await expect(page.getByText('€3.00 a kilo')).toBeVisible()

    await pasteToBench(page, 'Pies\nMakes 4\nDough\n200 g flour\n110 g water\nFilling\n400 g leeks')
    const cost = page.getByRole('region', { name: 'Cost' })
    await expect(cost).toContainText('at least €0.30 a piece')
    await expect(cost).toContainText('plain wheat flour')
    await cost.getByLabel('A bought one costs').fill('2')
    await cost.getByLabel('A bought one costs').press('Enter')
    await expect(cost).toContainText('at most €1.70 less than a bought one')
    await cost.getByRole('button', { name: /a piece/ }).click()
    await expect(cost.getByRole('row', { name: /Leek/ })).toContainText('€1.20')
    await request.delete('/api/prices/leek')
  })

  test('a table is taken in from files, and its bad rows are shown first', async ({ page }) => {
    const table = writeTable(40, [9])
    await page.goto('/larder')
    await page.getByRole('button', { name: 'Take in a table' }).click()
    await page.getByLabel('Name of the table').fill('Files table')
    await page.getByLabel('Taken in by').fill('Ada')
    const file = (key: TableFile | 'notes') => ({
      name: `${key}.csv`,
      mimeType: 'text/csv',
      buffer: Buffer.from(key === 'notes' ? 'x' : table[key]),
    })
    await page.getByLabel('Files').setInputFiles([file('food'), file('notes')])
    await expect(page.getByText('notes.csv: not one of the four names')).toBeVisible()
    await expect(page.getByText('nutrient.csv, food_nutrient.csv')).toBeVisible()
    await page.getByLabel('Files').setInputFiles(TABLE_FILE_KEYS.map(file))
    await page.getByRole('button', { name: 'Take it in' }).click()
    await expect(page.getByText('food_nutrient.csv row 9: amount holds "n/a"')).toBeVisible()
    await page.getByRole('button', { name: 'Go on without them' }).click()
    await expect(page.getByText('✓ done')).toBeVisible()
    await page.getByLabel('Search the larder').fill(inventedName(3))
    await page.getByRole('button', { name: inventedName(3), exact: true }).click()
    await page.getByRole('button', { name: inventedName(3), exact: true }).waitFor()
    await expect(page.getByLabel('One food')).toContainText('? not known')
  })

  test('a measured food is found from the bench and its share of a nutrient shown', async ({ page }) => {
    await pasteToBench(page, 'Pies\nMakes 4\nDough\n200 g flour\n110 g water\nFilling\n300 g moonfruit')
    const filling = page.locator('.recipe').getByRole('region', { name: 'Filling' })
    await filling.getByRole('button', { name: '300 g moonfruit' }).click()
    await filling.getByRole('combobox', { name: 'Food' }).fill('pomfret')
    await page.getByRole('option', { name: 'Pomfret, black (measured)' }).click()
    await expect(page.locator('.missing')).toBeHidden()
    await filling.getByLabel('share of').selectOption('protein')
    const share = await filling.locator('.share').innerText()
    expect(Number(share.replace(/\D/g, ''))).toBeGreaterThan(50)
    await page.reload()
    await expect(filling.locator('.share')).toHaveText(share)
  })

  test('a filling that is cooked first, and what is left of it, change the piece', async ({ page }) => {
    await pasteToBench(
      page,
      'Pies\nMakes 4\nDough\n200 g flour\n110 g water\nFilling\n400 g leeks\nMethod\nSoften the leeks in a pan.\nBake at 180 °C.',
    )
    const filling = page.locator('.recipe').getByRole('region', { name: 'Filling' })
    await expect(filling.getByRole('combobox', { name: 'Goes in' })).toHaveValue('fry')
    await expect(page.getByText('g of water cooked out of it')).toBeVisible()
    await filling.getByLabel('finished it weighs').fill('320')
    await filling.getByLabel('finished it weighs').press('Enter')
    await expect(filling).toContainText('320 g, 80 g a piece')
    await filling.getByLabel('Left over').fill('80')
    await filling.getByLabel('Left over').press('Enter')
    await expect(filling).toContainText('240 g, 60 g a piece')
    await page.getByRole('button', { name: /^raw \d+ g, eaten about/ }).click()
    await expect(page.getByRole('dialog').getByRole('row', { name: /filling left over/ })).toContainText(
      '80 g',
    )
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(filling).toContainText('320 g, 80 g a piece')
    await filling.getByLabel('Left over').fill('-3')
    await filling.getByLabel('Left over').press('Enter')
    await expect(filling.getByRole('alert')).toContainText('Type grams from 0')
  })
})
