import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { reference } from '../../../test/helpers'
import { adapt, type Adaptation } from '../adapt'
import { isFlour } from '../../food/groups'
import { readRecipe } from '../../reading/readRecipe'
import type { Recipe } from '../../recipe/document'
import { allLines, foodOf } from '../../recipe/lines'
import type { PartKind } from '../../recipe/vocabulary'

// What a good cook would and would not do, judged apart from the code that decides: `judged.txt` holds the recipes,
// and for each diet what is expected, each with its reason behind a hash. Common practice, no source.

interface Expected {
  rule: string
  reason: string
}
interface Judged {
  name: string
  recipe: Recipe
  diets: string[]
  expected: Expected[]
}

const judged: Judged[] = readFileSync(new URL('judged.txt', import.meta.url), 'utf8')
  .split(/^### /m)
  .filter((piece) => piece.trim())
  .flatMap((piece): Judged[] => {
    const [head, ...rest] = piece.split('\n')
    const [text, ...asked] = rest.join('\n').split(/^=== /m)
    const { recipe } = readRecipe(text!, reference.foods)
    return asked.map((one): Judged => {
      const [diets, ...rules] = one.trim().split('\n')
      return {
        name: head!.trim(),
        recipe,
        diets: diets!.split(',').map((id) => id.trim()),
        expected: rules.map((rule): Expected => {
          const [own, reason] = rule.split(' # ')
          if (!reason) throw new Error(`${head}: "${rule}" has no reason`)
          return { rule: own!.trim(), reason: reason.trim() }
        }),
      }
    })
  })

const foodsIn = (recipe: Recipe, part: PartKind | null) =>
  allLines(recipe).flatMap(({ part: own, line }) => {
    const food = foodOf(line, reference.foods)
    return food && (part === null || own.kind === part) ? [{ food, line, part: own }] : []
  })
const isOne = (food: { id: string; group: string; kind: string }, name: string) =>
  name.split('|').some((one) => one === food.id || one === food.kind || one === `group:${food.group}`)
const netWeight = (recipe: Recipe, name: string) =>
  foodsIn(recipe, null).reduce(
    (sum, { food, line }) => sum + (isOne(food, name) ? (line.grams ?? 0) + line.waterChangeGrams : 0),
    0,
  )

/** Whether one rule holds, and what was found. */
function holds(rule: string, before: Recipe, made: Adaptation): [boolean, string] {
  const [negated, text] = rule.startsWith('not ') ? [true, rule.slice(4)] : [false, rule]
  const [first, ...words] = text.split(' ')
  const after = made.recipe
  const say = (right: boolean, found: string): [boolean, string] => [negated ? !right : right, found]
  const shell = foodsIn(after, 'shell')
  const flours = shell.filter(({ food }) => isFlour(food)).reduce((sum, { line }) => sum + line.grams!, 0)
  const list = (part: PartKind | null) =>
    foodsIn(after, part)
      .map(({ food, line }) => `${food.id} ${line.grams}`)
      .join(', ')
  const per = (one: Adaptation['before']) => one.perPiece.netCarbohydrateG
  switch (first) {
    case 'answers':
      return say(!made.conflict.length && !made.unmet.length, made.conflict.join() + made.compromise)
    case 'nothing':
      return say(made.changes.filter(({ kind }) => kind !== 'check').length === 0, list(null))
    case 'way':
      return say(after.cooking.way === words[0], after.cooking.way)
    case 'waters':
      return say(made.evaluation.dough.hydrationPct! > made.before.dough.hydrationPct! + 0.5, list('shell'))
    case 'scalded':
    case 'has':
      return say(
        foodsIn(after, null).some(({ food }) => isOne(food, words[0]!)),
        list(null),
      )
    case 'says':
      return say(
        after.notes.some(
          ({ code, text: note }) => code === 'handling' && new RegExp(words.join(' '), 'i').test(note),
        ),
        after.notes.map((note) => note.text).join(' / '),
      )
    case 'keeps':
      return say(made.evaluation.diets.find(({ diet }) => diet === words[0])!.fits, list(null))
    case 'carb': {
      const share = per(made.evaluation) / per(made.before)
      return say(share >= Number(words[0]) && share <= Number(words[1]), share.toFixed(2))
    }
    case 'gluten': {
      const gluten = shell
        .filter(({ food }) => food.group === 'gluten')
        .reduce((sum, { line }) => sum + line.grams!, 0)
      return say(
        flours === 0 || gluten / flours <= Number(words[0]),
        `${(gluten / flours).toFixed(2)} of the flours`,
      )
    }
    case 'line': {
      const share = netWeight(after, words[0]!) / netWeight(before, words[0]!)
      return say(share >= Number(words[1]) && share <= Number(words[2]), share.toFixed(2))
    }
    case 'main': {
      const was = netWeight(before, words[0]!)
      return say(
        netWeight(after, words[0]!) >= Number(words[1]) * was,
        `${netWeight(after, words[0]!)} of ${was} g`,
      )
    }
    default: {
      const part = first as PartKind
      const [verb, name] = words
      if (verb === 'scalded')
        return say(
          shell.some(({ line }) => line.prep.includes('scalded')),
          list('shell'),
        )
      const there = foodsIn(after, part).some(({ food }) => isOne(food, name!))
      if (verb === 'has') return say(there, list(part))
      if (verb === 'not') return say(!there, list(part))
      throw new Error(`"${rule}" is not understood`)
    }
  }
}

describe('a panel of what a good cook would do', () => {
  it('holds eighty and more judgements of a recipe and diets', () => {
    expect(judged.length).toBeGreaterThanOrEqual(80)
    expect(judged.reduce((sum, { expected }) => sum + expected.length, 0)).toBeGreaterThan(160)
  })

  it.each(judged.map((one) => [one.name, one.diets.join(', '), one] as const))('%s, %s', (_, __, one) => {
    // What is judged is the answer, not how far a busy machine got.
    const made = adapt(one.recipe, one.diets, reference, { timeoutMilliseconds: 5000 })
    const wrong = one.expected.flatMap(({ rule, reason }) => {
      const [right, found] = holds(rule, one.recipe, made)
      return right ? [] : [`${rule} (${reason}); found: ${found}`]
    })
    expect(wrong).toEqual([])
  })
})
