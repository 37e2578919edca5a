import { expect, pasteToBench, SUPPER, test } from './support'

test.describe('from pasted text to a vegan piece', () => {
  test('a cook pastes a recipe, makes it vegan, saves it and finds both again', async ({ page }) => {
    await page.goto('/paste')
    await page.getByLabel('Paste a recipe').fill(SUPPER.replace('Supper', 'First supper'))

    // Every line is read while it is typed, with what is doubtful marked.
    const readBack = page.locator('.read')
    await expect(readBack).toContainText('16 pieces, serves 8')
    await expect(readBack).toContainText('Deep-fry at 175 °C')
    await expect(readBack).toContainText('Butter')
    await expect(readBack).toContainText('6 tbsp would be 90 g, 29 % away from the 70 g stated')
    await expect(readBack).toContainText('To taste: 4.1 g of Salt is assumed, 0.9 % of the rest')
    await page.getByRole('button', { name: 'Put it on the bench' }).click()

    await expect(page.getByLabel('Title')).toHaveValue('First supper turnovers')
    await expect(page.getByLabel('Grams of Butter')).toHaveValue('200')
    await expect(page.getByRole('region', { name: 'Dip' })).toContainText('✕ milk')
    const before = await page.getByRole('button', { name: /^Energy/ }).innerText()

    await page.getByRole('button', { name: 'vegan', exact: true }).click()
    await expect(page.getByLabel('Title')).toHaveValue('First supper turnovers, vegan')
    await expect(page.locator('.note').first()).toContainText('✓ vegan')
    // Wherever it hid: dough, filling, wash, dip; each with its reason and what it was.
    const dough = page.getByRole('region', { name: 'Dough', exact: true })
    await expect(dough).toContainText('Plant-based baking block')
    await expect(dough).toContainText('was 200 g / 7 oz cold butter')
    await expect(dough).toContainText(/Needs \d+ g (?:more|less) water to stay as soft as it was/)
    await expect(page.getByRole('region', { name: 'To finish' })).toContainText(
      'Oat drink and oil for a wash without soy',
    )
    await expect(page.getByRole('region', { name: 'Dip' })).toContainText('Oat yogurt')
    await expect(page.getByRole('region', { name: 'For the filling' })).toContainText('Vegetable stock')
    await expect(page.locator('.recipe')).not.toContainText('✕')

    // One piece before and after, in figures and drawn.
    await expect(page.getByRole('img', { name: /Cross-section to scale\. As written.*Vegan/ })).toBeVisible()
    await expect(page.getByText(`was ${before.match(/\d+/)![0]}`)).toBeVisible()
    await expect(page.getByRole('row', { name: /Protein/ })).toContainText(/[+−]\d/)

    // What the swap costs is said as plainly as what it gains.
    await expect(page.getByText(/Vitamin B12 in a serving: [\d.]+ µg before, at least 0/)).toBeVisible()
    await page.getByRole('button', { name: /^Vitamin B12 at least/ }).click()
    await expect(
      page
        .getByRole('dialog')
        .getByRole('row', { name: /Oat drink/ })
        .first(),
    ).toContainText('unknown')
    await page.keyboard.press('Escape')

    await page.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(page).toHaveURL(/\/bench\/[0-9a-f-]{36}$/)
    await expect(page.getByRole('button', { name: 'Saved', exact: true })).toBeVisible()

    await page.evaluate(() => localStorage.clear())
    await page.reload()
    await expect(page.getByLabel('Title')).toHaveValue('First supper turnovers, vegan')
    await expect(page.getByRole('img', { name: /As written.*Vegan/ })).toBeVisible()

    await page.getByRole('link', { name: 'First supper turnovers', exact: true }).click()
    await expect(page.getByLabel('Title')).toHaveValue('First supper turnovers')
    await expect(page.getByLabel('Grams of Butter')).toHaveValue('200')

    await page.getByRole('link', { name: 'Shelf', exact: true }).click()
    const family = page
      .getByRole('article')
      .filter({ has: page.getByRole('heading', { name: 'First supper turnovers' }) })
    await expect(family).toContainText('As written')
    await expect(family).toContainText('✓ vegan')
  })

  test('a line that is not understood is kept and can be put right in place', async ({ page }) => {
    await pasteToBench(
      page,
      'Pies\nMakes 8, serves 4\nDough\n250 g flour\n130 g water\nFilling\n200 g moonfruit\n2 leeks',
    )
    const filling = page.locator('.recipe').getByRole('region', { name: 'Filling' })
    await expect(filling).toContainText('"moonfruit" is not in the larder')
    await expect(page.locator('.missing')).toContainText('Not counted: moonfruit')
    await page.getByRole('button', { name: 'vegan', exact: true }).click()
    await expect(page.locator('.note').first()).toContainText('? vegan')

    await filling.getByRole('button', { name: '200 g moonfruit' }).click()
    await filling.getByRole('combobox', { name: 'Food' }).fill('plum')
    await page.getByRole('option', { name: 'Plum', exact: true }).click()
    await expect(page.locator('.missing')).toBeHidden()
    await expect(page.locator('.note').first()).toContainText('✓ vegan')
  })

  test('the example shows what a paste looks like', async ({ page }) => {
    await page.goto('/paste')
    await page.getByRole('button', { name: 'Show me with an example' }).click()
    await expect(page.locator('.read')).toContainText('Leek and cheese turnovers')
    // What was typed survives a reload.
    await page.reload()
    await expect(page.getByLabel('Paste a recipe')).toHaveValue(/Leek and cheese turnovers/)
  })
})
