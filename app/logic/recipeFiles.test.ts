import { describe, expect, it } from 'vitest'
import { demo } from '../../test/demo'
import { foods } from '../../test/helpers'
import { exportRecipe } from '~~/core/exchange/exportRecipe'
import { recipesOfFile, textOfPasted } from './recipeFiles'

const LD = {
  '@type': 'Recipe',
  name: 'Pea pockets',
  recipeYield: '8',
  recipeIngredient: ['250 g flour', '300 g peas'],
}

describe('files of recipes', () => {
  it('takes our own document as it is', async () => {
    const { recipe } = demo[0]!
    const [found] = await recipesOfFile('x.json', exportRecipe(recipe, null, foods, 'json').text)
    expect(found!.recipe).toEqual(recipe)
  })
  it('makes text of a page and of JSON-LD, one for each recipe', async () => {
    const page = `<!doctype html><script type="application/ld+json">${JSON.stringify([LD, { ...LD, name: 'Two' }])}</script>`
    const found = await recipesOfFile('x.html', page)
    expect(found.map(({ name }) => name)).toEqual(['Pea pockets', 'Two'])
    expect(found[0]!.text).toBe('Pea pockets\nMakes 8\n\n250 g flour\n300 g peas\n\nMethod')
    expect(await textOfPasted(JSON.stringify(LD))).toContain('250 g flour')
  })
  it('leaves plain text alone, and says what is no recipe', async () => {
    expect(await textOfPasted('Pies\n250 g flour')).toBeNull()
    expect((await recipesOfFile('x.txt', 'Pies\n250 g flour'))[0]!.text).toBe('Pies\n250 g flour')
    await expect(recipesOfFile('x', '')).rejects.toThrow('empty')
    await expect(recipesOfFile('x', '{"a":1}')).rejects.toThrow('no recipe')
    await expect(recipesOfFile('x', '{"a":')).rejects.toThrow('neither')
  })
})
