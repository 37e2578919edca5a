import { describe, expect, it } from 'vitest'
import { demo } from '../../test/demo'
import { foods } from '../../test/helpers'
import { exportRecipe } from '~~/core/exchange/exportRecipe'
import { strToU8, zipSync } from 'fflate'
import { openFile, recipesOfFile, textOfPasted } from './recipeFiles'

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

const zipOf = (files: Record<string, string | Uint8Array>) =>
  new File(
    [
      zipSync(
        Object.fromEntries(
          Object.entries(files).map(([name, text]) => [
            name,
            typeof text === 'string' ? strToU8(text) : text,
          ]),
        ),
      ) as Uint8Array<ArrayBuffer>,
    ],
    'all.zip',
  )

describe('an archive of recipes', () => {
  it('gives each file its say: what is a recipe, what is not, and what leads out of it', async () => {
    const { found, problems } = await openFile(
      zipOf({
        'a/pies.txt': 'Pies\n250 g flour',
        'b.jsonld': JSON.stringify(LD),
        'broken.json': '{"a":',
        'picture.png': new Uint8Array([1, 2, 3]),
        '../../x.txt': 'Outside\n1 egg',
        '__MACOSX/a/._pies.txt': 'x',
      }),
    )
    expect(found.map(({ name }) => name)).toEqual(['a/pies.txt', 'Pea pockets'])
    expect(problems.map(({ name, says }) => `${name}: ${says}`)).toEqual(
      expect.arrayContaining([
        expect.stringContaining('broken.json: this is neither'),
        expect.stringContaining('picture.png: no page'),
        expect.stringContaining('../../x.txt: its name leads out'),
      ]),
    )
    expect(problems).toHaveLength(3)
  })

  it('is left where it unpacks to more than it may, and takes nothing of it', async () => {
    const much = new Uint8Array(3_000_000)
    const one = await openFile(zipOf({ 'bomb.txt': much, 'pies.txt': 'Pies\n250 g flour' }))
    expect(one.problems).toEqual([{ name: 'bomb.txt', says: 'it is larger than 2 MB' }])
    expect(one.found.map(({ name }) => name)).toEqual(['pies.txt'])
    const many = Object.fromEntries(
      Array.from({ length: 30 }, (_, at) => [`${at}.txt`, new Uint8Array(1_900_000)]),
    )
    expect(await openFile(zipOf(many))).toEqual({
      found: [],
      problems: [{ name: 'all.zip', says: 'the archive unpacks to more than 40 MB' }],
    })
    const crowd = Object.fromEntries(Array.from({ length: 501 }, (_, at) => [`${at}.txt`, 'x']))
    expect((await openFile(zipOf(crowd))).problems[0]!.says).toContain('more than 500 files')
  })

  it('that is damaged says so', async () => {
    const whole = new Uint8Array(await zipOf({ 'pies.txt': 'Pies\n250 g flour'.repeat(200) }).arrayBuffer())
    for (let at = 30; at < 60; at++) whole[at] = 0xff
    const { found, problems } = await openFile(new File([whole], 'torn.zip'))
    expect(found).toEqual([])
    expect(problems).toHaveLength(1)
  })
})

describe('a table of recipes', () => {
  it('has one in each row, whatever parts its ingredients', async () => {
    const csv =
      'Title,Servings,Ingredients,Method\nPies,4,"250 g flour; 100 g butter",Bake 20 min\nBuns,,"300 g flour\n5 g yeast",\n,,nothing,\n'
    const found = await recipesOfFile('mine.csv', csv)
    expect(found.map(({ text }) => text)).toEqual([
      'Pies\nServes 4\n\n250 g flour\n100 g butter\n\nMethod\nBake 20 min',
      'Buns\n\n\n300 g flour\n5 g yeast',
    ])
    expect(
      (await recipesOfFile('mine.csv', 'name;ingredients\nPies;250 g flour | 1 egg'))[0]!.text,
    ).toContain('250 g flour\n1 egg')
    await expect(recipesOfFile('x.csv', 'a,b\n1,2')).rejects.toThrow('a column "title"')
  })
})
