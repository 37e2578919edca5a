import type { Foods } from '../food/food'
import { tooLong } from '../reading/limits'
import { readRecipe, report as linesOf, type IntakeLine, type Unresolved } from '../reading/readRecipe'
import { withIds, type Recipe } from '../recipe/document'
import { RecipeProblem } from '../recipe/problem'
import { recipeSchema } from '../recipe/schema'
import { recipesOfHtml, recipesOfJsonLd, type PageRecipe } from './htmlRecipe'

/** What comes in: a page, a JSON-LD document, or plain text. */
export interface ToImport {
  html?: string
  jsonld?: string
  text?: string
}

export interface Imported {
  recipe: Recipe
  lines: IntakeLine[]
  unresolved: Unresolved[]
  warnings: string[]
}

/** What was given is none of the forms, or holds nothing that can be read. */
const wrong = (field: keyof ToImport, message: string) => new RecipeProblem([{ field, message }])

/** "12" alone is how many it makes; "12 servings" says it itself. */
const yieldLine = (text: string) =>
  /^\d{1,3}$/.test(text)
    ? `Makes ${text}`
    : /^(?:makes|serves|yields?|for)\b/i.test(text)
      ? text
      : `Makes ${text}`

/** A page's recipe as a text that the reader reads like any other. */
export function textOf(page: PageRecipe): string {
  if (page.text) return page.text
  const steps: string[] = []
  let under = ''
  for (const step of page.steps) {
    if (step.under && step.under !== under) steps.push('', `${step.under.replace(/:$/, '')}:`)
    under = step.under
    steps.push(step.text)
  }
  // Of several ways to say how many the longest says most: "12" and "12 buns".
  const yields = [...page.yields].sort((a, b) => b.length - a.length).slice(0, 1)
  return [page.title, ...yields.map(yieldLine), '', ...page.ingredients, '', 'Method', ...steps].join('\n')
}

/** Minutes as a document holds them are minutes of the pieces: those of a page are told where they differ. */
function timesOf({ minutes }: PageRecipe, recipe: Recipe): Recipe {
  const facts = [...recipe.facts]
  const add = (kind: 'prep-minutes' | 'total-minutes', value: number | null) => {
    if (value !== null && value > 0 && value <= 2880 && !facts.some((fact) => fact.kind === kind))
      facts.push({ kind, low: value, high: value, partId: null, text: 'as the page states it' })
  }
  add('prep-minutes', minutes.prep)
  add('total-minutes', minutes.total)
  return { ...recipe, facts }
}

/**
 * Reads recipes out of a page, a JSON-LD document or a text into documents. Nothing is stored and nothing is fetched.
 *
 * @param given one of the three; html before jsonld before text where several are there
 * @throws RecipeProblem for a JSON-LD text that is no JSON or has no recipe in it, and where all is too long to be read
 */
export function importRecipes(given: ToImport, foods: Foods): { recipes: Imported[]; report: string[] } {
  const report: string[] = []
  let pages: PageRecipe[]
  if (given.html !== undefined) {
    const found = recipesOfHtml(given.html)
    pages = found.recipes
    report.push(...found.warnings)
  } else if (given.jsonld !== undefined) {
    let value: unknown
    try {
      value = JSON.parse(given.jsonld)
    } catch {
      throw wrong('jsonld', 'this is no JSON: a JSON-LD document is expected')
    }
    const own = recipeSchema.safeParse(value)
    if (own.success) {
      const recipe = withIds(own.data)
      return {
        recipes: [{ recipe, ...linesOf(recipe, foods), warnings: [] }],
        report: ['1 recipe taken as it is: our own document'],
      }
    }
    pages = recipesOfJsonLd(given.jsonld)
    if (!pages.length) throw wrong('jsonld', 'there is no object of type Recipe in it')
  } else {
    const { recipe, lines, unresolved } = readRecipe(given.text ?? '', foods)
    return { recipes: [{ recipe, lines, unresolved, warnings: [] }], report: ['1 recipe read from the text'] }
  }
  const recipes: Imported[] = []
  const endless: string[] = []
  for (const page of pages) {
    const text = textOf(page)
    const trouble = tooLong(text)
    if (trouble) {
      endless.push(`"${page.title.slice(0, 80)}" was not read: ${trouble}`)
      continue
    }
    const { recipe, lines, unresolved } = readRecipe(text, foods)
    const titled = page.title ? { ...recipe, title: page.title.slice(0, 200) } : recipe
    recipes.push({
      recipe: timesOf(page, titled),
      lines,
      unresolved,
      warnings: page.leftOut.length ? [`Not kept: ${page.leftOut.join(', ')}`] : [],
    })
  }
  if (!recipes.length) throw wrong(given.html === undefined ? 'jsonld' : 'html', endless.join('; '))
  report.push(...endless)
  const where = { 'json-ld': 'JSON-LD', microdata: 'microdata', text: 'the readable text' }[pages[0]!.from]
  report.unshift(`${recipes.length} ${recipes.length === 1 ? 'recipe' : 'recipes'} read from ${where}`)
  return { recipes, report }
}
