import { describe, expect, it } from 'vitest'
import { food, reference, recipeOf } from '../../test/helpers'
import { withFoods } from '../tables/referenceData'
import { evaluate } from '../evaluation/evaluate'
import { checkLabel, foodFromLabel, type PacketLabel } from './packet'

/** A plausible packet of plant cream: 9 × 15 + 4 × 4 + 2 × 1 + 4 × 1 = 157 kcal. */
const packet = (more: Partial<PacketLabel> = {}): PacketLabel => ({
  name: 'Oat cream from the corner shop',
  perGrams: 100,
  energy: 157,
  energyUnit: 'kcal',
  fatG: 15,
  saturatedFatG: 1.5,
  carbohydrateG: 4,
  carbohydrateIncludesFibre: false,
  sugarsG: 2,
  polyolsG: null,
  fibreG: 1,
  proteinG: 1,
  salt: 0.1,
  saltUnit: 'salt g',
  gramsPerMl: null,
  origins: [],
  allergens: ['gluten'],
  ...more,
})
const doubts = (more: Partial<PacketLabel>) => checkLabel(packet(more))
const fields = (more: Partial<PacketLabel>, level?: 'error' | 'check') =>
  doubts(more)
    .filter((doubt) => !level || doubt.level === level)
    .map((doubt) => doubt.field)

describe('a label while it is typed', () => {
  it('is left in peace when it is plausible, in either unit and for any portion', () => {
    expect(doubts({})).toEqual([])
    expect(doubts({ energy: 657, energyUnit: 'kJ' })).toEqual([])
    expect(doubts({ salt: 40, saltUnit: 'sodium mg' })).toEqual([])
    const portion = { perGrams: 30, energy: 47, fatG: 4.5, saturatedFatG: 0.5, carbohydrateG: 1.2 }
    expect(doubts({ ...portion, sugarsG: 0.6, fibreG: 0.3, proteinG: 0.3, salt: 0.03 })).toEqual([])
    expect(doubts({ fibreG: null, saturatedFatG: null, sugarsG: null, salt: null })).toEqual([])
  })

  it.each([
    ['no name', { name: '  ' }, 'name'],
    ['a portion of 0 g', { perGrams: 0 }, 'perGrams'],
    ['a negative amount', { fatG: -1 }, 'fatG'],
    ['saturates above fat', { saturatedFatG: 16 }, 'saturatedFatG'],
    ['sugars above carbohydrate', { sugarsG: 5 }, 'sugarsG'],
    ['parts above 100 g', { fatG: 60, carbohydrateG: 50, energy: 745 }, 'perGrams'],
    ['more energy than pure fat', { energy: 1200, fatG: null }, 'energy'],
    ['nothing at all', { energy: null, fatG: null, carbohydrateG: null, proteinG: null }, 'energy'],
  ])('%s is an error at its field', (_, more, field) => {
    expect(fields(more, 'error')).toContain(field)
  })

  it('sees kJ typed as kcal, and kcal typed as kJ', () => {
    expect(doubts({ energy: 657 })[0]?.message).toMatch(/kJ typed as kcal/)
    expect(doubts({ energy: 157, energyUnit: 'kJ' })[0]?.message).toMatch(/kcal typed as kJ/)
  })

  it('sees a slipped decimal point and says what would agree', () => {
    const [slip] = doubts({ fatG: 1.5, saturatedFatG: 0.5 })
    expect(slip).toMatchObject({ level: 'check', field: 'fatG' })
    expect(slip?.message).toMatch(/with 15 g here they would agree/)
    expect(fields({ carbohydrateG: 40 })).toContain('carbohydrateG')
  })

  it('doubts a label whose energy its parts do not make', () => {
    expect(doubts({ energy: 230 })[0]).toMatchObject({ level: 'check', field: 'energy' })
  })

  it('doubts salt by the tens of grams', () => {
    expect(fields({ salt: 40 })).toContain('salt')
  })
})

describe('a food from a label', () => {
  const made = (more: Partial<PacketLabel> = {}) =>
    foodFromLabel(packet(more), 'own-1', 'packet', food('oat-cream'))

  it('holds the figures in 100 g, total carbohydrate with the fibre, water by difference', () => {
    expect(made().per100g).toMatchObject({ fatG: 15, carbohydrateG: 5, fibreG: 1, sodiumMg: 40 })
    expect(made().per100g.waterG).toBeCloseTo(100 - 15 - 5 - 1 - 0.1, 9)
    expect(made().energyKcal).toBeCloseTo(157, 9)
  })

  it('is the same from a portion, from kJ, from sodium, and from an American label', () => {
    const half = Object.fromEntries(
      (
        ['energy', 'fatG', 'saturatedFatG', 'carbohydrateG', 'sugarsG', 'fibreG', 'proteinG', 'salt'] as const
      ).map((key) => [key, packet()[key]! / 2]),
    )
    expect(made({ ...half, perGrams: 50 }).per100g).toEqual(made().per100g)
    expect(made({ energy: 157 * 4.184, energyUnit: 'kJ' }).statedEnergyKcal).toBeCloseTo(157, 9)
    expect(made({ salt: 40, saltUnit: 'sodium mg' }).per100g).toEqual(made().per100g)
    expect(made({ carbohydrateG: 5, carbohydrateIncludesFibre: true }).per100g).toEqual(made().per100g)
  })

  it('leaves unknown what the packet does not say, so that sums are "at least"', () => {
    const own = made({ fibreG: null, salt: null })
    expect(own.unknown.sort()).toEqual(['fibreG', 'sodiumMg'])
    const evaluation = evaluate(
      recipeOf({ shell: [['plain-flour', 100]], filling: [['own-1', 50]] }),
      withFoods(reference, [own]),
    )
    expect(evaluation.unknown).toEqual({
      fibreG: [own.name],
      sodiumMg: [own.name],
      saltG: [own.name],
    })
  })

  it('believes the packet’s energy when it does not state what makes it', () => {
    expect(made({ fatG: null, saturatedFatG: null }).energyKcal).toBeCloseTo(157, 9)
  })

  it('behaves in the kitchen like the food it was said to be like', () => {
    const flour = foodFromLabel(packet(), 'own-2', 'packet', food('plain-flour'))
    expect(flour).toMatchObject({ waterDemand: 0.66, grain: 'refined', group: 'flour' })
  })

  it('refuses a label with an error', () => {
    expect(() => made({ perGrams: 0 })).toThrow(/perGrams/)
  })
})

describe('minerals and vitamins on a packet', () => {
  const fortified = (more: Partial<PacketLabel['micronutrients']>, perGrams = 100) =>
    packet({ perGrams, energy: null, micronutrients: { calciumMg: 120, vitaminB12Ug: 0.38, ...more } })

  it('are taken for 100 g, whatever the portion, and what is not stated stays unknown', () => {
    const made = foodFromLabel(fortified({}, 200), 'own-1', 'packet', null)
    expect(made.micronutrients.calciumMg).toBe(60)
    expect(made.micronutrients.vitaminB12Ug).toBeCloseTo(0.19, 9)
    expect(made.micronutrients.ironMg).toBeNull()
  })

  it('are doubted where no food has as much, and refused where they cannot be', () => {
    expect(checkLabel(fortified({ vitaminB12Ug: 380 }))).toEqual([
      { level: 'check', field: 'vitaminB12Ug', message: expect.stringMatching(/is the unit right/) },
    ])
    expect(checkLabel(fortified({ transFatG: 20 }))[0]).toMatchObject({ level: 'error', field: 'transFatG' })
    expect(checkLabel(fortified({ ironMg: -1 }))[0]).toMatchObject({ level: 'error', field: 'ironMg' })
  })

  it('make up for the B12 that a vegan variant would lose', () => {
    const drink = foodFromLabel(fortified({}), 'own-1', 'packet', food('soy-drink'))
    const buns = (id: string) =>
      evaluate(
        recipeOf({
          shell: [
            ['plain-flour', 300],
            [id, 200],
          ],
        }),
        withFoods(reference, [drink]),
      )
    expect(buns('own-1').micronutrients.vitaminB12Ug.unknown).toEqual([])
    expect(buns('own-1').micronutrients.vitaminB12Ug.perPiece).toBeGreaterThan(0)
  })
})
