import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { adaptAnswer } from '~~/shared/api/adaptation'
import { expect, pasteToBench, read, store, SUPPER, test } from './support'

const PIES = `Leek pies
Makes 8, serves 4

Dough
300 g plain flour
130 g cold butter
60 g water
4 g salt

Filling
300 g leeks
200 g quark
80 g cheddar
1 egg

Method
Soften the leeks.
Bake at 180 °C for 25 minutes.`

async function openDialog(page: Page) {
  await page.getByRole('button', { name: 'More diets, targets and combinations' }).click()
  const dialog = page.getByRole('dialog', { name: 'Adapt this recipe' })
  await expect(dialog).toBeVisible()
  return dialog
}

test.describe('adapting to a combination', () => {
  test('finds the nearest, shows other ways and what the distance is made of, and is undone', async ({
    page,
  }) => {
    await pasteToBench(page, PIES)
    const dialog = await openDialog(page)
    await dialog.getByLabel('Keto, 50 g a day').check()
    await dialog.getByLabel('Vegetarian').check()
    await dialog.getByRole('button', { name: 'Find the nearest' }).click()
    await expect(dialog.getByText('✓ keto, 50 g a day')).toBeVisible()
    await expect(
      dialog.getByRole('button', { name: 'The nearest', exact: true, pressed: true }),
    ).toBeVisible()
    await dialog.getByText(/^What its [\d.]+ is made of$/).click()
    await expect(dialog.getByText(/for the dough as written$/).first()).toBeVisible()
    await expect(dialog.locator('.terms')).toContainText('new things to buy')
    await dialog.getByRole('button', { name: 'Another way 1' }).click()
    await expect(dialog.getByText('✓ keto, 50 g a day')).toBeVisible()
    await dialog.getByRole('button', { name: /^Take it/ }).click()
    await expect(page.getByLabel('Title')).toHaveValue('Leek pies, vegetarian and keto, 50 g a day')
    await expect(page.locator('.note').first()).toContainText('✓ keto, 50 g a day')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByLabel('Title')).toHaveValue('Leek pies')
  })

  test('says which wishes contradict one another, and loses nothing', async ({ page }) => {
    await pasteToBench(page, PIES)
    const dialog = await openDialog(page)
    await dialog.getByText('Figures of your own').click()
    await dialog.getByLabel('g net carbohydrate a serving, at most').fill('0')
    await dialog.getByRole('button', { name: 'Find the nearest' }).click()
    await expect(dialog.getByText('✕ cannot be')).toBeVisible()
    await expect(dialog.getByText('at most 0 g net carbohydrate a serving').first()).toBeVisible()
    await expect(dialog.getByText(/out of reach here; as near as it gets is [\d.]+ g net/)).toBeVisible()
    await expect(dialog.getByRole('button', { name: 'Take it as near as it gets' })).toBeVisible()
    await dialog.getByLabel('g net carbohydrate a serving, at most').fill('some')
    await expect(dialog.getByRole('alert')).toContainText('type a number')
    await page.keyboard.press('Escape')
    await expect(page.getByLabel('Grams of Plain wheat flour')).toHaveValue('300')
  })

  test('keeps a locked line, avoids a food, and finds a leaner one', async ({ page }) => {
    await pasteToBench(page, PIES)
    const dialog = await openDialog(page)
    await dialog.getByLabel('Less fat').check()
    await dialog.getByText('Keep, and how much may change').click()
    await dialog.getByLabel('80 g cheddar').check()
    await dialog.getByText('Avoid', { exact: true }).click()
    await dialog.getByLabel('A food you leave out').fill('quark')
    await page.getByRole('option', { name: 'Curd cheese (quark)' }).first().click()
    await dialog.getByRole('button', { name: 'Find the nearest' }).click()
    await expect(dialog.getByText('✓ less fat')).toBeVisible()
    await dialog.getByRole('button', { name: /^Take it/ }).click()
    await expect(page.getByLabel('Grams of Cheddar')).toHaveValue('80')
    await expect(page.getByLabel('Grams of Curd cheese (quark)')).toHaveCount(0)
  })

  test('bakes what was fried where less fat is asked, and says how', async ({ page }) => {
    const fried = `Fried bean pockets
Makes 10, serves 5

Dough
300 g plain flour
50 g lard
130 g water

Filling
400 g cooked black beans
80 g cheddar

To fry
1 litre sunflower oil

Method
1. Deep-fry at 175 °C for 4 minutes.`
    await pasteToBench(page, fried)
    const dialog = await openDialog(page)
    await dialog.getByLabel('Less fat').check()
    await dialog.getByRole('button', { name: 'Find the nearest' }).click()
    await expect(dialog.getByText(/bake at 190 °C for about \d+ min instead of deep-fry/i)).toBeVisible()
    await dialog.getByRole('button', { name: /^Take it/ }).click()
    await expect(page.getByLabel('Way of cooking')).toHaveValue('bake')
    await expect(page.getByText(/Here "deep-fry": bake at 190 °C/)).toBeVisible()
    await expect(page.getByText(/Instead of deep-fry: bake at 190 °C/)).toBeVisible()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByLabel('Way of cooking')).toHaveValue('deep-fry')
  })

  test('says in numbers what a whole-grain dough asks for, while it is blended', async ({ page }) => {
    await pasteToBench(page, PIES)
    const dialog = await openDialog(page)
    await dialog.getByLabel('Whole-grain', { exact: true }).check()
    await dialog.getByRole('button', { name: 'Find the nearest' }).click()
    await dialog.getByRole('button', { name: /^Take it/ }).click()
    await expect(page.getByRole('heading', { name: 'What to do differently' })).toBeVisible()
    await expect(page.getByText(/More whole grain: let it drink 10 min/)).toBeVisible()
  })

  test('draws how far one has to go, and a point of it can be taken', async ({ page }) => {
    await pasteToBench(page, PIES)
    const dialog = await openDialog(page)
    await dialog.getByRole('button', { name: 'How far for what' }).click()
    await dialog.getByRole('button', { name: 'Draw it' }).click()
    await expect(dialog.getByRole('img', { name: /Distance against g net carbohydrate/ })).toBeVisible({
      timeout: 20_000,
    })
    await expect(dialog.getByRole('row')).toHaveCount(26, { timeout: 20_000 })
    await dialog.getByRole('button', { name: /^Pick/ }).nth(12).click()
    await dialog.getByRole('button', { name: 'Take this one' }).click()
    await expect(page.getByLabel('Title')).toHaveValue('Leek pies, changed')
  })

  test('goes line by line, keeps what is kept, and goes one back', async ({ page }) => {
    await pasteToBench(page, PIES)
    const dialog = await openDialog(page)
    await dialog.getByLabel('Vegan').check()
    await dialog.getByRole('button', { name: 'One by one' }).click()
    await expect(dialog.getByText('130 g Butter')).toBeVisible()
    await dialog.locator('.choice').first().click()
    await expect(dialog.getByText('200 g Curd cheese (quark)')).toBeVisible()
    await dialog.getByRole('button', { name: 'One back' }).click()
    await expect(dialog.getByText('130 g Butter')).toBeVisible()
    await dialog.locator('.choice').first().click()
    await dialog.getByRole('button', { name: 'Keep it as it is' }).click()
    await dialog.locator('.choice').first().click()
    await dialog.locator('.choice').first().click()
    await expect(dialog.getByText('Nothing is left that has to change')).toBeVisible()
    await dialog.getByRole('button', { name: 'Take 3 swaps' }).click()
    await expect(page.getByLabel('Grams of Curd cheese (quark)')).toHaveValue('200')
    await expect(page.locator('.note').first()).toContainText('✕ not vegan')
  })

  test('has nothing that axe objects to', async ({ page }) => {
    await pasteToBench(page, PIES)
    const dialog = await openDialog(page)
    await dialog.getByLabel('High-protein', { exact: true }).check()
    await dialog.getByRole('button', { name: 'Find the nearest' }).click()
    await expect(dialog.getByRole('button', { name: /^Take it/ })).toBeVisible()
    const found = await new AxeBuilder({ page }).include('[role="dialog"]').analyze()
    expect(
      found.violations.map((one) => `${one.id}: ${one.nodes.map((node) => node.target).join()}`),
    ).toEqual([])
  })
})

test.describe('one line', () => {
  test('is offered swaps with their effect; one that is refused stays away', async ({ page }) => {
    await pasteToBench(page, PIES)
    await page.getByRole('button', { name: 'Swap Cheddar' }).click()
    const choices = page.locator('.choices')
    await expect(choices).toContainText('the best first')
    await expect(choices.locator('.choice').first()).toContainText('✓ fits')
    await expect(choices).toContainText(/A piece: .*kcal/)
    const count = await choices.locator('.choice').count()
    await choices
      .getByRole('button', { name: /^Do not offer/ })
      .first()
      .click()
    await expect(choices.locator('.choice')).toHaveCount(count - 1)
    await page.keyboard.press('Escape')
    await page.reload()
    await page.getByRole('button', { name: 'Swap Cheddar' }).click()
    await expect(choices.locator('.choice')).toHaveCount(count - 1)
    await choices.getByRole('button', { name: 'Offer them again' }).click()
    await expect(choices.locator('.choice')).toHaveCount(count)
  })

  test('takes home-made seitan for meat, and says how it is made and what it costs to know', async ({
    page,
  }) => {
    await pasteToBench(
      page,
      'Meat pies\nMakes 8\nDough\n300 g plain flour\n160 g water\nFilling\n300 g diced beef\n4 g salt',
    )
    await page.getByRole('button', { name: 'Swap Beef' }).click()
    const choices = page.locator('.choices')
    await choices.locator('.choice', { hasText: 'Seitan, home-made, simmered' }).click()
    await expect(page.getByLabel('Grams of Seitan, home-made, simmered')).toHaveValue('270')
    // It carries salt, so there is less of it to add.
    await expect(page.getByText(/carries salt: [\d.]+ g less salt/)).toBeVisible()
    await expect(
      page.getByText(/home-made, simmered: \d+ g vital wheat gluten, .*simmer 45 min/),
    ).toBeVisible()
    await page.getByRole('button', { name: 'Seitan, home-made, simmered', exact: true }).click()
    await expect(page.getByText('Made of', { exact: true })).toBeVisible()
    await page.getByRole('button', { name: 'card', exact: true }).click()
    const card = page.getByRole('dialog')
    await expect(card).toContainText(
      /seitan, home-made, simmered \(vegetable stock, vital wheat gluten \(CEREALS/i,
    )
  })

  test('takes a swap of your own, which is offered first from then on, and forgets it', async ({
    page,
    request,
  }) => {
    await pasteToBench(page, PIES)
    await page.getByRole('button', { name: 'Swap Cheddar' }).click()
    const choices = page.locator('.choices')
    await choices.getByRole('button', { name: 'Add', exact: true }).click()
    await expect(choices.getByRole('alert')).toContainText('Choose a food')
    await choices.getByLabel('Something of your own').fill('smoked tofu')
    await choices.getByRole('option', { name: 'Smoked tofu' }).click()
    await choices.getByLabel('Its weight').fill('60')
    // Two foods stand in together.
    await choices.getByRole('button', { name: 'and …' }).click()
    await expect(choices.getByText('60 g Smoked tofu')).toBeVisible()
    await choices.getByLabel('Something of your own').fill('miso')
    await choices.getByRole('option', { name: 'Miso paste' }).click()
    await choices.getByLabel('Its weight').fill('5')
    await choices.getByRole('button', { name: 'Add', exact: true }).click()
    await expect(choices.locator('.choice', { hasText: 'your own' })).toContainText('Smoked tofu')
    const vegan = await request.post('/api/adapt', {
      data: { recipe: await read(request, PIES), diets: ['vegan'] },
    })
    const { changes } = (await vegan.json()) as { changes: { from: string; to: string }[] }
    expect(changes.find((change) => change.from === 'Cheddar')?.to).toBe('Smoked tofu + Miso paste')
    await choices.getByRole('button', { name: 'Do not offer 65 g Smoked tofu + Miso paste again' }).click()
    await expect(choices.locator('.choice', { hasText: 'your own' })).toHaveCount(0)
    expect(await (await request.get('/api/swaps')).json()).toEqual({ swaps: [] })
    for (const bad of [
      { fromFoodId: 'cheddar', toFoodId: 'cheddar', ratio: 1 },
      { fromFoodId: 'cheddar', toFoodId: 'moon', ratio: 1 },
      { fromFoodId: 'cheddar', toFoodId: 'quark', ratio: 0 },
      { fromFoodId: 'cheddar', toFoodId: 'quark', ratio: 1, more: [{ foodId: 'moon', ratio: 1 }] },
    ])
      expect((await request.post('/api/swaps', { data: bad })).status()).toBe(422)
  })

  test('and the flours of a dough are blended with a slider that keeps its feel', async ({ page }) => {
    await pasteToBench(page, PIES.replace('300 g plain flour', '200 g plain flour\n100 g wholemeal flour'))
    const softness = page.getByRole('button', { name: /^(?:short|crumbly|firm|medium|soft), 0\./ })
    const before = await softness.innerText()
    await page.getByLabel('Flour blend').fill('60')
    await page.getByLabel('Flour blend').dispatchEvent('change')
    await expect(page.getByLabel('Grams of Plain wheat flour')).toHaveValue('120')
    await expect(softness).toHaveText(before)
  })
})

test.describe('families', () => {
  test('a variant is compared with its original, put in its place, and that is undone', async ({
    page,
    request,
  }) => {
    const original = await store(request, PIES.replace('Leek pies', 'Compared pies'))
    const adapted = adaptAnswer.parse(
      await (
        await request.post('/api/adapt', { data: { recipe: original.recipe, diets: ['vegan'] } })
      ).json(),
    )
    const answer = await request.post(`/api/recipes/${original.id}/variants`, {
      data: { recipe: { ...adapted.recipe, title: 'Compared pies, vegan' }, revision: 1 },
    })
    const variant = (await answer.json()) as { id: string }
    await page.goto(`/compare?ids=${original.id},${variant.id}`)
    await expect(page.getByRole('columnheader', { name: /Compared pies, vegan/ })).toBeVisible()
    await expect(page.getByRole('row', { name: /Cheddar/ })).toContainText('80 g')
    await expect(page.getByRole('row', { name: /Cheddar/ })).toContainText('–')
    const found = await new AxeBuilder({ page }).analyze()
    expect(found.violations.map((one) => one.id)).toEqual([])

    await page.getByRole('button', { name: 'Make the original as Compared pies, vegan' }).click()
    await expect(page.getByRole('row', { name: /Cheddar/ })).toHaveCount(0)
    await page.getByRole('button', { name: 'Undo the merge' }).click()
    await expect(page.getByRole('row', { name: /Cheddar/ })).toContainText('80 g')
    const { revisions } = (await (await request.get(`/api/recipes/${original.id}/revisions`)).json()) as {
      revisions: unknown[]
    }
    expect(revisions).toHaveLength(3)
  })
})

test.describe('POST /api/adapt', () => {
  test('answers targets, locks, weights, alternatives, binding limits and conflicts', async ({ request }) => {
    const recipe = await read(request, PIES)
    const keto = adaptAnswer.parse(
      await (await request.post('/api/adapt', { data: { recipe, diets: ['vegan', 'keto-wide'] } })).json(),
    )
    expect(
      keto.evaluation.diets
        .filter((one) => ['vegan', 'keto-wide'].includes(one.diet))
        .every((one) => one.fits),
    ).toBe(true)
    expect(keto.alternatives.length).toBeGreaterThan(0)
    expect(keto.distance).toBeGreaterThan(0)
    const none = adaptAnswer.parse(
      await (
        await request.post('/api/adapt', {
          data: {
            recipe,
            diets: ['vegetarian'],
            targets: [{ figure: 'carbohydrateG', per: 'piece', comparison: 'at-most', limit: 0 }],
          },
        })
      ).json(),
    )
    expect(none.conflict.length).toBeGreaterThan(0)
  })

  const bad = [
    [{ diets: [] }, 'diets'],
    [{ diets: ['moon'] }, 'diets[0]'],
    [{ diets: ['keto'], locks: { lineIds: ['nowhere'] } }, 'locks.lineIds[0]'],
    [{ diets: ['keto'], locks: { maxSwaps: -1 } }, 'locks.maxSwaps'],
    [{ diets: ['keto'], weights: { moved: -2 } }, 'weights.moved'],
    [{ targets: [{ figure: 'joy', comparison: 'at-most', limit: 1 }] }, 'targets[0].figure'],
    [{ targets: [{ figure: 'proteinG', comparison: 'at-most', limit: 1 }] }, 'targets[0].per'],
  ] as const
  for (const [body, field] of bad) {
    test(`names ${field} when it is wrong`, async ({ request }) => {
      const recipe = await read(request, SUPPER)
      const answer = await request.post('/api/adapt', { data: { recipe, ...body } })
      expect(answer.status()).toBe(422)
      const { errors } = (await answer.json()) as { errors: { field: string }[] }
      expect(errors.map((one) => one.field)).toContain(field)
    })
  }
})
