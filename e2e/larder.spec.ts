import type { Recipe } from '../core/recipe/document'
import { allLines } from '../core/recipe/lines'
import { expect, pasteToBench, test } from './support'

test.describe('the larder', () => {
  test('what is meant by a word is taught once, read so from then on, and forgotten again', async ({
    page,
    request,
  }) => {
    const dough = 'Dough\n250 g flour\n130 g water\n\nFilling\n200 g mushrooms\n100 ml cream'
    await pasteToBench(page, `Taught turnovers\nMakes 8, serves 4\n\n${dough}`)
    await page.getByRole('button', { name: /^100 ml cream/ }).click()
    await page.getByLabel('Food', { exact: true }).fill('single cream')
    const option = page.getByRole('option', { name: 'Single cream, 19 % fat' })
    await expect(option).toContainText('19 % fat')
    await expect(option).toContainText('milk')
    await option.click()
    await page.getByRole('button', { name: 'Always read “cream” as Single cream, 19 % fat' }).click()
    await expect(page.getByText('“cream” is read as Single cream, 19 % fat from now on')).toBeVisible()

    const read = async () => {
      const answer = await request.post('/api/intake', { data: { text: `Buns\n\n${dough}` } })
      const { recipe } = (await answer.json()) as { recipe: Recipe }
      return allLines(recipe).find(({ line }) => line.raw.includes('cream'))?.line.foodId
    }
    expect(await read()).toBe('single-cream')
    await page.goto('/larder?words')
    const side = page.getByLabel('One food')
    await expect(side.getByRole('row', { name: /cream/ })).toContainText('Single cream')
    await side.getByRole('button', { name: 'Forget cream' }).click()
    await side.getByRole('button', { name: 'Undo' }).click()
    await expect(side.getByRole('row', { name: /cream/ })).toBeVisible()
    await side.getByRole('button', { name: 'Forget cream' }).click()
    await expect(side.getByText('Nothing is taught yet')).toBeVisible()
    expect(await read()).toBe('whipping-cream')
  })

  test('what is made for a recipe is kept as a food, and used in another', async ({ page }) => {
    await pasteToBench(
      page,
      'Masala buns\nMakes 8, serves 4\n\nFor the green masala\n100 g coriander\n20 g green chillies\n30 g cashews\n\nDough\n250 g flour\n130 g water\n\nFilling\nthe green masala\n300 g potatoes, boiled',
    )
    await page.getByRole('button', { name: 'Change the part For the green masala' }).click()
    await page.getByRole('button', { name: 'Keep it in the larder as a food' }).click()
    await page.getByRole('link', { name: 'look at it' }).click()
    const side = page.getByLabel('One food')
    await expect(side.getByRole('heading', { name: 'Green masala' })).toBeVisible()
    await expect(side).toContainText('Made at home.')
    await expect(side).toContainText('Nuts')
    await pasteToBench(
      page,
      'Other buns\nMakes 8, serves 4\n\nDough\n250 g flour\n130 g water\n\nFilling\n50 g green masala\n200 g peas',
    )
    await expect(page.getByLabel('Grams of Green masala')).toHaveValue('50')
  })

  test('a food is found by a misspelling, shows its source, and is held against another', async ({
    page,
  }) => {
    await page.goto('/larder')
    await expect(page.getByRole('status')).toContainText(/[\d,]+ of [\d,]+ foods/)
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
    await expect(page.locator('tbody th').first()).toContainText('Collagen peptides')
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
