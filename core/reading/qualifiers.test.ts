import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { food, foods } from '../../test/helpers'
import { asBought, qualifiersIn, settle } from './qualifiers'

const said = (text: string) => qualifiersIn(text.split(' '))
const kin = (id: string) => [...foods.values()].filter((one) => one.kind === food(id).kind)
const settled = (id: string, text: string) => settle(food(id), kin(id), said(text))

describe('what words say of state', () => {
  it.each([
    ['cooked', 'cooked'],
    ['leftover roast', 'cooked'],
    ['crispy', 'cooked'],
    ['tinned', 'canned'],
    ['jarred', 'canned'],
    ['dry', 'dried'],
    ['desiccated', 'dried'],
    ['uncooked', 'uncooked'],
    ['frozen', 'frozen'],
    ['pickled', 'pickled'],
    ['fresh', 'fresh'],
  ])('"%s" asks for %s', (text, state) => {
    expect(said(text).state).toBe(state)
  })

  it('of several, the one that changes figures most', () => {
    expect(said('frozen cooked').state).toBe('cooked')
    expect(said('fresh smoked').state).toBe('smoked')
    expect(said('dried canned').state).toBe('canned')
  })

  it('and leaves every other word, in its order', () => {
    const words = fc.array(fc.constantFrom('big', 'cooked', 'river', 'tinned', 'blue', 'raw'), {
      maxLength: 6,
    })
    fc.assert(
      fc.property(words, (list) => {
        const other = list.filter((word) => ['big', 'river', 'blue'].includes(word))
        expect(qualifiersIn(list).rest).toEqual(other)
      }),
    )
  })

  it('but what is done with it behind its name is no state', () => {
    expect(asBought(['fried', 'in', 'butter'])).toEqual(['in', 'butter'])
    expect(asBought(['cooked'])).toEqual(['cooked'])
  })
})

describe('what words say of fat', () => {
  it.each([
    ['5% fat', 5],
    ['10 % fat', 10],
    ['3.5% milk fat', 3.5],
    ['2%', 2],
    ['85% lean', 15],
    ['80 20', 20],
    ['93 7', 7],
  ])('"%s" is %d g in 100 g', (text, fatG) => {
    expect(said(text).fatG).toBeCloseTo(fatG, 9)
  })
  it.each([
    ['fat free', 'none'],
    ['nonfat', 'none'],
    ['half fat', 'low'],
    ['semi skimmed', 'low'],
    ['extra lean', 'lean'],
  ])('"%s" is %s', (text, fat) => {
    expect(said(text).fat).toBe(fat)
  })
  it('two numbers that do not make a hundred say nothing', () => {
    expect(said('70 20').fatG).toBeNull()
  })
})

describe('the food that is meant', () => {
  it.each([
    ['chicken', 'cooked', 'cooked-chicken'],
    ['chickpeas-cooked', 'dried', 'chickpeas-dry'],
    ['chickpeas-dry', 'tinned', 'chickpeas-canned'],
    ['spinach', 'frozen', 'frozen-spinach'],
    ['peas', 'frozen', 'peas'],
    ['tuna-can', 'fresh', 'tuna-fresh'],
    ['rice-dry', 'boiled', 'cooked-rice'],
    ['minced-beef', '5% fat', 'lean-minced-beef'],
    ['minced-beef', '12% fat', 'minced-beef-12-fat'],
    ['minced-beef', '85%', 'minced-beef'],
    ['milk', '1%', 'milk-1-fat'],
    ['cheddar', 'half fat', 'light-cheddar'],
    ['quark', 'fat free', 'quark-skimmed'],
    ['minced-pork', 'lean', 'lean-minced-pork'],
  ])('%s, "%s" is %s', (id, text, expected) => {
    const found = settled(id, text)
    expect(found.food.id).toBe(expected)
    expect(found.lacking).toBe('')
  })

  it.each([
    ['prawns', 'prawns', 'smoked'],
    ['blue cheese', 'blue-cheese', 'half fat'],
    ['minced chicken', 'minced-chicken', '30% fat'],
  ])('what the larder lacks is said: %s', (_, id, text) => {
    const found = settled(id, text)
    expect(found.lacking).toMatch(/the larder has none/)
    expect(found.food.id).toBe(id)
  })

  it('a percentage means fat only where a food is sold by it', () => {
    const found = settled('dark-chocolate', '70%')
    expect(found.food.id).toBe('dark-chocolate')
    expect(found.lacking).toBe('')
  })

  it('smoke changes a fish, and neither ham nor cheese', () => {
    expect(settled('salmon', 'smoked').food.id).toBe('smoked-salmon')
    expect(settled('ham', 'smoked')).toMatchObject({ food: { id: 'ham' }, lacking: '', odd: [] })
    expect(settled('cheddar', 'smoked').lacking).toBe('')
    expect(settled('butter', 'smoked').odd).toEqual(['smoked'])
  })
})
