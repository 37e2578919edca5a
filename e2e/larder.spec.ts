import { expect, test } from './support'

test.describe('the larder', () => {
  test('a food is found by a misspelling, shows its source, and is held against another', async ({
    page,
  }) => {
    await page.goto('/larder')
    await expect(page.getByRole('status')).toContainText(/\d+ of \d+ foods/)
    await page.getByLabel('Search the larder').fill('parmsan')
    await page.getByRole('button', { name: 'Parmesan', exact: true }).click()
    await expect(page).toHaveURL(/\/larder\/parmesan$/)
    const side = page.getByLabel('One food')
    await expect(side).toContainText('USDA SR Legacy, from memory')
    await expect(side).toContainText('Comes from')

    await page.getByLabel('Search the larder').fill('nutritional yeast')
    await page.getByRole('button', { name: 'Compare Parmesan with Nutritional yeast' }).click()
    await expect(side.getByRole('row', { name: /^Protein/ })).toContainText('−14.3')
    await page.reload()
    await expect(side).toContainText('Nutritional yeast')
  })

  test('sorts by a figure', async ({ page }) => {
    await page.goto('/larder')
    await page.getByRole('button', { name: 'protein', exact: true }).click()
    await expect(page.locator('tbody th').first()).toHaveText('Soy protein isolate')
    await expect(page.getByRole('columnheader', { name: 'protein' })).toHaveAttribute(
      'aria-sort',
      'descending',
    )
  })

  test('says so when nothing fits or no such food is there', async ({ page }) => {
    await page.goto('/larder')
    await page.getByLabel('Search the larder').fill('zzzz')
    await expect(page.getByText('No food fits “zzzz”')).toBeVisible()
    await page.goto('/larder/moon-dust')
    await expect(page.getByText('There is no food “moon-dust” here')).toBeVisible()
  })
})
