import { expect, store, SUPPER, test } from './support'

test.describe('the shelf', () => {
  test('shows the demo families with their pieces, and finds by word', async ({ page }) => {
    await page.goto('/')
    const pies = page
      .getByRole('article')
      .filter({ has: page.getByRole('heading', { name: 'Curd and leek hand pies' }) })
    await expect(pies).toContainText('As written')
    await expect(pies).toContainText('✓ vegan')
    await expect(pies.getByRole('img')).toHaveCount(2)
    await page.getByLabel('Search the shelf').fill('apple')
    await expect(page.getByRole('article')).toHaveCount(1)
    await page.getByLabel('Search the shelf').fill('zeppelin')
    await expect(page.getByText('Nothing on the shelf fits “zeppelin”')).toBeVisible()
  })

  test('takes a recipe off and puts it back', async ({ page, request }) => {
    await store(request, SUPPER.replace('Supper turnovers', 'Short-lived turnovers'))
    await page.goto('/')
    await page.getByRole('button', { name: 'Take Short-lived turnovers off the shelf' }).click()
    await expect(page.getByRole('status')).toContainText('was taken off the shelf')
    await expect(page.getByRole('heading', { name: 'Short-lived turnovers' })).toBeHidden()
    await page.getByRole('button', { name: 'Put it back' }).click()
    await expect(page.getByRole('heading', { name: 'Short-lived turnovers' })).toBeVisible()
  })

  test('makes a recipe vegan in one go', async ({ page }) => {
    await page.goto('/')
    const parcels = page
      .getByRole('article')
      .filter({ has: page.getByRole('heading', { name: 'Apple parcels for after training' }) })
    await parcels.getByRole('link', { name: 'Make it vegan' }).click()
    await expect(page.getByLabel('Title')).toHaveValue('Apple parcels for after training, vegan')
    await expect(page.getByRole('button', { name: 'Save', exact: true })).toBeEnabled()
  })
})
