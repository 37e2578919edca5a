import { expect, test as base, type APIRequestContext, type Page } from '@playwright/test'
import type { StoredRecipe } from '~~/shared/api/answers'
import type { Intake } from '../core/reading/readRecipe'
import type { Recipe } from '../core/recipe/document'

export { expect }

/** Fails a story in which the page threw an error or asked anything beyond loopback. */
export const test = base.extend<{ watched: undefined }>({
  watched: [
    async ({ page }, use) => {
      const errors: string[] = []
      page.on('pageerror', (error) => errors.push(error.message))
      page.on('request', (request) => {
        const { hostname, protocol } = new URL(request.url())
        if (protocol.startsWith('http') && !/^(?:127\.0\.0\.1|localhost|\[::1\])$/.test(hostname))
          errors.push(`asked ${request.url()}`)
      })
      await use(undefined)
      expect(errors).toEqual([])
    },
    { auto: true },
  ],
})

export const SUPPER = `Supper turnovers
Makes 16, serves 8

Dough
500 g plain flour
200 g / 7 oz cold butter
6 tbsp (70 g) ice water
1 large egg
1 tsp salt

For the filling
2 leeks, finely sliced
300 g minced beef
200 ml chicken stock
100 g cheddar, grated
1 tsp Worcestershire sauce
salt to taste

To finish
1 egg beaten with 1 tbsp milk

To fry
1 litre sunflower oil

Dip
100 g sour cream
1 tsp honey

Method
1. Rub the butter into the flour.
2. Deep-fry at 175 °C for 4 minutes.`

/** Risen buns for a session at the stove, the clock and the table. */
export const BUNS = `Leek and bacon buns
Makes 12, serves 6

Dough
500 g strong white flour
300 ml lukewarm water
7 g instant yeast
9 g salt
30 g butter

Filling
500 g leeks, sliced
200 g bacon lardons
20 g butter

1. Knead the dough 10 minutes and let it double, about 90 minutes.
2. Fry leeks and bacon in the butter for 12 minutes, then cool.
3. Divide into 12, fill and close.
4. Bake at 200 °C for 20 minutes.`

/** Pastes a text and lays what was read on the bench. */
export async function pasteToBench(page: Page, text: string) {
  await page.goto('/paste')
  await page.getByLabel('Paste a recipe').fill(text)
  await page.getByRole('button', { name: 'Put it on the bench' }).click()
  await expect(page.getByLabel('Title')).toBeVisible()
}

/** Stores a recipe read from text, by the API. */
export async function store(request: APIRequestContext, text: string): Promise<StoredRecipe> {
  const intake = (await (await request.post('/api/intake', { data: { text } })).json()) as Intake
  const answer = await request.post('/api/recipes', { data: { recipe: intake.recipe } })
  expect(answer.status()).toBe(201)
  return (await answer.json()) as StoredRecipe
}

export async function read(request: APIRequestContext, text: string): Promise<Recipe> {
  return ((await (await request.post('/api/intake', { data: { text } })).json()) as Intake).recipe
}
