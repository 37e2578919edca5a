import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import type { Part, Recipe } from '../recipe/document'
import { readRecipe } from './readRecipe'

// One sentence at a time, in a recipe that is plain otherwise: what the sentence says is all that can go wrong.

const sections = new Map(
  readFileSync(new URL('./phrases.txt', import.meta.url), 'utf8')
    .split(/^## /m)
    .slice(1)
    .map((section) => {
      const [name, ...rows] = section.split('\n')
      return [name!.trim(), rows.filter(Boolean).map((row) => row.split(' => ') as [string, string])]
    }),
)

const DOUGH = 'Dough\n300 g flour\n160 ml water\n1 tsp salt\n'
const FILLINGS: Readonly<Record<string, string>> = {
  leeks: '300 g leeks\n1 onion\n100 g cheddar\n1 tbsp butter',
  mince:
    '500 g beef mince\n1 onion\n2 cloves garlic\n1 tsp cumin\n2 tbsp tomato puree\n100 ml stock\n1 tbsp oil',
  potatoes:
    '500 g potatoes\n100 g peas\n1 green chilli\n1 tsp cumin seeds\n2 tbsp oil\n1/2 tsp salt\nhandful coriander',
}
const read = (head: string, filling: string, method: string): Recipe =>
  readRecipe(
    `${head}\n\n${DOUGH}\nFilling\n${filling}\n\nMethod\nMix the dough and rest 30 minutes. ${method}`,
    foods,
  ).recipe

/** Whether a number is the one that was written down; "-" asks for none. */
const holds = (value: number | null | undefined, wanted: string) =>
  wanted === '-' || (value != null && Math.abs(value - Number(wanted)) <= Math.max(1, 0.06 * Number(wanted)))

describe('sentences that say how many', () => {
  it.each(sections.get('pieces')!)('%s', (sentence, pieces) => {
    const own = read('Leek pockets', FILLINGS.leeks!, `${sentence} Bake at 200C for 20 minutes.`)
    expect(own.pieces).toBe(Number(pieces))
    expect(own.piecesStated).toBe(true)
  })
})

describe('sentences that say how hot and how long', () => {
  it.each(sections.get('heat')!)('%s', (sentence, wanted) => {
    const { cooking } = read(
      'Leek pockets\nMakes 10',
      FILLINGS.leeks!,
      `Sweat the leeks and onion in the butter, cool, add the cheese. Divide the dough in 10, roll, fill and seal. ${sentence}`,
    )
    const [first, second] = wanted.split(' then ').map((stage) => stage.split(' '))
    const { way, temperatureC, minutes, andThen } = cooking
    for (const [stage, got] of [
      [first!, { way, temperatureC, minutes }],
      [second, andThen],
    ] as const) {
      expect(got?.way).toBe(stage?.[0])
      if (!stage) continue
      expect(holds(got!.temperatureC, stage[1]!), `at ${got!.temperatureC}`).toBe(true)
      expect(holds(got!.minutes, stage[2]!), `for ${got!.minutes}`).toBe(true)
    }
  })
})

describe('sentences that say how a filling is cooked', () => {
  const rows = sections.get('filling')!.map(([said, wanted]) => [...said.split(' | '), wanted])
  it.each(rows as [string, string, string][])('%s: %s', (filling, sentence, wanted) => {
    const own = read(
      'Pockets\nMakes 10',
      FILLINGS[filling]!,
      `${sentence} Divide the dough in 10, roll, fill and seal. Bake at 200C for 20 minutes.`,
    )
    const parts = own.parts.filter(({ kind }) => kind === 'filling')
    expect(parts).toHaveLength(1)
    const [part] = parts as [Part]
    const [head, ...lines] = wanted.split('; ')
    const [way, ...more] = head!.split(' ')
    if (way === 'any') expect(part.cookedBy).not.toBeNull()
    else expect(part.cookedBy ?? 'none').toBe(way)
    for (const one of more)
      if (one === 'dry') expect(part.untilDry).toBe(true)
      else expect(holds(part.cookedMinutes, one), `${part.cookedMinutes} min`).toBe(true)
    for (const [state, ...ids] of lines.map((line) => line.split(' ')))
      for (const id of ids) {
        const line = part.lines.find(({ foodId }) => foodId === id)!
        const got = line.cookedBy ?? part.cookedBy ?? 'none'
        // A line that is said to be raw and one of which nothing is said are raw alike.
        expect(state === 'none' && got === 'raw' ? 'none' : got, id).toBe(state)
      }
  })
})

describe('lines and sentences that say what goes on top, beside and into the pan', () => {
  const rows = sections.get('top and pan')!.map(([said, wanted]) => [...said.split(' | '), wanted])
  it.each(rows as [string, string, string][])('%s: %s', (line, sentence, wanted) => {
    const own = read(
      'Pockets\nMakes 10',
      `300 g leeks\n1 onion\n100 g cheddar\n\n${line}`,
      `Mix leeks, onion and cheese raw. Divide the dough in 10, roll, fill and seal. ${sentence}`,
    )
    const [kinds, ids] = wanted.split(': ')
    const there = own.parts
      .filter(({ kind }) => kinds!.split('|').includes(kind))
      .flatMap(({ lines }) => lines.map(({ foodId }) => foodId ?? ''))
    for (const id of ids!.split(' '))
      expect(there.some((one) => one === id || (id === 'oil' && one.includes('oil')))).toBe(true)
    expect(own.parts.filter(({ kind }) => kind === 'filling').flatMap(({ lines }) => lines)).toHaveLength(3)
  })
})

describe('rows below a title that count', () => {
  it.each(sections.get('heads')!)('%s', (head, wanted) => {
    const own = read(
      `Leek pockets\n${head}`,
      FILLINGS.leeks!,
      'Sweat the filling. Roll out the dough, fill and seal. Bake at 200C for 20 minutes.',
    )
    const [pieces, servings] = wanted.split(' ')
    if (pieces !== '-') expect([own.pieces, own.piecesStated]).toEqual([Number(pieces), true])
    expect(own.servingsStated).toBe(servings !== '-')
    if (servings !== '-') expect(own.servings).toBe(Number(servings))
    expect(own.title).toBe('Leek pockets')
    expect(own.parts.flatMap(({ lines }) => lines)).toHaveLength(7)
  })
})

describe('rows without a heading', () => {
  const list = `${DOUGH}\nFilling\n${FILLINGS.leeks}`
  it.each(sections.get('rows that are work')!)('work: %s', (row) => {
    for (const text of [
      `Pockets\nMakes 10\n\n${list}\n\nmix dough, rest 30 min\n${row}\nfill and bake at 200C for 20 min`,
      `Pockets\nMakes 10\n\n${list.replace(/^(?:Dough|Filling)\n/gm, '')}\n\nMix the dough and rest.\n${row}`,
    ]) {
      const { recipe } = readRecipe(text, foods)
      const listed = recipe.parts.flatMap(({ lines }) => lines).filter(({ raw }) => raw)
      expect(listed.map(({ raw }) => raw).filter((raw) => !list.includes(raw))).toEqual([])
    }
  })
  it.each(sections.get('rows that are lines')!)('a line: %s', (row) => {
    for (const [others, text] of [
      [5, `${DOUGH}\nFilling\n300 g leeks\n1 onion\n${row}\n\nmix dough, rest 30 min.`],
      [3, `300 g flour\n160 ml water\n\n300 g leeks\n${row}\n\nMix the dough and rest.`],
    ] as const) {
      const { recipe } = readRecipe(`Pockets\nMakes 10\n\n${text} Fill and bake at 200C for 20 min`, foods)
      expect(recipe.method.join(' ')).not.toContain(row)
      const listed = recipe.parts.flatMap(({ lines }) => lines).filter(({ raw }) => raw)
      expect(listed.length).toBeGreaterThan(others)
    }
  })
})

describe('lines that stand for more than one', () => {
  it.each(sections.get('lines')!)('%s', (line, wanted) => {
    const own = read(
      'Pockets\nMakes 10',
      `300 g leeks\n${line}`,
      'Roll out, fill, seal. Bake at 200C for 20 minutes.',
    )
    const got = own.parts
      .filter(({ kind }) => kind !== 'shell')
      .flatMap(({ lines }) => lines)
      .filter(({ foodId }) => foodId !== 'leek')
    const expected = wanted.split(', ').map((one) => one.split(' '))
    expect(got.map(({ foodId }) => foodId).sort()).toEqual(expected.map(([id]) => id).sort())
    for (const [id, grams] of expected)
      expect(
        got.filter(({ foodId }) => foodId === id).some((one) => Math.abs(one.grams! - Number(grams)) <= 1),
      ).toBe(true)
  })
})

describe('numbers that count no pieces', () => {
  it.each(['Rest the dough, about 30.', 'Chill it - about 20.'])('%s', (sentence) => {
    const own = read(
      'Leek pockets',
      FILLINGS.leeks!,
      `${sentence} Divide into 12, fill. Bake at 200C for 20 minutes.`,
    )
    expect(own.pieces).toBe(12)
  })
})
