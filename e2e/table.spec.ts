import AxeBuilder from '@axe-core/playwright'
import { BUNS, expect, pasteToBench, read, test } from './support'

test.describe('the table', () => {
  test('seats two guests, tells whose piece is whose, and goes to the clock', async ({ page }) => {
    await pasteToBench(page, BUNS)
    await page.getByRole('link', { name: 'Table' }).first().click()
    await page.getByRole('button', { name: 'Add a guest' }).click()
    await page.getByRole('button', { name: 'Add a guest' }).click()
    await page.getByLabel('Name').nth(1).fill('Second oar')
    await page.getByLabel('Name').nth(1).blur()
    await page.getByLabel('A diet for Second oar').selectOption('Vegan')
    await page.getByLabel('Pieces for Second oar').fill('3')
    await page.getByLabel('Pieces for Second oar').blur()
    const plan = page.getByLabel('The table', { exact: true })
    await expect(plan.getByRole('row', { name: /Second oar 3 × vegan/ })).toBeVisible()
    await expect(plan.getByText('No choice of kinds is cheaper: proven.')).toBeVisible()
    await plan.getByRole('button', { name: 'two kinds: two doughs, two fillings' }).click()
    await expect(plan.getByRole('heading', { name: 'Leek and bacon buns, as it is' })).toBeVisible()
    await expect(plan.getByRole('heading', { name: 'Leek and bacon buns, vegan' })).toBeVisible()
    await expect(plan.getByText('marked by: crimped rim')).toBeVisible()
    await expect(plan.getByText(/A home kitchen cannot promise/)).toBeVisible()
    await page.getByLabel('How much hangs on it for Second oar').selectOption('an allergy')
    await expect(plan.getByText(/Second oar: an allergy/)).toBeVisible()
    expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([])

    // A guest who cancels changes it all in one step, and undo brings them back.
    await page.getByLabel('Second oar comes').uncheck()
    await expect(plan.getByRole('row', { name: /Second oar/ })).toBeHidden()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(plan.getByRole('row', { name: /Second oar 3 × vegan/ })).toBeVisible()
    await page.getByRole('button', { name: 'To the clock' }).click()
    const dishes = page.getByRole('region', { name: 'Dishes' })
    await expect(dishes.getByText('Leek and bacon buns, vegan').first()).toBeVisible()

    // The dinner follows the table it came from, in one step that can be undone, and each dish has its tray.
    await page.getByRole('link', { name: 'Table' }).first().click()
    await page.getByLabel('Second oar comes').uncheck()
    await expect(plan.getByRole('row', { name: /Second oar/ })).toBeHidden()
    await page.getByRole('link', { name: 'Clock' }).first().click()
    await expect(dishes.getByRole('listitem')).toHaveCount(1)
    await page.keyboard.press('Control+z')
    await expect(dishes.getByRole('listitem')).toHaveCount(2)
    await dishes.getByRole('link', { name: 'On the tray: Leek and bacon buns, vegan' }).click()
    await expect(page.getByRole('heading', { name: 'Leek and bacon buns, vegan' })).toBeVisible()
    await expect(page.getByText('3 pieces by the recipe.')).toBeVisible()
  })

  test('takes what a guest leaves out and likes, and says with how many pieces it could be', async ({
    page,
  }) => {
    await pasteToBench(page, BUNS)
    await page.getByRole('link', { name: 'Table' }).first().click()
    await page.getByRole('button', { name: 'Add a guest' }).click()
    await page.getByText('Foods left out or liked').click()
    await page.getByLabel('Likes: Guest 1').fill('bacon')
    await page.getByRole('option', { name: /^Bacon, raw/ }).click()
    const plan = page.getByLabel('The table', { exact: true })
    await expect(plan.getByText('With bacon, raw, as liked')).toBeVisible()
    await page.getByLabel('Leaves out: Guest 1').fill('leek')
    await page.getByRole('option', { name: /^Leek/ }).first().click()
    await expect(page.getByText('without leek; likes bacon, raw')).toBeVisible()
    await expect(page.getByRole('button', { name: 'Leek: take away from Guest 1' })).toBeVisible()
    expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([])
    await page.getByRole('button', { name: 'Leek: take away from Guest 1' }).click()

    await page.getByLabel('A diet for Guest 1').selectOption('Keto')
    await page.getByLabel('Pieces for Guest 1').fill('9')
    await page.getByLabel('Pieces for Guest 1').blur()
    await expect(plan.getByRole('alert')).toContainText('Nothing for Guest 1')
    await page.getByLabel('Pieces for Guest 1').fill('3')
    await page.getByLabel('Pieces for Guest 1').blur()
    await plan.getByRole('button', { name: /2 pieces for Guest 1 could be made to fit/ }).click()
    await expect(plan.getByText(/net carbohydrate on the plate, at most 10\.0 is asked/)).toBeVisible()
  })

  test('answers by the API, and names what cannot be', async ({ request }) => {
    const recipe = await read(request, BUNS)
    const ask = (data: object) => request.post('/api/table', { data })
    const guests = [
      { id: 'a', pieces: 2 },
      { id: 'b', diets: ['vegan'], pieces: 3 },
      { id: 'c', diets: ['vegetarian'], avoid: ['leek'], pieces: 2 },
    ]
    const table = await (await ask({ recipe, guests })).json()
    expect(table.plates.map((plate: { guestId: string }) => plate.guestId)).toEqual(['a', 'b', 'c'])
    for (const plate of table.plates)
      for (const { id } of plate.kinds)
        expect(table.kinds.find((kind: { id: string }) => kind.id === id).suits).toContain(plate.guestId)
    expect(table.proven).toBe(true)
    expect(table.conflict).toBeNull()
    for (const [data, field] of [
      [{ recipe, guests: [] }, 'guests'],
      [{ recipe, guests: [{ id: 'a', pieces: 0 }] }, 'guests[0].pieces'],
      [{ recipe, guests: [{ id: 'a', diets: ['nonsense'], pieces: 1 }] }, 'guests[0].diets[0]'],
      [{ recipe, guests: [{ id: 'a', avoid: ['moon'], pieces: 1 }] }, 'guests[0].avoid[0]'],
      [{ recipe, guests: [{ id: 'a', likes: ['moon'], pieces: 1 }] }, 'guests[0].likes[0]'],
      [{ recipe, guests: [{ id: 'a', strength: 'whim', pieces: 1 }] }, 'guests[0].strength'],
      [{ recipe, guests: [guests[0]], options: { doughs: 9 } }, 'options.doughs'],
      [{ recipe, guests: [guests[0], guests[0]] }, 'guests'],
    ] as [object, string][]) {
      const answer = await ask(data)
      expect(answer.status(), field).toBe(422)
      expect((await answer.json()).errors[0].field).toBe(field)
    }
  })
})
