import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import { corpus } from '../../test/readingCorpus'
import { WORST } from '../../test/worstTexts'
import type { Recipe } from '../recipe/document'
import { allLines } from '../recipe/lines'
import { PART_KINDS } from '../recipe/vocabulary'
import { printLine } from '../recipe/printLine'
import { recipeSchema } from '../recipe/schema'
import { outlineOf } from './outline'
import type { Became } from './outlineState'
import { readRecipe } from './readRecipe'
import { tidy } from './tidy'
import { REFINED_DEMAND } from './toFeel'

/** Runs of the fuzz: a short form here, the long one with FUZZ=100000. */
const FUZZ_RUNS = Number(process.env.FUZZ ?? 600)

const shellIds = [
  'plain-flour',
  'strong-flour',
  'wholemeal-flour',
  'butter',
  'sunflower-oil',
  'water',
  'salt',
  'instant-yeast',
] as const
const fillingIds = [
  'onion',
  'leek',
  'mushroom',
  'minced-beef',
  'firm-tofu',
  'feta',
  'cabbage',
  'carrot',
  'potato',
  'cumin',
] as const
const finishIds = ['egg', 'milk', 'sesame-seed'] as const
const NAMES = { shell: 'Dough', filling: 'Filling', finish: 'To finish' } as const

const lines = (ids: readonly string[]) =>
  fc.uniqueArray(fc.record({ id: fc.constantFrom(...ids), grams: fc.integer({ min: 1, max: 900 }) }), {
    selector: (one) => one.id,
    minLength: 1,
    maxLength: 6,
  })
// A dough without a liquid is given one, which is told elsewhere.
const dough = fc
  .tuple(
    lines(shellIds.filter((id) => id !== 'water' && id !== 'plain-flour')),
    fc.integer({ min: 100, max: 900 }),
  )
  .map(([more, grams]) => [{ id: 'plain-flour', grams: 2 * grams }, { id: 'water', grams }, ...more])
const parts = fc.record({ shell: dough, filling: lines(fillingIds), finish: lines(finishIds) })
type Parts = { [K in keyof typeof NAMES]: { id: string; grams: number }[] }

function print(made: Parts, order: readonly (keyof typeof NAMES)[] = ['shell', 'filling', 'finish']): string {
  const part = (kind: keyof typeof NAMES) =>
    [
      NAMES[kind],
      ...made[kind].map(({ id, grams }) => printLine({ grams, name: id, prep: [] }, foods.get(id))),
    ].join('\n')
  return `Test pockets\nMakes 12, serves 4\n\n${order.map(part).join('\n\n')}\n\nMethod\nFill and fold. Bake at 190 °C for 25 minutes.`
}
const heart = (recipe: Recipe) => ({
  pieces: recipe.pieces,
  servings: recipe.servings,
  way: recipe.cooking.way,
  temperatureC: recipe.cooking.temperatureC,
  minutes: recipe.cooking.minutes,
  parts: Object.fromEntries(
    PART_KINDS.map((kind) => [
      kind,
      recipe.parts
        .filter((part) => part.kind === kind)
        .flatMap((part) => part.lines.map((line) => [line.foodId, line.grams])),
    ]),
  ),
  steps: recipe.method.length,
})
const read = (text: string) => readRecipe(text, foods).recipe

describe('laws of reading', () => {
  it('reads a printed recipe back the same', () => {
    fc.assert(
      fc.property(parts, (made) => {
        const recipe = read(print(made))
        for (const kind of ['shell', 'filling', 'finish'] as const)
          expect(
            recipe.parts
              .filter((part) => part.kind === kind)
              .flatMap((part) => part.lines.map((line) => [line.foodId, line.grams])),
          ).toEqual(made[kind].map(({ id, grams }) => [id, grams]))
        expect(recipe).toMatchObject({
          pieces: 12,
          servings: 4,
          cooking: { way: 'bake', temperatureC: 190, minutes: 25 },
        })
      }),
      { numRuns: 120 },
    )
  })

  it('does not mind in which order the parts stand', () => {
    fc.assert(
      fc.property(
        parts,
        fc.shuffledSubarray(['shell', 'filling', 'finish'] as const, { minLength: 3 }),
        (made, order) => {
          expect(heart(read(print(made, order)))).toEqual(heart(read(print(made))))
        },
      ),
      { numRuns: 80 },
    )
  })

  it.each([
    ['bullets', (text: string) => text.replace(/^(\d+ g .*)$/gm, '• $1')],
    ['dashes', (text: string) => text.replace(/^(\d+ g .*)$/gm, '- $1')],
    ['boxes', (text: string) => text.replace(/^(\d+ g .*)$/gm, '▢ $1')],
    ['blanks at both ends', (text: string) => text.replace(/^(.*)$/gm, '   $1\t ')],
    ['Windows line ends', (text: string) => text.replace(/\n/g, '\r\n')],
    [
      'capitals in headings',
      (text: string) => text.replace(/^(Dough|Filling|To finish|Method)$/gm, (word) => word.toUpperCase()),
    ],
    ['colons', (text: string) => text.replace(/^(Dough|Filling|To finish|Method)$/gm, '$1:')],
    ['markdown', (text: string) => text.replace(/^(Dough|Filling|To finish|Method)$/gm, '## $1')],
    ['pictures', (text: string) => text.replace(/^(\d+ g .*)$/gm, '🥟 $1')],
    ['small letters', (text: string) => text.toLowerCase()],
    ['unbreakable blanks', (text: string) => text.replace(/ g /g, '\u00a0g\u00a0')],
  ])('does not mind %s', (_, change) => {
    fc.assert(
      fc.property(parts, (made) => {
        const text = print(made)
        expect(heart(read(change(text)))).toEqual(heart(read(text)))
      }),
      { numRuns: 25 },
    )
  })

  it('gives the same for the same text, and nothing of one text to another', () => {
    const all = corpus().slice(0, 20)
    const first = all.map((one) => JSON.stringify(read(one.text)))
    expect(all.map((one) => JSON.stringify(read(one.text)))).toEqual(first)
  })
})

/** What the document keeps of a text, wherever it went. */
function keptOf(text: string): string {
  const { recipe } = readRecipe(text, foods)
  return [
    recipe.title,
    ...recipe.method,
    ...recipe.notes.map((note) => note.text),
    ...recipe.parts.map((part) => part.name),
    ...allLines(recipe).map(({ line }) => line.raw),
  ].join(' ')
}

const SAID = new Set<Became>(['title', 'heading', 'ingredient', 'step', 'remark'])

describe('whatever is done to a text', () => {
  const texts = corpus().map((one) => one.text)
  // What slips from a hand that pastes and types.
  const slip = fc.record({
    text: fc.integer({ min: 0, max: texts.length - 1 }),
    edits: fc.array(
      fc.record({
        at: fc.double({ min: 0, max: 1, noNaN: true }),
        length: fc.integer({ min: 0, max: 40 }),
        put: fc.oneof(
          fc.constantFrom(
            '\n',
            '\n\n',
            ' ',
            ':',
            ',',
            '(',
            ')',
            '1/0',
            '½',
            '½ cup',
            '180C',
            'Dough:',
            'Filling',
            '12 balls',
            'salt',
            '\t',
            '|',
            '- ',
            '…',
            '🥟',
            'NaN',
            '-5 g',
            '1e9 kg',
            '99999999999 g',
            'and',
            'or',
            'each',
            '"',
            '\\',
            '<b>',
            '\u0000',
          ),
          fc.string({ maxLength: 12 }),
        ),
      }),
      { minLength: 1, maxLength: 5 },
    ),
  })
  const slipped = ({ text, edits }: { text: number; edits: { at: number; length: number; put: string }[] }) =>
    edits.reduce((sum, { at, length, put }) => {
      const from = Math.floor(at * sum.length)
      return sum.slice(0, from) + put + sum.slice(from + length)
    }, texts[text]!)

  it(
    'throws nothing, keeps to the schema, and weighs every line with a number or not at all',
    { timeout: 3_600_000 },
    () => {
      let worst = 0
      fc.assert(
        fc.property(slip, (wish) => {
          const text = slipped(wish)
          const start = performance.now()
          const { recipe } = readRecipe(text, foods)
          worst = Math.max(worst, performance.now() - start)
          const parsed = recipeSchema.safeParse(recipe)
          expect(parsed.success, JSON.stringify(parsed.error?.issues?.slice(0, 2))).toBe(true)
          for (const { line } of allLines(recipe))
            if (line.grams !== null) expect(Number.isFinite(line.grams) && line.grams >= 0).toBe(true)
        }),
        { numRuns: FUZZ_RUNS },
      )
      if (process.env.FUZZ)
        console.info(`${FUZZ_RUNS} edits, the slowest reading took ${worst.toFixed(1)} ms`)
    },
  )

  it(
    'reads rows of one recipe among those of another, whatever they say there',
    { timeout: 3_600_000 },
    () => {
      const rows = texts.flatMap((text) => text.split('\n')).filter((row) => row.trim().length > 3)
      const one = fc.record({ row: fc.nat(rows.length - 1), at: fc.nat(60), instead: fc.boolean() })
      fc.assert(
        fc.property(
          fc.nat(texts.length - 1),
          fc.array(one, { minLength: 1, maxLength: 6 }),
          (text, others) => {
            const mixed = texts[text]!.split('\n')
            for (const { row, at, instead } of others)
              mixed.splice(at % (mixed.length + 1), instead ? 1 : 0, rows[row]!)
            const { recipe } = readRecipe(mixed.join('\n'), foods)
            expect(recipeSchema.safeParse(recipe).success).toBe(true)
          },
        ),
        { numRuns: FUZZ_RUNS },
      )
    },
  )

  it('loses no word that is put in', { timeout: 3_600_000 }, () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: texts.length - 1 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (at, where) => {
          const rows = texts[at]!.split('\n')
          // What says nothing of the dish is left out, and shown to be; everything else has to be in the document.
          const told = outlineOf(tidy(texts[at]!), foods).became
          const said = rows.map((_, row) => row).filter((row) => SAID.has(told.get(row) ?? 'left-out'))
          const row = said[Math.floor(where * (said.length - 1))]!
          rows[row] = `${rows[row]} zzqx`
          expect(keptOf(rows.join('\n')), rows[row]).toContain('zzqx')
        },
      ),
      { numRuns: FUZZ_RUNS },
    )
  })
})

describe('worst cases of 30,000 characters', () => {
  // On each a pattern that backtracks would run for minutes, past the time that a test is given; how long they take
  // is measured by the bench.
  it.each(WORST)('%s again and again', (_, text) => {
    const { recipe } = readRecipe(`Pockets\n${text}`, foods)
    expect(recipe.title).toBe('Pockets')
    expect(recipeSchema.safeParse(recipe).success).toBe(true)
  })
})

it('reckons water to feel from the flour of the food table', () => {
  expect(foods.get('plain-flour')?.waterDemand).toBe(REFINED_DEMAND)
})
