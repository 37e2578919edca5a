import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import type { ListedRecipe } from '~~/shared/api/answers'
import { expect, SUPPER, test } from './support'

const PLACES = [
  {
    name: 'shelf',
    open: async (page: Page) => page.goto('/').then(() => page.getByRole('article').first().waitFor()),
  },
  {
    name: 'paste',
    open: async (page: Page) => {
      await page.goto('/paste')
      await page.getByLabel('Paste a recipe').fill(SUPPER)
      await page.getByText('16 pieces').waitFor()
    },
  },
  {
    name: 'larder',
    open: async (page: Page) => {
      await page.goto('/larder/parmesan?with=cheddar')
      await page.getByRole('heading', { name: 'Parmesan' }).waitFor()
      // Four hundred rows alike take axe twenty seconds and tell it nothing new.
      await page.getByLabel('Search the larder').fill('cheese')
    },
  },
  {
    name: 'packet',
    open: async (page: Page) => {
      await page.goto('/larder?packet')
      await page.getByLabel('Name', { exact: true }).fill('Shop quark')
      await page.getByLabel('Energy', { exact: true }).fill('9999')
      await page.getByLabel('Search the larder').fill('cheese')
    },
  },
  {
    name: 'tray',
    open: async (page: Page) => {
      const { recipes } = (await (await page.request.get('/api/recipes')).json()) as {
        recipes: ListedRecipe[]
      }
      await page.goto(`/bench/${recipes.find((one) => one.title === 'Curd and leek hand pies')!.id}`)
      await page.getByLabel('Title').waitFor()
      await page.getByRole('link', { name: 'Tray' }).click()
      await page.getByRole('heading', { name: 'What comes out' }).waitFor()
    },
  },
  {
    name: 'bench',
    open: async (page: Page) => {
      const { recipes } = (await (await page.request.get('/api/recipes')).json()) as {
        recipes: ListedRecipe[]
      }
      await page.goto(`/bench/${recipes.find((one) => one.title === 'Curd and leek hand pies')!.id}`)
      await page.getByRole('button', { name: 'vegan', exact: true }).click()
      await page.getByLabel('Title').waitFor()
      await page.getByRole('alert').waitFor({ state: 'hidden' })
    },
  },
]

for (const scheme of ['light', 'dark'] as const) {
  for (const width of [1280, 390]) {
    for (const place of PLACES) {
      test(`${place.name}, ${scheme}, ${width} wide: nothing for axe to say, nothing runs off the side`, async ({
        page,
      }) => {
        await page.setViewportSize({ width, height: width === 390 ? 844 : 800 })
        await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' })
        test.setTimeout(90_000)
        await place.open(page)
        const { violations } = await new AxeBuilder({ page })
          .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'])
          .analyze()
        expect(
          violations.map(
            (one) => `${one.id}: ${one.nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`,
          ),
        ).toEqual([])
        const over = await page.evaluate(
          () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
        )
        expect(over).toBeLessThanOrEqual(0)
      })
    }
  }
}
