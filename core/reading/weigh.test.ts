import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { readIngredient } from './readIngredient'

const line = (raw: string) => readIngredient(raw, foods).line
const codes = (raw: string) => line(raw).notes.map((note) => note.code)

describe('weighing a line', () => {
  it.each([
    ['500 g plain flour', 500],
    ['1 kg 100 g plain flour', 1100],
    ['1 lb plain flour', 453.6],
    ['1 cup plain flour', 125],
    ['1 metric cup water', 250],
    ['1 cup water', 240],
    ['1 tbsp olive oil', 13.5],
    ['1 tsp salt', 6],
    ['1½ tsp salt', 9],
    ['1 litre sunflower oil', 920],
    ['3 cloves garlic', 12],
    ['1 inch ginger', 12],
    ['2 large eggs', 100],
    ['1 medium onion', 110],
    ['1 stick butter', 113],
    ['1 sachet dry yeast', 7],
    ['2 sticks celery', 80],
    ['1 can (400 g) chickpeas, drained', 240],
    ['2 x 400 g cans chickpeas, drained and rinsed', 480],
    ['250 g drained chickpeas', 250],
    ['a pinch of salt', 0.4],
    ['2 to 3 tsp cumin', 5.25],
    ['juice of half a lemon', 22.5],
    ['10 dumpling wrappers', 90],
  ])('%s is %d g', (raw, grams) => {
    const weighed = line(raw).grams!
    expect(Math.abs(weighed - grams)).toBeLessThanOrEqual(Math.max(0.06, grams * 0.02))
  })

  it('lets the weight win and says when the two differ by more than 15 %', () => {
    expect(line('6 tbsp (70 g) water').grams).toBe(70)
    expect(codes('6 tbsp (70 g) water')).toContain('dual-disagrees')
    expect(codes('1 level tsp (7 g) salt')).toContain('dual-disagrees')
    expect(codes('200 g / 7 oz butter')).not.toContain('dual-disagrees')
    expect(codes('1 cup (125 g) plain flour')).not.toContain('dual-disagrees')
  })

  it.each([
    ['salt to taste'],
    ['water as required'],
    ['oil for deep frying'],
    ['beaten egg to glaze'],
    ['sesame seeds'],
  ])('never takes "%s" for nothing', (raw) => {
    const { grams, notes } = line(raw)
    expect(grams).toBeGreaterThan(0)
    expect(notes.some((note) => note.level === 'check')).toBe(true)
  })

  it('asks for the weight when it cannot be told', () => {
    expect(line('1 jar of parsnips').grams).toBeNull()
    expect(codes('1 jar of parsnips')).toContain('no-unit-weight')
    expect(codes('beef')).toContain('no-amount')
  })

  it('gives flour by the cup the spread of spoon and scoop', () => {
    const { grams, gramsLow, gramsHigh } = line('2 cups plain flour')
    expect(grams).toBeCloseTo(250)
    expect(gramsLow).toBeCloseTo(240)
    expect(gramsHigh).toBeCloseTo(290)
  })

  it('uses preparation where it changes the weight', () => {
    expect(line('600 g white cabbage, squeezed').waterChangeGrams).toBeCloseTo(-150)
    expect(line('100 g soya mince, soaked').waterChangeGrams).toBeCloseTo(200)
    expect(line('2 cups packed spinach').grams).toBeCloseTo(84)
    expect(line('500 g unpeeled potatoes').grams).toBeCloseTo(420)
    expect(line('500 g chicken thighs, bone in').grams).toBeCloseTo(375)
    // Meat is eaten with its skin.
    expect(line('500 g chicken thighs, skin on').grams).toBeCloseTo(500)
    expect(line('500 g potatoes, peeled')).toMatchObject({ grams: 500, gramsLow: 420 })
  })

  it('refuses a weight that no line can have, and keeps the text', () => {
    const heavy = line('900 kg flour')
    expect(heavy.grams).toBeNull()
    expect(heavy.raw).toBe('900 kg flour')
  })

  it('keeps the stated weight of a food it does not know', () => {
    expect(line('150 g unobtainium')).toMatchObject({ foodId: null, grams: 150, name: 'unobtainium' })
  })
})
