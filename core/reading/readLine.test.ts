import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readLine } from './readLine'

/** A measure in short: "500 g", "1 cup + 2 tbsp", "2–3 tsp", "1 medium". */
const amounts = (raw: string) =>
  readLine(raw).measures.map((measure) =>
    measure
      .map((term) =>
        [term.low === term.high ? term.low : `${term.low}–${term.high}`, term.heap, term.size, term.unitId]
          .filter(Boolean)
          .join(' '),
      )
      .join(' + '),
  )

describe('readLine', () => {
  it.each([
    ['500 g plain flour', ['500 g'], 'plain flour'],
    ['500g plain flour', ['500 g'], 'plain flour'],
    ['200 gm flour', ['200 g'], 'flour'],
    ['200 gr. flour', ['200 g'], 'flour'],
    ['1 kg 100 g flour', ['1 kg + 100 g'], 'flour'],
    ['1 cup + 2 tbsp warm water', ['1 cup + 2 tbsp'], 'warm water'],
    ['1 cup plus 2 tablespoons water', ['1 cup + 2 tbsp'], 'water'],
    ['200 g / 7 oz butter', ['200 g', '7 oz'], 'butter'],
    ['6 tbsp (70 g) water', ['6 tbsp', '70 g'], 'water'],
    ['3 cups all-purpose flour (375 g)', ['3 cup', '375 g'], 'all-purpose flour'],
    ['250 ml (1 cup) milk', ['250 ml', '1 cup'], 'milk'],
    ['2 heaped tbsp yogurt', ['2 heaped tbsp'], 'yogurt'],
    ['1 level teaspoon salt', ['1 level tsp'], 'salt'],
    ['1 scant cup sugar', ['1 scant cup'], 'sugar'],
    ['2 metric cups flour', ['2 metric-cup'], 'flour'],
    ['4 fl oz milk', ['4 fl-oz'], 'milk'],
    ['½ pint milk', ['0.5 pint'], 'milk'],
    ['1 T sugar', ['1 tbsp'], 'sugar'],
    ['1 t sugar', ['1 tsp'], 'sugar'],
    ['1 stick butter', ['1 stick'], 'butter'],
    ['1 medium onion, finely chopped', ['1 medium'], 'onion'],
    ['3 medium-sized potatoes', ['3 medium'], 'potatoes'],
    ['3 cloves of garlic', ['3 clove'], 'garlic'],
    ['a small bunch of dill', ['1 small bunch'], 'dill'],
    ['2 sprigs thyme', ['2 sprig'], 'thyme'],
    ['a handful of spinach', ['1 handful'], 'spinach'],
    ['2 slices bread', ['2 slice'], 'bread'],
    ['1 inch piece of ginger, grated', ['1 inch'], 'ginger'],
    ['1-inch ginger', ['1 inch'], 'ginger'],
    ['400 g can chopped tomatoes', ['400 g'], 'tomatoes'],
    ['2 x 400 g cans chickpeas', ['800 g'], 'chickpeas'],
    ['2 (400 g) tins kidney beans', ['800 g'], 'kidney beans'],
    ['1 can (400 g) black beans', ['1 can', '400 g'], 'black beans'],
    ['2 cans (400 g each) black beans', ['2 can', '800 g'], 'black beans'],
    ['1 (14-ounce) can coconut milk', ['14 oz'], 'coconut milk'],
    ['Flour: 500 g', ['500 g'], 'Flour'],
    ['Salt – 1 tsp', ['1 tsp'], 'Salt'],
    ['oil for frying, 1 litre', ['1 l'], 'oil'],
    ['juice of half a lemon', ['0.5'], 'lemon juice'],
    ['1 dozen wonton wrappers', ['12'], 'wonton wrappers'],
    ['• 30 g sesame seeds', ['30 g'], 'sesame seeds'],
    ['- [ ] 2 eggs', ['2'], 'eggs'],
    ['**2 eggs**', ['2'], 'eggs'],
    ['50-60 ml water', ['50–60 ml'], 'water'],
    ['knob of butter', ['1 knob'], 'butter'],
    ['7g sachet dried yeast', ['7 g'], 'dried yeast'],
    ['1 x 320g sheet puff pastry', ['320 g'], 'puff pastry'],
  ])('reads "%s"', (raw, measures, name) => {
    expect(amounts(raw)).toEqual(measures)
    expect(readLine(raw).name).toBe(name)
  })

  it('keeps preparation words', () => {
    expect(readLine('600 g cabbage, finely shredded and squeezed').prep).toContain(
      'finely shredded and squeezed',
    )
    expect(readLine('1 can (400 g) chickpeas, drained').prep).toContain('drained')
  })

  it.each([
    ['salt to taste', 'to taste'],
    ['Black pepper, to taste', 'to taste'],
    ['water as required', 'as required'],
    ['flour (as needed)', 'as required'],
    ['1 tsp salt, or to taste', null],
  ])('marks "%s"', (raw, unmeasured) => {
    expect(readLine(raw).unmeasured).toBe(unmeasured)
  })

  it.each([
    ['oil for deep frying', 'pan'],
    ['2 tbsp butter, for the griddle', 'pan'],
    ['1 egg, beaten, to glaze', 'finish'],
    ['sesame seeds (for sprinkling)', 'finish'],
    ['flour for dusting', 'shell'],
    ['soy sauce, to serve', 'dip'],
    ['500 g flour', null],
    ['3 tbsp oil, plus more for brushing', null],
    ['500 g flour (plus extra for dusting)', null],
  ])('sees what "%s" is for', (raw, purpose) => {
    expect(readLine(raw).purpose).toBe(purpose)
  })

  it('marks optional and approximate lines and alternatives', () => {
    expect(readLine('1 tsp chilli (optional)')).toMatchObject({ optional: true, name: 'chilli' })
    expect(readLine('about 300 g tofu')).toMatchObject({ approximate: true })
    expect(readLine('3/4 cup milk or water')).toMatchObject({ name: 'milk', alternative: 'water' })
  })

  it('never throws and never makes up a negative or endless amount', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), (raw) => {
        for (const measure of readLine(raw).measures) {
          for (const term of measure) {
            expect(term.low).toBeGreaterThanOrEqual(0)
            expect(Number.isFinite(term.high)).toBe(true)
          }
        }
      }),
      { numRuns: 500 },
    )
  })
})
