import { adapt } from '../../core/adaptation/adapt'
import { readRecipe } from '../../core/reading/readRecipe'
import { reference } from '../../data/reference'
import { summaryOf } from '../../core/evaluation/summary'
import { insertRecipe, once } from './recipes'

/** Demo recipes that come with a vegan variant, so that the shelf shows a family from the start. */
const WITH_VARIANT = /curd-leek|cabbage/

/** Loads the demo recipes, once in the life of a database. Each is read from text as a cook would paste it. */
export async function loadDemo(): Promise<void> {
  const storage = useStorage('assets:demo')
  const names = (await storage.getKeys())
    .filter((name) => name.endsWith('.txt'))
    .sort()
    .reverse()
  await once('demo', async (client) => {
    for (const name of names) {
      const { recipe } = readRecipe(String(await storage.getItem(name)), reference.foods)
      const parent = await insertRecipe(client, recipe, summaryOf(recipe, reference), null)
      if (!WITH_VARIANT.test(name)) continue
      const variant = { ...adapt(recipe, ['vegan'], reference).recipe, title: `${recipe.title}, vegan` }
      await insertRecipe(client, variant, summaryOf(variant, reference), parent)
    }
  })
}
