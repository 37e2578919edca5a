import { describe, expect, it } from 'vitest'
import { food, foods, reference, recipeOf } from '../../test/helpers'
import { evaluate } from '../evaluation/evaluate'
import { AMINO_ACID_KEYS, AMINO_ACIDS } from '../food/aminoAcids'
import { proteinQualityOf } from './proteinQuality'

const alone = (id: string) => {
  const own = food(id)
  const nutrients = { proteinG: own.per100g.proteinG } as never
  return proteinQualityOf([{ foodId: id, name: own.name, nutrients } as never], foods)
}

describe('amino-acid score', () => {
  it('uses the FAO/WHO/UNU 2007 pattern for adults, mg per g of protein', () => {
    expect(AMINO_ACID_KEYS.map((key) => AMINO_ACIDS[key].patternMgPerG)).toEqual([
      15, 30, 59, 45, 22, 38, 23, 6, 39,
    ])
  })

  // Published scores against this pattern, from memory of reviews of plant proteins: lysine limits cereals,
  // sulphur amino acids limit pulses, egg and milk are complete.
  it.each([
    ['plain-flour', 'lysine', 40, 62],
    ['vital-wheat-gluten', 'lysine', 25, 45],
    ['rice-flour', 'lysine', 70, 95],
    ['maize-flour', 'lysine', 50, 72],
    ['kidney-beans-dry', 'sulphur', 60, 100],
  ] as const)('of %s is limited by %s', (id, limiting, low, high) => {
    const found = alone(id)
    expect(found.limiting).toBe(limiting)
    expect(found.scorePct!).toBeGreaterThan(low)
    expect(found.scorePct!).toBeLessThan(high)
  })

  it.each(['egg', 'milk', 'soy-protein-isolate', 'beef', 'whey-protein', 'cheddar'])(
    'of %s is 100 % or more',
    (id) => expect(alone(id).scorePct!).toBeGreaterThanOrEqual(100),
  )

  it('of tryptophan-free gelatine is nothing', () => {
    expect(alone('gelatine')).toMatchObject({ scorePct: 0, limiting: 'tryptophan' })
  })

  it('of a mixture is reckoned from its protein, by hand: 50 g from wheat, 50 g from soy', () => {
    const wheat = food('plain-flour').aminoAcids!.mgPerGProtein.lysine
    const soy = food('soy-protein-isolate').aminoAcids!.mgPerGProtein.lysine
    const both = proteinQualityOf(
      ['plain-flour', 'soy-protein-isolate'].map(
        (foodId) => ({ foodId, name: foodId, nutrients: { proteinG: 50 } }) as never,
      ),
      foods,
    )
    expect(both.mgPerGProtein.lysine).toBeCloseTo((wheat + soy) / 2, 9)
  })

  it('rises when a pulse completes a cereal', () => {
    const dough = (flour: readonly (readonly [string, number])[]) =>
      evaluate(recipeOf({ shell: [...flour, ['water', 60]] }), reference).protein.scorePct!
    const wheat = dough([['plain-flour', 100]])
    const mixed = dough([
      ['plain-flour', 70],
      ['chickpea-flour', 30],
    ])
    expect(mixed).toBeGreaterThan(wheat * 1.2)
  })

  it('names foods without data, and gives no score when too much is unknown', () => {
    const { protein } = evaluate(
      recipeOf({
        shell: [
          ['plain-flour', 20],
          ['water', 10],
        ],
        filling: [['surimi', 300]],
      }),
      reference,
    )
    expect(protein.lacking).toEqual([food('surimi').name])
    expect(protein).toMatchObject({ scorePct: null, limiting: null })
    expect(protein.knownPct).toBeLessThan(70)
  })

  it('is there for the proteins that pieces are made of', () => {
    for (const one of foods.values()) {
      if (!one.aminoAcids) continue
      const sum = AMINO_ACID_KEYS.reduce((total, key) => total + one.aminoAcids!.mgPerGProtein[key], 0)
      expect(sum, one.id).toBeGreaterThan(150)
      expect(sum, one.id).toBeLessThan(600)
    }
    expect([...foods.values()].filter((one) => one.aminoAcids).length).toBeGreaterThan(160)
  })
})
