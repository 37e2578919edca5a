import { describe, expect, it } from 'vitest'
import rows from '../../data/diets.csv'
import { food, reference } from '../../test/helpers'
import { referenceFromRows } from '../tables/referenceData'
import { dietsFromRows, foodAgainstDiet, implies, withoutImplied, type Diet } from './diets'

const vegan = reference.diets.find((diet) => diet.id === 'vegan')!
const dairyFree = reference.diets.find((diet) => diet.id === 'dairy-free')!

describe('the diets', () => {
  it('name their source, and exclude something or ask for something', () => {
    for (const diet of reference.diets) {
      expect(diet.source.length).toBeGreaterThan(20)
      expect(
        diet.excludesOrigins.length +
          diet.excludesAllergens.length +
          diet.excludesFoods.length +
          diet.targets.length,
      ).toBeGreaterThan(0)
    }
  })

  const row = rows[0]!
  it.each([
    [{ ...row, excludes_origins: 'bird' }, /bird/],
    [{ ...row, source: '' }, /source/],
    [{ ...row, excludes_allergens: 'milk|moon' }, /moon/],
    [{ ...row, targets: 'joy >= 1' }, /joy/],
    [{ ...row, targets: 'proteinEnergyPct >= much' }, /target/],
    [{ ...row, targets: 'proteinG >= 10' }, /target/],
    [{ ...row, targets: 'wholeGrainPct/piece >= 10' }, /target/],
  ])('name what is wrong in a row', (bad, message) => {
    expect(() => dietsFromRows([bad])).toThrow(message)
  })
})

describe('milk whose lactose is split', () => {
  const milk = food('lactose-free-milk')
  const breaks = (id: string) =>
    foodAgainstDiet(
      milk,
      reference.diets.find((diet) => diet.id === id)!,
    ).breaks.length > 0
  it('is for those who leave lactose out, and milk for all others', () => {
    expect(breaks('lactose-free')).toBe(false)
    for (const id of ['dairy-free', 'vegan']) expect(breaks(id), id).toBe(true)
    const lactoseFree = reference.diets.find((diet) => diet.id === 'lactose-free')!
    expect(foodAgainstDiet(food('milk'), lactoseFree).breaks).not.toEqual([])
  })
})

describe('a food that bears the figures of another', () => {
  it('is decided on where the diet names that other: left out, doubted or kept', () => {
    const undecided = reference.diets.flatMap((diet) =>
      [...reference.foods.values()]
        .filter(({ id, figuresOf }) => {
          const named = [...diet.excludesFoods, ...diet.mayExcludeFoods].includes(figuresOf ?? '')
          return named && !diet.keepsFoods.includes(id)
        })
        .filter((one) => {
          const { breaks, may } = foodAgainstDiet(one, diet)
          return !breaks.length && !may.length
        })
        .map(({ id }) => `${diet.id}: ${id}`),
    )
    expect(undecided).toEqual([])
  })

  it('does not get past a diet that its like does not: mozzarella by its rennet holds lactose as any other', () => {
    const lactoseFree = reference.diets.find((diet) => diet.id === 'lactose-free')!
    expect(foodAgainstDiet(food('veg-mozzarella'), lactoseFree).may).not.toEqual([])
    expect(foodAgainstDiet(food('lactose-free-mozzarella'), lactoseFree)).toEqual({ breaks: [], may: [] })
  })
})

describe('a food against a diet', () => {
  it.each([
    ['butter', ['milk']],
    ['honey', ['honey']],
    ['lard', ['meat or a part of an animal']],
    ['oyster-sauce', ['fish or seafood']],
    ['parmesan', ['milk', 'meat or a part of an animal']],
    ['plain-flour', []],
    ['dumpling-wrapper', []],
  ])('%s against vegan: %j', (id, breaks) => {
    expect(foodAgainstDiet(food(id), vegan).breaks).toEqual(breaks)
  })

  it('tells what only the packet knows', () => {
    expect(foodAgainstDiet(food('dumpling-wrapper'), vegan)).toEqual({ breaks: [], may: ['egg'] })
    expect(foodAgainstDiet(food('margarine'), dairyFree)).toEqual({ breaks: [], may: ['milk'] })
  })

  it('says a thing once, though origin and allergen both tell it', () => {
    expect(foodAgainstDiet(food('milk'), dairyFree).breaks).toEqual(['milk'])
  })
})

describe('what a name says', () => {
  const { foods } = reference
  const judged = (id: string, said: RegExp, unless: RegExp) => {
    const diet = reference.diets.find((one) => one.id === id)!
    return [...foods.values()]
      .filter((one) => {
        const names = [one.name, ...one.synonyms].filter((name) => said.test(name) && !unless.test(name))
        const { breaks, may } = foodAgainstDiet(one, diet)
        return names.length > 0 && !breaks.length && !may.length
      })
      .map((one) => one.id)
  }

  it('of pork is pork, or doubted', () => {
    const meatless = /\b(?:vegan|vegetarian|veggie|plant|soya?|tofu|tempeh|jackfruit|mushroom|coconut)\b/i
    const other = /\b(?:turkey|chicken|beef|lamb|duck|kosher|halal) |pork (?:and|or) |without lard/i
    expect(
      judged(
        'no-pork',
        /\b(?:pork|bacon|ham|lardons?|pancetta|guanciale|pepperoni|salami|prosciutto|chorizo|mortadella|gammon|nduja|lard|speck)\b/i,
        new RegExp(`${meatless.source}|${other.source}`, 'i'),
      ).filter((id) => !/^(?:vegan|plant|vegetarian)-|seitan/.test(id)),
    ).toEqual([])
  })

  it('of onion and garlic is of the onion family, or doubted', () => {
    // Nigella is called onion seed and is none; asafoetida stands in for both.
    expect(
      judged(
        'no-onion-garlic',
        /\b(?:onions?|garlic|leeks?|shallots?|chives?|scallions?)\b/i,
        /\bonion seeds\b/i,
      ),
    ).toEqual([])
  })
})

describe('one diet within another', () => {
  const { foods } = reference
  const diet = (id: string) => reference.diets.find((one) => one.id === id)!

  it.each([
    ['vegan', ['vegetarian', 'pescatarian', 'dairy-free', 'egg-free', 'lactose-free', 'no-pork']],
    ['vegetarian', ['pescatarian', 'no-pork']],
    ['keto-strict', ['keto', 'keto-wide']],
    ['high-protein', ['protein-source']],
    ['gluten-free', []],
    ['nut-free', []],
  ])('%s', (id, within) => {
    const found = reference.diets.filter((other) => implies(diet(id), other, foods)).map((one) => one.id)
    expect(found.sort()).toEqual([...within].sort())
  })

  it('of several says the fewest, and of two that come to the same the first', () => {
    const fewest = (...some: Diet[]) => withoutImplied(some, foods).map(({ id }) => id)
    expect(fewest(diet('vegetarian'), diet('vegan'), diet('gluten-free'))).toEqual(['vegan', 'gluten-free'])
    const again = { ...dairyFree, id: 'again' }
    expect(fewest(again, dairyFree)).toEqual(['again'])
    expect(fewest(dairyFree, again)).toEqual(['dairy-free'])
  })

  it('follows the foods: what holds milk and comes of no animal breaks it', () => {
    const odd = { ...food('olive-oil'), allergens: ['milk' as const] }
    expect(implies(diet('vegan'), dairyFree, new Map(foods).set('odd', odd))).toBe(false)
    expect(implies(diet('vegan'), dairyFree, foods)).toBe(true)
  })
})

it('builds no larder from swaps that name a food that is not there', () => {
  const swap = {
    id: 'x',
    from: 'butter',
    to: 'olive-oil*1',
    part: 'any',
    way: 'any',
    closing: 'any',
    roles: '',
    why: 'because',
    source: 'practice',
  }
  expect(() =>
    referenceFromRows({
      foods: [],
      standIns: [],
      fatSteps: [],
      states: [],
      homemade: [],
      diets: [],
      swaps: [swap],
      aminoAcids: [],
      yields: [],
      retention: [],
      strength: [],
      needs: [],
      formulas: [],
      likeness: [],
      levers: [],
    }),
  ).toThrow(/butter/)
})
