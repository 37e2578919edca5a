import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { matchFood, normaliseName } from './match'
import { searchFoods } from './searchFoods'
import { editDistance } from './misspelt'

const idOf = (name: string) => matchFood(name, foods)?.food.id ?? null

describe('matchFood', () => {
  it.each([
    ['plain flour', 'plain-flour'],
    ['all-purpose flour', 'plain-flour'],
    ['Maida', 'plain-flour'],
    ['besan', 'chickpea-flour'],
    ['dahi', 'yogurt'],
    ['cold unsalted butter', 'unsalted-butter'],
    ['finely chopped red onion', 'red-onion'],
    ['free-range eggs', 'egg'],
    ['bell peppers', 'red-pepper'],
    ['fresh coriander leaves', 'coriander-leaf'],
    ['crème fraîche', 'creme-fraiche'],
    ['cooked chickpeas', 'chickpeas-cooked'],
    ['dried shiitake', 'dried-mushrooms'],
    ['soy milk', 'soy-drink'],
    ['peanut butter', 'peanut-butter'],
    ['chicken stock', 'bone-broth'],
    ['vegan cheddar', 'plant-cheese'],
    ['egg-free mayonnaise', 'plant-mayonnaise'],
    ['leaves of spinach', 'spinach'],
    ['potatoes', 'potato'],
    ['cherry tomatoes', 'cherry-tomato'],
  ])('finds "%s"', (name, id) => {
    expect(idOf(name)).toBe(id)
  })

  it.each([
    ['buter', 'butter'],
    ['parmsan', 'parmesan'],
    ['mozarella', 'mozzarella'],
    ['yoghourt', 'yogurt'],
    ['brocoli', 'broccoli'],
  ])('corrects the misspelt "%s"', (name, id) => {
    expect(matchFood(name, foods)).toMatchObject({ how: 'spelling', food: { id } })
  })

  it.each([
    'unobtainium',
    'peanut sauce powder',
    'cod liver oil',
    'chicken flavour crisps',
    'vegan unicorn cheese spread',
    '',
  ])('does not guess at "%s"', (name) => {
    expect(idOf(name)).toBeNull()
  })

  it('never matches a plant mark to an animal food', () => {
    for (const animal of foods.values()) {
      if (!animal.origins.length) continue
      for (const mark of ['vegan', 'plant-based']) {
        const found = matchFood(`${mark} ${animal.synonyms[0]}`, foods)
        expect(found?.food.origins ?? [], `${mark} ${animal.synonyms[0]}`).toEqual([])
      }
    }
  })

  it('says when words were left over and when figures stand in', () => {
    expect(matchFood('smashed mountain butter', foods)).toMatchObject({
      how: 'part',
      leftOver: ['smashed', 'mountain'],
    })
    expect(matchFood('goose fat', foods)?.food).toMatchObject({ id: 'goose-fat', figuresOf: 'duck-fat' })
  })
})

it('compares names without case, accents, hyphens or plurals', () => {
  expect(normaliseName('Crème-Fraîche')).toBe('creme fraiche')
  expect(normaliseName('Cherry Tomatoes')).toBe('cherry tomato')
  expect(normaliseName('bay leaves')).toBe('bay leaf')
})

it('counts a swap of neighbouring letters as one edit', () => {
  expect(editDistance('butter', 'buttre', 3)).toBe(1)
  expect(editDistance('butter', 'butter', 2)).toBe(0)
  expect(editDistance('butter', 'x', 2)).toBe(3)
})

describe('searchFoods', () => {
  it('puts the exact name first and finds fragments and misspellings', () => {
    expect(searchFoods('butter', foods)[0]?.id).toBe('butter')
    expect(searchFoods('almo', foods).map((one) => one.id)).toContain('ground-almonds')
    expect(searchFoods('parmsan', foods)[0]?.id).toBe('parmesan')
    expect(searchFoods('zzzz', foods)).toEqual([])
    // What has figures of its own comes before what is reckoned from it.
    const creams = searchFoods('cream', foods, 60)
    const at = (id: string) => creams.findIndex((one) => one.id === id)
    expect(at('single-cream')).toBeGreaterThanOrEqual(0)
    expect(at('single-cream')).toBeLessThan(at('cream-15-fat'))
  })
})

describe('a noun behind a name that says only of which kind it is', () => {
  it.each([
    ['manchego cheese', 'manchego'],
    ['cod fish', 'white-fish'],
    ['lap cheong sausage', 'lap-cheong'],
    ['haricot beans', 'white-beans-cooked'],
  ])('%s', (name, id) => expect(idOf(name)).toBe(id))

  it('makes no dish of what it does not belong to', () => {
    for (const name of ['potato bread', 'mustard cheese', 'cherry sausage', 'walnut sauce'])
      expect(matchFood(name, foods)?.how, name).not.toBe('exact')
  })
})

describe('a claim in other words', () => {
  it.each([
    ['dairy-free parmesan', 'plant-hard-cheese'],
    ['plant-based cheddar', 'plant-cheese'],
    ['vegan mozzarella cheese', 'plant-cheese'],
    ['vegan fish sauce alternative', 'vegan-fish-sauce'],
  ])('%s', (name, id) => expect(idOf(name)).toBe(id))

  it('is not said of what the claim does not touch', () => {
    // A dairy-free sausage may be of meat.
    expect(idOf('dairy-free sausage')).not.toBe('plant-sausage')
    expect(idOf('vegan white chocolate')).not.toBe('vegan-chocolate')
  })

  it('names the plant of a cream and says that its strength is not told', () => {
    const cream = matchFood('oat double cream', foods)
    expect([cream?.food.id, cream?.how, cream?.leftOver]).toEqual(['oat-cream', 'part', ['double']])
  })
})
