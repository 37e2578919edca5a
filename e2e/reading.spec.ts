import { readFileSync } from 'node:fs'
import AxeBuilder from '@axe-core/playwright'
import { expect, pasteToBench, test } from './support'

/** As a cook writes who has flour on the hands: no amounts for water, a strange heading, a nut one may leave out. */
const MESSY = readFileSync(new URL('../test/scribbled.txt', import.meta.url), 'utf8').trim()

test.describe('a recipe as it was written', () => {
  test('stands beside its reading, and its questions are answered where they are asked', async ({ page }) => {
    await page.goto('/paste')
    await page.getByLabel('Paste a recipe').fill(MESSY)
    const read = page.locator('.read')
    await expect(read).toContainText('Bake at 220 °C for 10 min, then bake at 180 °C for 15 min')
    await expect(read).toContainText('12 pieces')
    // Each line of the text says what it was taken for.
    const marks = page.locator('.mirror .row')
    await expect(marks.filter({ hasText: 'Thursday pockets' })).toContainText('title')
    await expect(marks.filter({ hasText: 'Jump to recipe' })).toContainText('left out')
    await expect(marks.filter({ hasText: '500 flour' })).toContainText('? dough')
    await expect(marks.filter({ hasText: '200 g feta' })).toContainText('filling')
    await expect(marks.filter({ hasText: 'Divide into 12' })).toContainText('step')
    await expect(read).toContainText('No unit is written: 500 is taken as grams')
    await expect(read).toContainText(/Left to feel: start with \d+ g, then a spoonful at a time/)
    await expect(read).toContainText('fried first, 10 min, until no water is left')

    const asks = page.getByRole('region', { name: /questions/ })
    await expect(asks.getByRole('listitem').first()).toContainText('What is “Zingy bits”?')
    await asks.getByRole('button', { name: 'Goes into Filling' }).click()
    await expect(asks).not.toContainText('Zingy bits')
    await page.getByLabel(/Grams: How much water/).fill('240 ml')
    await page.getByLabel(/Grams: How much water/).press('Enter')
    await expect(read.getByRole('listitem').filter({ hasText: 'water as needed' })).toContainText('240')
    // An answer outlives a change of the text.
    await page.getByLabel('Paste a recipe').press('End')
    await page.getByLabel('Paste a recipe').fill(`${MESSY}\n4. Eat warm.`)
    await expect(read).toContainText('Method: 4 steps')
    await expect(page.getByText('What is “Zingy bits”?')).toBeHidden()
    await page.getByLabel('Servings: How many does it serve', { exact: false }).fill('4')
    await page.getByLabel('Servings: How many does it serve', { exact: false }).press('Enter')
    await expect(page.getByRole('region', { name: /question/ })).toBeHidden()

    const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa']).analyze()
    expect(violations.map((one) => `${one.id}: ${one.nodes[0]?.html}`)).toEqual([])

    await page.getByRole('button', { name: 'Put it on the bench' }).click()
    await expect(page.getByLabel('Servings')).toHaveValue('4')
    await expect(page.getByLabel('Grams of Water')).toHaveValue('240')
    await expect(page.getByRole('region', { name: 'Zingy bits' })).toContainText('goes into the filling')
  })

  test('can be put right on the bench, step by step, and undone', async ({ page }) => {
    await pasteToBench(page, MESSY)
    // Heat, time, a second cooking.
    await expect(page.getByLabel('Temperature in °C', { exact: true })).toHaveValue('220')
    await expect(page.getByLabel('Second cooking', { exact: true })).toHaveValue('bake')
    await expect(page.getByLabel('Temperature of the second cooking in °C')).toHaveValue('180')
    await page.getByLabel('Temperature in °C', { exact: true }).fill('400F')
    await page.getByLabel('Temperature in °C', { exact: true }).press('Tab')
    await expect(page.getByLabel('Temperature in °C', { exact: true })).toHaveValue('205')
    await page.getByLabel('Minutes', { exact: true }).fill('lots')
    await page.getByLabel('Minutes', { exact: true }).press('Tab')
    await expect(page.getByText('Minutes: type a number from 0 to 1440, or nothing')).toBeVisible()
    await page.getByLabel('Minutes', { exact: true }).fill('30')
    await page.getByLabel('Minutes', { exact: true }).press('Tab')
    await page.getByLabel('Second cooking', { exact: true }).selectOption('')
    await expect(page.getByLabel('Minutes of the second cooking')).toBeHidden()

    // An alternative, and a line that may be left out.
    const dough = page.locator('.recipe').getByRole('region', { name: 'DOUGH', exact: true })
    await dough.getByRole('button', { name: 'or butter, 100 g' }).click()
    await expect(page.getByLabel('Grams of Butter')).toHaveValue('100')
    await expect(dough).toContainText('✕ milk')
    const filling = page.locator('.recipe').getByRole('region', { name: 'Filling', exact: true })
    await filling.getByRole('button', { name: 'Leave it out' }).click()
    await expect(page.getByLabel('Grams of Walnuts')).toBeHidden()
    await filling.getByRole('button', { name: 'put it back' }).click()
    await expect(page.getByLabel('Grams of Walnuts')).toBeVisible()

    // Lines move by the keyboard and by choosing a part.
    await filling.getByRole('button', { name: /^200 g feta/ }).focus()
    await page.keyboard.press('Alt+ArrowUp')
    await expect(filling.locator('.raw').first()).toHaveText('200 g feta')
    await expect(filling.getByRole('button', { name: /^200 g feta/ })).toBeFocused()
    await filling.getByRole('button', { name: /^1 tbsp oil/ }).click()
    await filling.getByLabel('Stands in').selectOption({ label: 'DOUGH' })
    await expect(dough.locator('.raw').last()).toHaveText('1 tbsp oil')

    // A part's name and kind; the method's steps.
    await page.getByRole('button', { name: 'Change the part Zingy bits' }).click()
    await page.getByLabel('It is', { exact: true }).selectOption('dip')
    await expect(page.getByRole('region', { name: 'Zingy bits' })).not.toContainText('goes into')
    await page.getByLabel('Called', { exact: true }).fill('Lemon dip')
    await page.getByLabel('Called', { exact: true }).press('Enter')
    await expect(page.getByRole('region', { name: 'Lemon dip' })).toBeVisible()

    await page.getByRole('button', { name: /^Step 2: Divide/ }).click()
    await page.getByLabel('Step 2', { exact: true }).fill('Divide into 14, fill and fold.')
    await page.getByLabel('Step 2', { exact: true }).press('Control+Enter')
    await expect(page.getByRole('button', { name: /^Step 2: Divide into 14/ })).toBeVisible()
    await page.getByLabel('Add a step').fill('Cool 5 minutes.')
    await page.getByLabel('Add a step').press('Enter')
    await page.getByRole('button', { name: 'Step 4 up' }).click()
    await expect(page.getByRole('button', { name: /^Step 3: Cool 5 minutes/ })).toBeVisible()
    await page.getByRole('button', { name: 'Take step 3 out' }).click()
    await expect(page.getByText('Cool 5 minutes.')).toBeHidden()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByText('Cool 5 minutes.')).toBeVisible()

    const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa']).analyze()
    expect(violations.map((one) => `${one.id}: ${one.nodes[0]?.html}`)).toEqual([])
  })

  test('a line is dragged from one part to another', async ({ page }) => {
    await pasteToBench(page, MESSY)
    const line = page
      .getByRole('region', { name: 'Filling', exact: true })
      .locator('li', { hasText: '200 g feta' })
    const target = page
      .locator('.recipe')
      .getByRole('region', { name: 'DOUGH', exact: true })
      .locator('li')
      .first()
    await line.locator('.grip').hover()
    await page.mouse.down()
    const box = (await target.boundingBox())!
    const dough = page.locator('.recipe').getByRole('region', { name: 'DOUGH', exact: true })
    // The line follows the mouse once the list has seen it; it is let go where it is shown.
    await expect(async () => {
      await page.mouse.move(box.x + 8, box.y + 30, { steps: 12 })
      await page.mouse.move(box.x + 8, box.y + 8, { steps: 6 })
      await expect(dough).toContainText('200 g feta', { timeout: 300 })
    }).toPass({ timeout: 10_000 })
    await page.mouse.up()
    await expect(dough).toContainText('200 g feta')
    await expect(
      page.locator('.recipe').getByRole('region', { name: 'Filling', exact: true }),
    ).not.toContainText('200 g feta')
  })

  test('is scaled by pieces, or by what there is, apart from the pieces that are cut', async ({ page }) => {
    await pasteToBench(page, MESSY)
    const energy = page.getByRole('button', { name: /^Energy/ })
    const before = await energy.innerText()
    await page.getByRole('button', { name: 'scale', exact: true }).click()
    const dialog = page.getByRole('dialog', { name: 'Scale the recipe' })
    await dialog.getByLabel('Make').fill('24')
    await expect(dialog).toContainText('24 pieces')
    await expect(dialog).toContainText('500 → 1000 g')
    await dialog.getByRole('button', { name: 'Scale', exact: true }).click()
    await expect(page.getByLabel('Grams of Plain wheat flour')).toHaveValue('1000')
    await expect(page.getByLabel('Pieces', { exact: true })).toHaveValue('24')
    expect(await energy.innerText()).toBe(before)

    await page.getByRole('button', { name: 'scale', exact: true }).click()
    await dialog.getByLabel('or as many as').selectOption({ label: 'Feta (Filling), 400 g' })
    await dialog.getByLabel('Grams you have').fill('150')
    await expect(dialog).toContainText('9 pieces')
    await dialog.getByRole('button', { name: 'Scale', exact: true }).click()
    await expect(page.getByLabel('Pieces', { exact: true })).toHaveValue('9')
    // Cutting the same dough into more pieces is another thing.
    await page.getByLabel('Pieces', { exact: true }).fill('18')
    await expect(page.getByLabel('Grams of Feta')).toHaveValue('150')
  })

  test('a component is bought instead of made', async ({ page }) => {
    await pasteToBench(
      page,
      'Buns\nMakes 10, serves 5\n\nFor the seitan\n150 g vital wheat gluten\n150 ml vegetable stock\n\nDough\n400 g flour\n220 g water\n\nFilling\nthe seitan, diced\n200 g mushrooms\n\nFill. Steam 12 minutes.',
    )
    await expect(page.getByRole('region', { name: 'For the seitan' })).toContainText('goes into the filling')
    await expect(page.getByRole('button', { name: /^the seitan, diced/ })).toContainText('made below: seitan')
    await page.getByRole('button', { name: 'Change the part For the seitan' }).click()
    await page.getByLabel('Buy it instead').fill('seitan')
    await page.getByRole('option', { name: 'Seitan', exact: true }).click()
    await expect(page.getByRole('region', { name: 'For the seitan' })).toBeHidden()
    await expect(page.getByLabel('Grams of Seitan', { exact: true })).not.toHaveValue('')
  })
})
