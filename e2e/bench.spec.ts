import { expect, pasteToBench, store, SUPPER, test } from './support'

const energy = (page: import('@playwright/test').Page) => page.getByRole('button', { name: /^Energy/ })

test.describe('the bench', () => {
  test('figures follow a weight while it is typed, in any unit, and undo takes it back', async ({ page }) => {
    await pasteToBench(page, SUPPER)
    const first = await energy(page).innerText()
    const butter = page.getByLabel('Grams of Butter')
    await butter.fill('100')
    await expect(energy(page)).not.toHaveText(first)
    await butter.fill('7 oz')
    await butter.press('Enter')
    await expect(butter).toHaveValue('198')
    await butter.fill('-5')
    await expect(page.getByText('A weight cannot be below 0 g')).toBeVisible()
    await butter.press('Enter')
    await expect(butter).toHaveValue('198')

    await page.getByLabel('Title').blur()
    for (let n = 0; n < 12 && (await page.getByRole('button', { name: 'Undo' }).isEnabled()); n++)
      await page.getByRole('button', { name: 'Undo' }).click()
    await expect(energy(page)).toHaveText(first)
    await expect(butter).toHaveValue('200')
    await page.getByRole('button', { name: 'Redo' }).click()
    await expect(energy(page)).not.toHaveText(first)
  })

  test('every figure opens its working, with the lines and their sources', async ({ page }) => {
    await pasteToBench(page, SUPPER)
    await page.getByRole('button', { name: /^Protein/ }).click()
    const dialog = page.getByRole('dialog')
    await expect(dialog).toContainText('How the protein came about')
    await expect(dialog.getByRole('row', { name: /Minced beef/ })).toContainText(
      'USDA SR Legacy, from memory',
    )
    await expect(dialog).toContainText('÷ 16 pieces')
    await page.keyboard.press('Escape')
    await energy(page).click()
    await expect(dialog).toContainText('Annex XIV')
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: /^(?:short|firm|crumbly|medium|soft), 0\./ }).click()
    await expect(dialog).toContainText('(free water + fat share) ÷ what the flours drink')
    await page.keyboard.press('Escape')
    await page.getByText('how drawn').click()
    await expect(dialog).toContainText('ml dough')
  })

  test('where everything went, and what a cooked piece weighs, is one click away', async ({ page }) => {
    await pasteToBench(page, SUPPER)
    await page.getByRole('button', { name: /^raw \d+ g, eaten about/ }).click()
    const dialog = page.getByRole('dialog')
    await expect(dialog.getByRole('row', { name: /left in the pan: Sunflower oil/ })).toBeVisible()
    await expect(dialog.getByRole('row', { name: /water given off in cooking/ })).toContainText(
      '10 % of the raw weight',
    )
    await dialog.getByLabel('A cooked piece weighs').fill('90')
    await dialog.getByLabel('A cooked piece weighs').press('Enter')
    await expect(dialog).toContainText('16 pieces of 90 g')
    await expect(dialog).toContainText('a cooked piece was weighed')
    await dialog.getByLabel('A cooked piece weighs').fill('0')
    await dialog.getByLabel('A cooked piece weighs').press('Enter')
    await expect(dialog.getByRole('alert')).toContainText('Type the grams of one cooked piece')
    await page.keyboard.press('Escape')
    await expect(page.getByRole('button', { name: /eaten about 90 g/ })).toBeVisible()
  })

  test('the energy has a likely band that a measurement narrows', async ({ page }) => {
    await pasteToBench(
      page,
      'Pockets\nMakes 8, serves 4\nDough\n200 g flour\n110 g water\nFilling\n100 g spinach\nTo fry\n1 litre sunflower oil\nMethod\nDeep-fry at 175 °C.',
    )
    await expect(page.getByText('narrower if you weigh the oil before and after')).toBeVisible()
    const width = async () => {
      const [low, high] = (await page.getByRole('button', { name: /^\d+–\d+$/ }).innerText())
        .split('–')
        .map(Number)
      return high! - low!
    }
    const before = await width()
    await page.getByRole('button', { name: '1 litre sunflower oil' }).click()
    await page.getByLabel('Taken up').fill('33')
    await page.getByLabel('Taken up').press('Enter')
    await expect(page.getByText('narrower if you weigh the oil')).toBeHidden()
    expect(await width()).toBeLessThan(before)
  })

  test('figures for piece, serving and 100 g agree with one another', async ({ page }) => {
    await pasteToBench(page, SUPPER)
    const kcal = async () => Number((await energy(page).innerText()).match(/\d+/)![0])
    const piece = await kcal()
    await page.keyboard.press('2')
    await expect(page.getByRole('button', { name: 'per serving' })).toHaveAttribute('aria-pressed', 'true')
    expect(Math.abs((await kcal()) - 2 * piece)).toBeLessThanOrEqual(1)
    await page.keyboard.press('3')
    await expect(page.getByRole('button', { name: 'as eaten', exact: true })).toBeVisible()
  })

  test('one line is swapped by choice, with its effect shown first', async ({ page }) => {
    await pasteToBench(page, SUPPER)
    await page.getByRole('button', { name: 'Swap Minced beef, 15 % fat, raw' }).click()
    const choices = page.locator('.choices')
    await expect(choices).toContainText('Lentils and chopped walnuts')
    await expect(choices).toContainText('brings nuts')
    await choices.locator('.choice', { hasText: 'Lentils' }).click()
    await expect(page.getByRole('region', { name: 'For the filling' })).toContainText('was 300 g minced beef')
    await expect(page.getByRole('img', { name: /As written.*Changed/ })).toBeVisible()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByLabel('Title')).toHaveValue('Supper turnovers')
  })

  test('lines are added, rewritten and taken out', async ({ page }) => {
    await pasteToBench(page, SUPPER)
    const filling = page.getByRole('region', { name: 'For the filling' })
    await filling.getByLabel('Add a line to For the filling').fill('½ cup peas')
    await filling.getByRole('button', { name: 'Add', exact: true }).click()
    await expect(filling.getByLabel('Grams of Green peas')).toHaveValue('73')
    await filling.getByRole('button', { name: '½ cup peas' }).click()
    await filling.getByLabel('As written').fill('1 cup peas')
    await filling.getByLabel('As written').press('Enter')
    await expect(filling.getByLabel('Grams of Green peas')).toHaveValue('145')
    await filling.getByRole('button', { name: 'Take this line out' }).click()
    await expect(filling.getByLabel('Grams of Green peas')).toBeHidden()
  })

  test('oil weighed before and after comes before the estimate, and a part can be added', async ({
    page,
  }) => {
    await pasteToBench(page, SUPPER)
    const pan = page.getByRole('region', { name: 'To fry' })
    const estimated = await energy(page).innerText()
    await pan.getByRole('button', { name: '1 litre sunflower oil' }).click()
    await pan.getByLabel('Taken up').fill('20')
    await pan.getByLabel('Taken up').press('Enter')
    await expect(energy(page)).not.toHaveText(estimated)
    await expect(pan).toContainText('20 g eaten: weighed by the cook')
    // What is left in the pan says the same, and more than went in cannot be.
    await pan.getByLabel('g, or weighed afterwards').fill('870')
    await pan.getByLabel('g, or weighed afterwards').press('Enter')
    await expect(pan.getByLabel('Taken up')).toHaveValue('38')
    await pan.getByLabel('g, or weighed afterwards').fill('1.2 kg')
    await pan.getByLabel('g, or weighed afterwards').press('Enter')
    await expect(pan.getByRole('alert')).toContainText('More than the 908 g that went in')
    await expect(pan.getByLabel('Taken up')).toHaveValue('38')

    await page.getByRole('group', { name: 'Add a part' }).getByRole('button', { name: 'filling' }).click()
    const added = page.locator('.recipe').getByRole('region', { name: 'Filling', exact: true })
    await added.getByLabel('Add a line to Filling').fill('100 g quark')
    await added.getByLabel('Add a line to Filling').press('Enter')
    await expect(page.getByLabel('Each filling')).toContainText('8 pieces')
  })

  test('a card for the piece follows EU or US rules, and the choice is remembered', async ({ page }) => {
    await pasteToBench(page, SUPPER)
    await page.keyboard.press('c')
    const card = page.getByRole('dialog')
    await expect(card.getByRole('row', { name: /^Salt/ })).toBeVisible()
    await expect(card).toContainText('plain wheat flour (CEREALS CONTAINING GLUTEN)')
    await expect(card).toContainText('An estimate for a home kitchen')
    await card.getByRole('button', { name: 'US way' }).click()
    await expect(card.getByRole('row', { name: /^Sodium/ })).toContainText('mg')
    await page.keyboard.press('Escape')
    await page.reload()
    await page.getByRole('button', { name: 'card', exact: true }).click()
    await expect(page.getByRole('dialog').getByRole('row', { name: /^Sodium/ })).toBeVisible()
  })

  test('keys work and show themselves', async ({ page }) => {
    await pasteToBench(page, SUPPER)
    await page.keyboard.press('?')
    await expect(page.getByRole('dialog')).toContainText('Make it vegan')
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toBeHidden()
    await page.keyboard.press('v')
    await expect(page.getByLabel('Title')).toHaveValue('Supper turnovers, vegan')
    await page.keyboard.press('Control+z')
    await expect(page.getByLabel('Title')).toHaveValue('Supper turnovers')
    await page.keyboard.press('Control+Shift+z')
    await expect(page.getByLabel('Title')).toHaveValue('Supper turnovers, vegan')
    await page.keyboard.press('Control+s')
    await expect(page.getByRole('button', { name: 'Saved', exact: true })).toBeVisible()
  })

  test('a recipe without dough says what is missing and loses nothing', async ({ page }) => {
    await pasteToBench(page, 'Only filling\nMakes 4\nFilling\n200 g spinach')
    await expect(page.getByText('There is no dough')).toBeVisible()
    await expect(page.getByLabel('Grams of Spinach')).toHaveValue('200')
    await page.getByRole('button', { name: 'vegan', exact: true }).click()
    await expect(page.getByRole('alert')).toContainText('Not adapted')
    await page.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(page.getByRole('button', { name: 'Saved', exact: true })).toBeVisible()
  })

  test('a number of pieces that cannot be is refused in words', async ({ page }) => {
    await pasteToBench(page, SUPPER)
    await page.getByLabel('Pieces').fill('0')
    await expect(page.getByRole('alert')).toContainText('Pieces: type a number from 1 to 1000')
    await page.getByLabel('Pieces').fill('20')
    await expect(page.getByText('÷ 20')).toBeHidden()
    await expect(page.getByRole('alert')).toBeHidden()
  })

  test('a change saved elsewhere is noticed and either can be kept', async ({ page, request }) => {
    const stored = await store(request, SUPPER)
    await page.goto(`/bench/${stored.id}`)
    await page.getByLabel('Grams of Butter').fill('150')
    const theirs = await request.put(`/api/recipes/${stored.id}`, {
      data: { recipe: { ...stored.recipe, title: 'Theirs' }, revision: 1 },
    })
    expect(theirs.status()).toBe(200)
    await page.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(page.getByRole('alert')).toContainText('saved elsewhere')
    await expect(page.getByLabel('Grams of Butter')).toHaveValue('150')
    await page.getByRole('button', { name: 'Save mine on top' }).click()
    await expect(page.getByRole('button', { name: 'Saved', exact: true })).toBeVisible()
    const { revisions } = (await (await request.get(`/api/recipes/${stored.id}/revisions`)).json()) as {
      revisions: { revision: number }[]
    }
    expect(revisions.map((one) => one.revision)).toEqual([3, 2, 1])
  })

  test('unsaved changes to a stored recipe survive a reload', async ({ page, request }) => {
    const stored = await store(request, SUPPER)
    await page.goto(`/bench/${stored.id}`)
    await page.getByLabel('Grams of Butter').fill('123')
    await page.reload()
    await expect(page.getByLabel('Grams of Butter')).toHaveValue('123')
    await expect(page.getByRole('button', { name: 'Save', exact: true })).toBeEnabled()
  })

  test('an unsaved variant survives a reload, and is put aside for another recipe, not lost', async ({
    page,
    request,
  }) => {
    const stored = await store(request, SUPPER)
    await page.goto(`/bench/${stored.id}`)
    await page.getByRole('button', { name: 'vegan', exact: true }).click()
    await expect(page.getByLabel('Title')).toHaveValue('Supper turnovers, vegan')
    await page.reload()
    await expect(page.getByLabel('Title')).toHaveValue('Supper turnovers, vegan')

    await page.getByRole('link', { name: 'Shelf', exact: true }).click()
    await page.getByRole('link', { name: 'Lidded root vegetable pie', exact: true }).click()
    await expect(page.getByLabel('Title')).toHaveValue('Lidded root vegetable pie')
    await expect(page.getByText('Unsaved work on “Supper turnovers, vegan” was put aside')).toBeVisible()
    await page.getByRole('button', { name: 'Take it back' }).click()
    await expect(page.getByLabel('Title')).toHaveValue('Supper turnovers, vegan')
    await expect(page.getByText('was put aside')).toBeHidden()
  })

  test('brings an older revision back, as a step that can be undone', async ({ page, request }) => {
    const stored = await store(request, SUPPER)
    await page.goto(`/bench/${stored.id}`)
    await page.getByLabel('Pieces').fill('20')
    await page.getByRole('button', { name: 'Save', exact: true }).click()
    await page.getByRole('button', { name: 'Revision 2, show all' }).click()
    const dialog = page.getByRole('dialog', { name: 'Revisions' })
    await expect(dialog.getByRole('listitem')).toHaveCount(2)
    await expect(dialog.getByRole('listitem').first()).toContainText('as saved')
    await dialog.getByRole('button', { name: 'Bring back revision 1' }).click()
    await expect(dialog).toContainText('on the bench, not saved')
    await page.keyboard.press('Escape')
    await expect(page.getByLabel('Pieces')).toHaveValue('16')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByLabel('Pieces')).toHaveValue('20')
    await page.getByRole('button', { name: 'Redo' }).click()
    await page.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(page.getByRole('button', { name: 'Revision 3, show all' })).toBeVisible()
  })

  test('says so when there is nothing on the bench, or no such recipe', async ({ page }) => {
    await page.goto('/bench')
    await expect(page.getByRole('heading', { name: 'Nothing on the bench yet' })).toBeVisible()
    await page.goto('/bench/00000000-0000-4000-8000-000000000000')
    await expect(page.getByRole('heading', { name: 'This recipe is not on the shelf' })).toBeVisible()
  })
})
