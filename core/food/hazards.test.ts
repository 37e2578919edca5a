import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { matchFood, normaliseName } from '../reading/match'
import { readIngredient } from '../reading/readIngredient'
import type { Food } from './food'
import standIns from '../../data/stand-ins.csv'
import { carries, carriesAny, claimsIn, hazardsOfWord } from './hazards'

const all = [...foods.values()]

describe('a stand-in', () => {
  it('states its own origin and allergens, whatever the food holds whose figures it bears', () => {
    for (const row of standIns) {
      const own = foods.get(row.id!)!
      expect(own.figuresOf, row.id).toBe(row.figures_of)
      expect([...own.origins, ...own.possibleOrigins.map((one) => `?${one}`)].sort().join('|'), row.id).toBe(
        (row.origin ?? '').split('|').filter(Boolean).sort().join('|'),
      )
      expect(own.source, row.id).toContain(row.why)
    }
  })

  it('of a nut, a seed or an animal names it among what it holds', () => {
    const says: [RegExp, string][] = [
      [/\b(?:hazelnut|pistachio|walnut|macadamia)/, 'nuts'],
      [/\b(?:goat|sheep|buffalo|garlic butter)/, 'milk'],
      [/\b(?:fish|haddock|trout)\b(?! ?sauce)/, 'fish'],
      [/\bsesame\b/, 'sesame'],
    ]
    for (const row of standIns) {
      const own = foods.get(row.id!)!
      const name = own.name.toLowerCase()
      for (const [word, allergen] of says)
        if (word.test(name) && !/without|meat|cheese of/.test(name))
          expect([...own.allergens, ...own.possibleAllergens], own.id).toContain(allergen)
    }
  })
})

describe('the names of the table', () => {
  // Words that name something else: a butter bean holds no butter.
  const COMPOUNDS =
    /^(?:butter \S*bean|kidney bean|red kidney|oyster mushroom|king oyster|crab apple|beef tomato|romano pepper|chestnut mushroom|water chestnut|(?:goat|duck|chicken|hen|goose|quail)s? (?:milk|yogurt|butter|egg)|(?:duck|steak|brown) sauce|lamb lettuce|mustard green|egg replace|custard powder|cream of tartar|cocoa butter|bean curd|nut milk|port salut|milk solid|cod|coconut|rice wine|ginger (?:ale|beer)|(?:guava|quince) cheese|wheat meat|fish sauce without|refried bean|poultry seasoning|swiss chard)/
  it('say no word in front that the food does not carry', () => {
    const named = new Map<string, Food>()
    for (const food of all) for (const name of food.synonyms) named.set(normaliseName(name), food)
    const slips: string[] = []
    for (const food of all) {
      for (const name of food.synonyms) {
        const words = normaliseName(name).split(' ')
        const { claims, rest } = claimsIn(words)
        if (claims.length) continue
        const before = rest.slice(0, -1)
        before.forEach((word, at) => {
          const hazards = hazardsOfWord(word, named.get(word))
          const plainGrain =
            /^(?:flour|plain|curd|cream|milk|mince|stock|broth|butter|meat|steak|bran)$/.test(word)
          if (!hazards || plainGrain || carries(food, hazards)) return
          if (!COMPOUNDS.test(rest.slice(at).join(' '))) slips.push(`${food.id}: ${name}`)
        })
      }
    }
    expect(slips).toEqual([])
  })
})

describe('a word in a name', () => {
  it.each([
    'soya',
    'hazelnut',
    'peanut',
    'fish',
    'egg',
    'malt',
    'sesame',
    'milk',
    'wheat',
    'mustard',
    'celery',
    'pork',
  ])('"%s" never disappears: in front of any food it is carried, or nothing is matched', (word) => {
    const hazards = hazardsOfWord(word, matchFood(word, foods)?.food)!
    expect(hazards).not.toBeNull()
    fc.assert(
      fc.property(fc.constantFrom(...all), (food) => {
        const name = food.synonyms[0] ?? food.name
        const found = matchFood(`${word} ${name}`, foods)
        if (found) expect(carries(found.food, hazards), `${word} ${name} → ${found.food.name}`).toBe(true)
      }),
      { numRuns: 300 },
    )
  })

  it.each([
    ['vegan', 'milk'],
    ['dairy-free', 'milk'],
    ['gluten-free', 'gluten'],
    ['egg-free', 'egg'],
    ['nut-free', 'nuts'],
    ['soya-free', 'soy'],
  ] as const)('"%s" never gives a food that certainly holds %s', (claim, allergen) => {
    fc.assert(
      fc.property(fc.constantFrom(...all), fc.boolean(), (food, behind) => {
        const name = food.synonyms.at(-1) ?? food.name
        const found = matchFood(behind ? `${name}, ${claim}` : `${claim} ${name}`, foods)
        expect(found?.food.allergens ?? [], `${claim} ${name} → ${found?.food.name}`).not.toContain(allergen)
      }),
      { numRuns: 400 },
    )
  })

  it('that only measures brings nothing along', () => {
    expect(matchFood('walnut sized piece of ginger', foods)?.food.id).toBe('ginger')
    expect(matchFood('egg-sized butter', foods)?.food.id).toBe('butter')
  })

  it('for what a thing is meant brings nothing along', () => {
    expect(matchFood('bread machine yeast', foods)?.food.id).toBe('instant-yeast')
  })
})

describe('what stands behind a name, after a comma or in brackets', () => {
  it.each([
    ['2 tbsp vegetable oil (groundnut)', 'peanut'],
    ['100 ml cream (soya)', 'soy'],
    ['200 g mince (lamb)', null],
    ['100 ml milk (almond)', 'nuts'],
    ['50 g crumbs (wheat)', 'gluten'],
  ])('"%s" is carried, or the line asks', (text, allergen) => {
    const { food, line } = readIngredient(text, foods)
    if (!food) expect(line.notes.map((note) => note.code)).toContain('unknown-food')
    else if (allergen) expect([...food.allergens, ...food.possibleAllergens]).toContain(allergen)
    else expect(food.origins).toContain('meat')
  })
  it.each([
    ['300 g puff pastry (gluten-free)', 'gluten'],
    ['200 g mayonnaise, egg-free', 'egg'],
    ['100 g cheddar, dairy-free', 'milk'],
  ])('"%s" does not certainly hold %s', (text, allergen) => {
    expect(readIngredient(text, foods).food?.allergens ?? []).not.toContain(allergen)
  })
})

describe('claimsIn', () => {
  it('takes claims out wherever they stand', () => {
    const { without, rest } = claimsIn('self raising gluten free flour'.split(' '))
    expect(rest.join(' ')).toBe('self raising flour')
    expect(without).toHaveLength(1)
    expect(carriesAny(foods.get('plain-flour')!, without[0]!)).toBe(true)
    expect(carriesAny(foods.get('gf-flour-blend')!, without[0]!)).toBe(false)
  })
  it('knows those that are one word, or begin with "non"', () => {
    expect(claimsIn(['eggless', 'mayonnaise']).rest).toEqual(['mayonnaise'])
    expect(claimsIn(['non', 'dairy', 'cream']).rest).toEqual(['cream'])
    expect(claimsIn(['free', 'range', 'egg']).without).toEqual([])
  })
})
