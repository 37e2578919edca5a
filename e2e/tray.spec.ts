import { expect, pasteToBench, test } from './support'

/** Dough for some 25 discs and filling for fewer, as a cook writes who has not counted. */
const UNCOUNTED = `Leek half-moons
Makes 20

Dough
500 g plain flour
250 g water
9 g salt

Filling
600 g leeks
200 g cheddar

Roll out, cut discs, fill, fold and crimp. Bake at 200 °C for 20 minutes.`

test.describe('the tray', () => {
  test('takes a pasted recipe over the bench to dough and filling that come out even', async ({ page }) => {
    await pasteToBench(page, UNCOUNTED)
    await page.getByRole('link', { name: 'Tray' }).click()
    const out = page.getByRole('region', { name: 'What comes out' })
    await expect(out).toContainText('20 pieces')
    await expect(page.getByRole('img', { name: /The cut sheet, to scale/ })).toBeVisible()
    await expect(page.getByRole('img', { name: /Tray from above, to scale/ })).toBeVisible()

    // Two of three: a cutter of 9 cm, rolled to 2 mm, is some 15 g.
    await page.getByLabel('Disc, across').fill('90')
    await page.getByLabel('Rolled to').fill('2')
    await expect(page.getByLabel('Dough of one')).toHaveAttribute('placeholder', /^1[45](\.\d)?$/)
    await page.getByLabel('Filling in each').fill('20')
    await expect(out).toContainText('runs out first')
    await out.getByRole('button', { name: /^Make \d+ % more filling$/ }).click()
    await expect(out).toContainText('Dough and filling come out together')
    await out.getByRole('button', { name: /^Make the recipe \d+ pieces, not 20$/ }).click()
    await expect(page.getByText(/^4\d pieces by the recipe/)).toBeVisible()

    // It is the recipe on the bench that has changed, and undo takes it back.
    await page.getByRole('link', { name: 'To the bench' }).click()
    // Until the other place stands, this one does, with labels alike.
    await expect(page.getByLabel('Title')).toBeVisible()
    await expect(page.getByLabel('Pieces')).toHaveValue(/^4\d$/)
    await expect(page.getByLabel('Grams of Leek')).not.toHaveValue('600')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByLabel('Pieces')).toHaveValue('20')
  })

  test('says at the field what cannot be, keeps what was typed, and shows what was last possible', async ({
    page,
  }) => {
    await pasteToBench(page, UNCOUNTED)
    await page.getByRole('link', { name: 'Tray' }).click()
    await page.getByLabel('Disc, across').fill('90')
    await page.getByLabel('Rolled to').fill('0')
    await expect(page.getByRole('alert')).toContainText('above 0')
    await expect(page.getByText('what was last possible')).toBeVisible()
    await page.getByLabel('Rolled to').fill('2')
    await page.getByLabel('Dough of one').fill('99')
    await expect(page.getByRole('alert')).toContainText('give two of the three')
    await expect(page.getByLabel('Dough of one')).toHaveValue('99')
    await page.getByLabel('Dough of one').fill('')
    await page.getByLabel('Sheet, wide').fill('60')
    await expect(page.getByRole('alert')).toContainText('wider than the sheet')
    await page.reload()
    await expect(page.getByLabel('Sheet, wide')).toHaveValue('60')
    await page.getByRole('button', { name: 'Start over' }).click()
    await expect(page.getByRole('alert')).toBeHidden()
  })

  test('answers programs, with a recipe and without', async ({ request }) => {
    const bare = await request.post('/api/pieces', {
      data: {
        plan: {
          method: 'cut-sheet',
          diameterMm: 50,
          thicknessMm: 2,
          sheetWidthMm: 300,
          sheetLengthMm: 310,
          rerolls: 0,
        },
      },
    })
    expect(bare.status()).toBe(200)
    expect(await bare.json()).toMatchObject({ pieces: 39, runsOutFirst: null, batches: [] })
    const wide = await request.post('/api/pieces', {
      data: {
        plan: { method: 'cut-sheet', diameterMm: 400, thicknessMm: 2, sheetWidthMm: 300, sheetLengthMm: 300 },
      },
    })
    expect(wide.status()).toBe(422)
    expect((await wide.json()).errors[0].field).toBe('plan.sheetWidthMm')
    const none = await request.post('/api/pieces', { data: { plan: { method: 'balls', thicknessMm: 0 } } })
    expect(none.status()).toBe(422)
    expect((await none.json()).errors[0].field).toBe('plan.thicknessMm')
  })
})
