import type { Foods } from '../food/food'
import type { Recipe } from '../recipe/document'
import { allLines } from '../recipe/lines'
import { COOKING_WAYS, type CookingWay, type PartKind } from '../recipe/vocabulary'
import { movePartLine, setCount, setPartInto, setPartKind, setWay } from '../recipe/edit'
import { setFood } from './rewrite'

/** What an answer does to the document. */
export type Answer =
  | { do: 'way'; way: CookingWay }
  | { do: 'part-kind'; partId: string; kind: PartKind }
  | { do: 'part-into'; partId: string; into: string }
  | { do: 'count'; of: 'pieces' | 'servings'; count: number }
  | { do: 'move-line'; lineId: string; partId: string }
  | { do: 'food'; lineId: string; foodId: string }
  | { do: 'keep' }

export interface Question {
  /** Code of the note that it settles. */
  code: string
  /** The line or part it is about; null for the whole recipe. */
  about: string | null
  text: string
  options: { label: string; answer: Answer }[]
  /** A number may be typed instead: what of. */
  asks: 'pieces' | 'servings' | 'grams' | null
}

const WAY_LABELS: Readonly<Record<CookingWay, string>> = {
  bake: 'Baked',
  'deep-fry': 'Deep-fried',
  'shallow-fry': 'Shallow-fried',
  griddle: 'On a griddle',
  steam: 'Steamed',
  boil: 'Boiled',
  'brown-and-steam': 'Browned, then steamed in the pan',
}

/**
 * What a reading leaves for the cook to say, most consequential first. Computed from the document alone, so that a
 * question goes when its answer is in, wherever it was given.
 */
export function questionsAbout(recipe: Recipe, foods: Foods): Question[] {
  const asked: (Question & { weight: number })[] = []
  const ask = (weight: number, question: Question) => asked.push({ ...question, weight })
  const noted = (code: string) => recipe.notes.find((note) => note.code === code)
  const hosts = recipe.parts.filter((part) => part.into === null && part.lines.length > 0)

  for (const part of recipe.parts) {
    if (!part.unsure) continue
    const fillings = hosts.filter((host) => host.kind === 'filling' && host.id !== part.id)
    ask(90, {
      code: 'part-unsure',
      about: part.id,
      text: `What is “${part.name}”?`,
      asks: null,
      options: [
        ...fillings.map((host) => ({
          label: `Goes into ${host.name || 'the filling'}`,
          answer: { do: 'part-into' as const, partId: part.id, into: host.id },
        })),
        { label: 'A filling of its own', answer: { do: 'part-kind', partId: part.id, kind: 'filling' } },
        { label: 'The dough', answer: { do: 'part-kind', partId: part.id, kind: 'shell' } },
        { label: 'Goes on top', answer: { do: 'part-kind', partId: part.id, kind: 'finish' } },
        { label: 'Served beside', answer: { do: 'part-kind', partId: part.id, kind: 'dip' } },
      ],
    })
  }
  const liquid = noted('liquid-borrowed')
  if (liquid) {
    const shell = hosts.find((part) => part.kind === 'shell')
    const filling = hosts.find((part) => part.kind === 'filling')
    const line = shell?.lines.find((one) => one.raw && liquid.text.includes(`"${one.raw}"`))
    if (shell && filling && line)
      ask(85, {
        code: 'liquid-borrowed',
        about: line.id,
        text: `Where does “${line.raw}” go?`,
        asks: null,
        options: [
          { label: 'Into the dough', answer: { do: 'keep' } },
          { label: 'Into the filling', answer: { do: 'move-line', lineId: line.id, partId: filling.id } },
        ],
      })
  }
  if (noted('way-assumed') || noted('fry-unclear')) {
    const code = noted('way-assumed') ? 'way-assumed' : 'fry-unclear'
    const ways: readonly CookingWay[] = code === 'fry-unclear' ? ['deep-fry', 'shallow-fry'] : COOKING_WAYS
    ask(code === 'way-assumed' ? 95 : 80, {
      code,
      about: null,
      text: code === 'fry-unclear' ? 'Fried in how much fat?' : 'How are the pieces cooked?',
      asks: null,
      options: ways.map((way) => ({ label: WAY_LABELS[way], answer: { do: 'way', way } })),
    })
  }
  if (!recipe.piecesStated)
    ask(70, {
      code: 'pieces-assumed',
      about: null,
      text: `How many pieces does it make? ${recipe.pieces} is a guess`,
      asks: 'pieces',
      options: [
        { label: `${recipe.pieces} is right`, answer: { do: 'count', of: 'pieces', count: recipe.pieces } },
      ],
    })
  const differ = noted('pieces-differ')
  if (differ?.level === 'check')
    ask(72, {
      code: 'pieces-differ',
      about: null,
      text: `How many pieces? ${differ.text}`,
      asks: 'pieces',
      options: [{ label: `${recipe.pieces}`, answer: { do: 'count', of: 'pieces', count: recipe.pieces } }],
    })
  if (!recipe.servingsStated)
    ask(40, {
      code: 'servings-assumed',
      about: null,
      text: `How many does it serve? ${recipe.servings} is a guess`,
      asks: 'servings',
      options: [
        {
          label: `${recipe.servings} is right`,
          answer: { do: 'count', of: 'servings', count: recipe.servings },
        },
      ],
    })
  for (const { part, line } of allLines(recipe)) {
    if (line.componentId) continue
    if (!line.foodId)
      ask(part.kind === 'shell' || part.kind === 'filling' ? 78 : 50, {
        code: 'unknown-food',
        about: line.id,
        text: `What is “${line.name || line.raw}”?`,
        asks: null,
        options: [],
      })
    else if (line.grams === null)
      ask(60, {
        code: 'no-amount',
        about: line.id,
        text: `How much “${line.name}” goes in?`,
        asks: 'grams',
        options: [],
      })
    else if (line.toFeel)
      ask(45, {
        code: 'to-feel',
        about: line.id,
        text: `How much ${foods.get(line.foodId)?.name.toLowerCase() ?? line.name} did you need? ${line.toFeel.lowGrams} to ${line.toFeel.highGrams} g is likely`,
        asks: 'grams',
        options: [],
      })
  }
  return asked.sort((a, b) => b.weight - a.weight).map(({ weight: _, ...question }) => question)
}

const settle = (recipe: Recipe, code: string): Recipe => ({
  ...recipe,
  notes: recipe.notes.filter((note) => note.code !== code),
})

/** The recipe with a question answered; its note goes. */
export function answerQuestion(recipe: Recipe, question: Question, answer: Answer, foods: Foods): Recipe {
  const settled = settle(recipe, question.code)
  switch (answer.do) {
    case 'way':
      return setWay(settled, answer.way)
    case 'part-kind':
      return setPartKind(settled, answer.partId, answer.kind)
    case 'part-into':
      return setPartInto(settled, answer.partId, answer.into)
    case 'count':
      return setCount(settled, answer.of, answer.count)
    case 'move-line':
      return movePartLine(settled, answer.lineId, answer.partId)
    case 'food':
      return setFood(settled, answer.lineId, answer.foodId, foods)
    case 'keep':
      return settled
  }
}
