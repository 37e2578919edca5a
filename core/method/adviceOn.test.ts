import { describe, expect, it } from 'vitest'
import { foods, reference, recipeOf } from '../../test/helpers'
import { adapt } from '../adaptation/adapt'
import { evaluate } from '../evaluation/evaluate'
import type { Recipe } from '../recipe/document'
import { swapLine } from '../substitution/swapLine'
import { adviceOn, withAdvice } from './advice'

const pork: Recipe = {
  ...recipeOf({
    shell: [
      ['plain-flour', 300],
      ['water', 150],
    ],
    filling: [
      ['minced-pork', 300],
      ['onion', 100],
    ],
  }),
  method: ['Fry the pork until dry.', 'Fill and fold.'],
}
const swap = (recipe: Recipe, part: number, line: number, id: string) =>
  swapLine(
    recipe,
    recipe.parts[part]!.lines[line]!.id,
    reference.swaps.find((one) => one.id === id)!,
    foods,
  )!.recipe
const texts = (recipe: Recipe) => adviceOn(recipe, reference, null).map((note) => note.text)

describe('advice on a swapped recipe', () => {
  const soya = swap(pork, 1, 0, 'mince-soya')

  it('names the step that speaks of what is gone, and how the stand-in is handled', () => {
    expect(texts(pork)).toEqual([])
    expect(texts(soya).join('\n')).toMatch(
      /Step 1 says "pork": here it is Textured soy protein, dry \+ Sunflower oil/,
    )
    expect(texts(soya).join('\n')).toMatch(/Soak in hot stock 15 min/)
  })

  it('tells two things apart that a step calls by one word', () => {
    const both = recipeOf({
      shell: [
        ['plain-flour', 300],
        ['butter', 150],
        ['water', 60],
      ],
      filling: [
        ['butter', 20],
        ['leek', 300],
      ],
    })
    const made = { ...adapt(both, ['vegan'], reference).recipe, method: ['Rub in the butter.'] }
    expect(texts(made)[0]).toMatch(
      /^Step 1 says "butter": here it is Plant-based baking block in the dough, .+ in the filling$/,
    )
  })

  it('follows a second swap and forgets the first', () => {
    const again = texts(swap(soya, 1, 0, 'soyamince-pea')).join()
    expect(again).toMatch(/here it is Plant mince/)
    expect(again).not.toMatch(/Soak in hot stock/)
  })

  it('says how what is home-made is made, in the grams that are needed', () => {
    const made = swap(pork, 1, 0, 'mince-soya-home')
    expect(texts(made).join('\n')).toMatch(
      /soaked and fried: \d+ g textured soy protein, dry, \d+ g vegetable stock/,
    )
  })

  it('names the step that fries what is baked now', () => {
    const line = {
      ...pork.parts[1]!.lines[1]!,
      cameFrom: { ...soya.parts[1]!.lines[0]!.cameFrom!, swapId: 'cooking' },
    }
    const baked: Recipe = {
      ...pork,
      cooking: { ...pork.cooking, way: 'bake', temperatureC: 190, minutes: 20 },
      method: ['Fry the onions until soft.', 'Deep-fry at 175 °C for 4 minutes.'],
      parts: pork.parts.map((part, at) => (at ? { ...part, lines: [part.lines[0]!, line] } : part)),
    }
    expect(texts(baked)).toContain('Step 2 says "deep-fry": bake at 190 °C, 20 min instead')
    expect(texts(baked).join()).not.toContain('Step 1')
  })

  it('takes the place of earlier advice and leaves other notes', () => {
    const noted = { ...soya, notes: [{ code: 'intake', level: 'note' as const, text: 'From a card' }] }
    const once = withAdvice(noted, adviceOn(noted, reference, null))
    const twice = withAdvice(once, adviceOn(once, reference, null))
    expect(once.notes[0]!.text).toBe('From a card')
    expect(once.notes.length).toBeGreaterThan(2)
    expect(twice.notes).toEqual(once.notes)
  })

  it('speaks of the dough in numbers when the figures before and after are given', () => {
    const whole: Recipe = {
      ...pork,
      parts: pork.parts.map((part, at) =>
        at
          ? part
          : {
              ...part,
              lines: part.lines.map((line, n) => (n ? line : { ...line, foodId: 'wholemeal-flour' })),
            },
      ),
    }
    const figures = { before: evaluate(pork, reference), after: evaluate(whole, reference) }
    expect(
      adviceOn(whole, reference, figures)
        .map((note) => note.text)
        .join(),
    ).toMatch(/knead 10 min instead of 6/)
  })
})
