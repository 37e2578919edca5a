import { describe, expect, it } from 'vitest'
import { foods, reference } from '../../test/helpers'
import { readRecipe } from '../reading/readRecipe'
import { evaluate } from '../evaluation/evaluate'
import { allLines } from '../recipe/lines'

/**
 * Ingredients in which something hides that a diet leaves out: [line, diet, what the verdict has to be]. "packet"
 * means that only the packet can tell. Common practice and EU allergen law, from memory.
 */
const TRAPS: readonly (readonly [string, string, 'no' | 'packet' | 'fits'])[] = [
  ['1 tsp Worcestershire sauce', 'vegan', 'no'],
  ['1 tsp Worcestershire sauce', 'vegetarian', 'no'],
  ['40 g parmesan, grated', 'vegan', 'no'],
  ['40 g parmesan, grated', 'vegetarian', 'no'],
  ['1 tbsp honey', 'vegan', 'no'],
  ['1 tbsp honey', 'vegetarian', 'fits'],
  ['2 leaves gelatine', 'vegan', 'no'],
  ['2 leaves gelatine', 'vegetarian', 'no'],
  ['50 g margarine', 'vegan', 'packet'],
  ['50 g margarine', 'dairy-free', 'packet'],
  ['200 g egg noodles', 'vegan', 'no'],
  ['200 g egg noodles', 'egg-free', 'no'],
  ['12 wonton wrappers', 'egg-free', 'no'],
  ['12 dumpling wrappers', 'vegan', 'packet'],
  ['2 tbsp lard', 'vegetarian', 'no'],
  ['320 g lard pastry', 'vegetarian', 'no'],
  ['400 g refried beans', 'vegetarian', 'packet'],
  ['1 tbsp fish sauce', 'vegetarian', 'no'],
  ['1 tbsp oyster sauce', 'vegetarian', 'no'],
  ['1 tbsp oyster sauce', 'vegan', 'no'],
  ['1 chicken stock cube', 'vegetarian', 'no'],
  ['200 ml chicken stock', 'vegan', 'no'],
  ['200 ml beef stock', 'vegetarian', 'no'],
  ['1 tbsp milk', 'dairy-free', 'no'],
  ['30 g butter', 'dairy-free', 'no'],
  ['2 tbsp ghee', 'dairy-free', 'no'],
  ['2 tbsp ghee', 'vegan', 'no'],
  ['50 g malt extract', 'gluten-free', 'no'],
  ['50 g rolled oats', 'gluten-free', 'no'],
  ['2 tbsp soy sauce', 'gluten-free', 'no'],
  ['2 tbsp tamari', 'gluten-free', 'fits'],
  ['2 tbsp soy sauce', 'soy-free', 'no'],
  ['50 g couscous', 'gluten-free', 'no'],
  ['50 g bulgur', 'gluten-free', 'no'],
  ['100 g seitan', 'gluten-free', 'no'],
  ['50 g semolina', 'gluten-free', 'no'],
  ['60 g breadcrumbs', 'gluten-free', 'no'],
  ['330 ml beer', 'gluten-free', 'no'],
  ['2 tbsp hoisin sauce', 'soy-free', 'no'],
  ['2 tbsp hoisin sauce', 'gluten-free', 'no'],
  ['2 tbsp miso', 'soy-free', 'no'],
  ['100 g tofu', 'soy-free', 'no'],
  ['50 g textured soya mince', 'soy-free', 'no'],
  ['2 tbsp mayonnaise', 'vegan', 'no'],
  ['2 tbsp mayonnaise', 'egg-free', 'no'],
  ['2 tbsp pesto', 'nut-free', 'no'],
  ['2 tbsp pesto', 'vegan', 'no'],
  ['100 g ground almonds', 'nut-free', 'no'],
  ['2 tbsp peanut butter', 'nut-free', 'no'],
  ['50 g cashews', 'nut-free', 'no'],
  ['250 g puff pastry', 'vegan', 'packet'],
  ['250 g puff pastry', 'gluten-free', 'no'],
  ['100 g suet', 'vegetarian', 'no'],
  ['6 anchovies', 'vegetarian', 'no'],
  ['20 g dried shrimp', 'vegetarian', 'no'],
  ['100 g kimchi', 'vegan', 'packet'],
  ['100 g brioche', 'vegan', 'no'],
  ['200 g naan', 'vegan', 'packet'],
  ['100 g milk chocolate', 'dairy-free', 'no'],
  ['100 g dark chocolate', 'dairy-free', 'packet'],
  ['50 g quark', 'vegan', 'no'],
  ['100 g paneer', 'vegan', 'no'],
  ['2 tbsp tzatziki', 'vegan', 'no'],
  ['200 ml buttermilk', 'dairy-free', 'no'],
  ['30 g whey protein', 'vegan', 'no'],
  ['50 g vital wheat gluten', 'gluten-free', 'no'],
  ['100 g spelt flour', 'gluten-free', 'no'],
]

describe('what hides in an ingredient', () => {
  it('is looked for in at least 60 traps', () => expect(TRAPS.length).toBeGreaterThanOrEqual(60))

  it.each(TRAPS)('%s against %s: %s', (text, diet, wanted) => {
    const { recipe } = readRecipe(
      `Test\nMakes 4\nDough\n300 g rice flour\n200 ml water\nFilling\n${text}`,
      foods,
    )
    const line = allLines(recipe).at(-1)!.line
    expect(line.foodId, `"${text}" is read as ${line.name}`).not.toBeNull()
    const verdict = evaluate(recipe, reference).diets.find((one) => one.diet === diet)!
    if (wanted === 'no') {
      expect(verdict.verdict, verdict.toCheck.join()).toBe('does not fit')
      expect(verdict.lineIds).toContain(line.id)
    } else {
      expect(verdict.verdict, verdict.reasons.join()).toBe('fits')
      const asked = verdict.toCheck.some((check) => check.includes('packet, it may hold'))
      expect(asked, verdict.toCheck.join()).toBe(wanted === 'packet')
    }
  })
})

describe('lupin', () => {
  it('is shouted out: people allergic to peanut may react to it', () => {
    const { recipe } = readRecipe('Test\nMakes 4\nDough\n300 g lupin flour\n200 ml water', foods)
    const { allergens, cautions } = evaluate(recipe, reference)
    expect(allergens).toContain('Lupin')
    expect(cautions.map((one) => one.code)).toContain('lupin')
  })

  it('and celery salt names its celery', () => {
    const { recipe } = readRecipe('Test\nMakes 4\nDough\n300 g flour\n1 tsp celery salt', foods)
    expect(evaluate(recipe, reference).allergens).toContain('Celery')
  })
})
