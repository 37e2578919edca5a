import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readIngredients } from './readIngredient'

/** Pieces of a row as they are spoken or jotted down, with the foods that they name. */
const MEASURED: readonly [string, string][] = [
  ['3 big onions', 'onion'],
  ['25g butter', 'butter'],
  ['300g mature cheddar grated', 'cheddar'],
  ['2 eggs', 'egg'],
  ['4 tbsp double cream', 'double-cream'],
  ['500 g beef mince', 'minced-beef'],
  ['200g flour', 'plain-flour'],
  ['100 ml water', 'water'],
  ['half a tsp cumin', 'cumin'],
  ['two cloves garlic', 'garlic'],
  ['a tablespoon of soy sauce', 'soy-sauce'],
  ['a handful of parsley', 'parsley'],
  ['1 leek sliced thinly', 'leek'],
  ['3 potatoes peeled and diced', 'potato'],
  ['2 1/2 cups peas', 'peas'],
]
const BARE: readonly [string, string][] = [
  ['salt', 'salt'],
  ['pepper', 'black-pepper'],
  ['nutmeg', 'nutmeg'],
  ['bit of mustard', 'mustard'],
  ['a bit of oil', 'sunflower-oil'],
  ['squeeze of lemon', 'lemon-juice'],
  ['few sprigs of thyme', 'thyme'],
]
const idsIn = (row: string) => readIngredients(row, foods).map(({ food }) => food?.id ?? null)

describe('a row of foods without a mark', () => {
  it('is cut into what it was put together from', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...MEASURED),
        fc.uniqueArray(fc.constantFrom(...MEASURED, ...BARE), {
          selector: ([, id]) => id,
          minLength: 1,
          maxLength: 5,
        }),
        (first, more) => {
          const all = [first, ...more.filter(([, id]) => id !== first[1])]
          expect(idsIn(all.map(([said]) => said).join(' '))).toEqual(all.map(([, id]) => id))
        },
      ),
      { numRuns: 300 },
    )
  })

  it.each([
    ['2 eggs 4 tbsp double cream pepper bit of mustard', ['egg', 'double-cream', 'black-pepper', 'mustard']],
    ['salt and pepper 2 eggs 100 g feta', ['salt', 'black-pepper', 'egg', 'feta']],
    ['1 onion 2 carrots salt pepper thyme', ['onion', 'carrot', 'salt', 'black-pepper', 'thyme']],
    ['2 cups atta 1 tbsp oil salt water to make a soft dough', ['atta', 'sunflower-oil', 'salt', 'water']],
    ['10 oz flour 5 oz butter cold water to mix', ['plain-flour', 'butter', 'water']],
  ])('"%s"', (row, ids) => {
    expect(idsIn(row)).toEqual(ids)
  })

  it.each([
    ['2 tbsp onion salt', ['garlic-salt']],
    ['1 cup half and half', ['half-and-half']],
    ['2 400 g tins chopped tomatoes', ['tomatoes-canned']],
    ['250 g self raising flour', ['self-raising-flour']],
    ['2 tbsp soy sauce', ['soy-sauce']],
  ])('"%s" is one food', (row, ids) => {
    expect(idsIn(row)).toHaveLength(ids.length)
  })

  it('keeps every word', () => {
    for (const [said] of MEASURED)
      for (const [bare] of BARE) {
        const row = `${said} ${bare}`
        expect(
          readIngredients(row, foods)
            .map(({ line }) => line.raw)
            .join(' '),
        ).toBe(row)
      }
  })
})
