import { csvFormat } from 'd3-dsv'
import type { NutritionInformation, PropertyValue, Recipe as SchemaRecipe, WithContext } from 'schema-dts'
import type { Evaluation } from '../evaluation/evaluate'
import type { Foods } from '../food/food'
import type { Line, Part, Recipe } from '../recipe/document'
import { PART_NAMES } from '../recipe/vocabulary'
import { printLine } from '../recipe/printLine'

export const EXPORT_FORMATS = ['jsonld', 'json', 'markdown', 'text', 'csv'] as const
export type ExportFormat = (typeof EXPORT_FORMATS)[number]

/** A file, and what its form cannot hold of the recipe. */
export interface Exported {
  text: string
  type: string
  extension: string
  lost: string[]
}

const eaten = (recipe: Recipe) => recipe.parts.filter((part) => part.lines.length)

const lineText = (line: Line, foods: Foods) => {
  const food = line.foodId ? foods.get(line.foodId) : undefined
  const printed = printLine(line, food)
  return `${printed}${line.prep.length ? `, ${line.prep.join(', ')}` : ''}${line.optional ? ' (optional)' : ''}`
}
const headingOf = (part: Part) => part.name || PART_NAMES[part.kind]

const minutesIso = (minutes: number) => `PT${Math.round(minutes)}M`
const round = (value: number, digits = 1) => Math.round(value * 10 ** digits) / 10 ** digits

/**
 * A recipe in the vocabulary of schema.org, whose terms and values the compiler knows. Figures of one piece are no
 * property of its Recipe: they stand in an additional one, which readers that do not know it pass over.
 */
type SchemaDocument = WithContext<Extract<SchemaRecipe, { '@type': 'Recipe' }>> & {
  additionalProperty?: PropertyValue[]
}

/** NutritionInformation of schema.org: numbers with their units, per serving. */
function nutrition(figures: Evaluation['perServing'], size: string): NutritionInformation {
  return {
    '@type': 'NutritionInformation',
    servingSize: size,
    calories: `${Math.round(figures.energyKcal)} kcal`,
    proteinContent: `${round(figures.proteinG)} g`,
    fatContent: `${round(figures.fatG)} g`,
    saturatedFatContent: `${round(figures.saturatedFatG)} g`,
    carbohydrateContent: `${round(figures.carbohydrateG)} g`,
    fiberContent: `${round(figures.fibreG)} g`,
    sugarContent: `${round(figures.sugarsG)} g`,
    sodiumContent: `${Math.round(figures.sodiumMg)} mg`,
  }
}

function jsonLd(recipe: Recipe, evaluation: Evaluation | null, foods: Foods): SchemaDocument {
  const { cooking } = recipe
  const minutes = (cooking.minutes ?? 0) + (cooking.andThen?.minutes ?? 0)
  const fact = (kind: string) => recipe.facts.find((one) => one.kind === kind)?.low
  return {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: recipe.title,
    recipeYield: [`${recipe.pieces} pieces`, `${recipe.servings} servings`],
    recipeIngredient: eaten(recipe).flatMap((part) => part.lines.map((line) => lineText(line, foods))),
    recipeInstructions: recipe.method.map((text) => ({ '@type': 'HowToStep', text })),
    ...(minutes > 0 ? { cookTime: minutesIso(minutes) } : {}),
    ...(fact('prep-minutes') ? { prepTime: minutesIso(fact('prep-minutes')!) } : {}),
    ...(fact('total-minutes') ? { totalTime: minutesIso(fact('total-minutes')!) } : {}),
    ...(evaluation
      ? {
          nutrition: nutrition(evaluation.perServing, `1 of ${recipe.servings} servings`),
          additionalProperty: [
            {
              '@type': 'PropertyValue',
              name: 'nutrition per piece',
              value: nutrition(evaluation.perPiece, '1 piece'),
            },
            ...(evaluation.complete
              ? []
              : [
                  {
                    '@type': 'PropertyValue' as const,
                    name: 'figures',
                    value: 'at least: some foods are not counted',
                  },
                ]),
          ],
        }
      : {}),
  }
}

/** Plain text that the reader reads back. */
export function recipeText(recipe: Recipe, foods: Foods): string {
  return [
    recipe.title,
    `Makes ${recipe.pieces}${recipe.servingsStated ? `, serves ${recipe.servings}` : ''}`,
    ...eaten(recipe).flatMap((part) => [
      '',
      `${headingOf(part)}:`,
      ...part.lines.map((line) => lineText(line, foods)),
    ]),
    '',
    ...(recipe.method.length ? ['Method', ...recipe.method.map((step, at) => `${at + 1}. ${step}`)] : []),
  ].join('\n')
}

function markdown(recipe: Recipe, evaluation: Evaluation | null, foods: Foods): string {
  const figure = (name: string, of: (figures: Evaluation['perPiece']) => string) =>
    evaluation ? [`| ${name} | ${of(evaluation.perPiece)} | ${of(evaluation.perServing)} |`] : []
  return [
    `# ${recipe.title}`,
    '',
    `Makes ${recipe.pieces}, serves ${recipe.servings}`,
    ...eaten(recipe).flatMap((part) => [
      '',
      `## ${headingOf(part)}`,
      '',
      ...part.lines.map((line) => `- ${lineText(line, foods)}`),
    ]),
    ...(recipe.method.length
      ? ['', '## Method', '', ...recipe.method.map((step, at) => `${at + 1}. ${step}`)]
      : []),
    ...(evaluation
      ? [
          '',
          '## Figures',
          '',
          '| | a piece | a serving |',
          '| --- | --- | --- |',
          ...figure('Energy', ({ energyKcal }) => `${Math.round(energyKcal)} kcal`),
          ...figure('Protein', ({ proteinG }) => `${round(proteinG)} g`),
          ...figure('Fat', ({ fatG }) => `${round(fatG)} g`),
          ...figure('Carbohydrate', ({ carbohydrateG }) => `${round(carbohydrateG)} g`),
          ...figure('Fibre', ({ fibreG }) => `${round(fibreG)} g`),
          ...figure('Salt', ({ saltG }) => `${round(saltG, 2)} g`),
          '',
          evaluation.allergens.length
            ? `Allergens: **${evaluation.allergens.join(', ')}**`
            : 'Allergens: none of the 14 known in it',
          ...(evaluation.mayContain.length ? [`May contain: ${evaluation.mayContain.join(', ')}`] : []),
        ]
      : []),
    '',
  ].join('\n')
}

/** A spreadsheet takes a cell that begins so for a formula. */
const plainCell = (text: string) => (/^[=+\-@\t]/.test(text) ? `'${text}` : text)

function csv(recipe: Recipe, evaluation: Evaluation | null, foods: Foods): string {
  const rows = recipe.parts.flatMap((part) =>
    part.lines.map((line) => ({
      part: plainCell(headingOf(part)),
      line: plainCell(line.raw),
      food: line.foodId ? plainCell(foods.get(line.foodId)?.name ?? line.foodId) : '',
      grams: line.grams === null ? '' : String(round(line.grams, 2)),
      grams_low: line.gramsLow === null ? '' : String(round(line.gramsLow, 2)),
      grams_high: line.gramsHigh === null ? '' : String(round(line.gramsHigh, 2)),
    })),
  )
  const figures = evaluation
    ? (['perPiece', 'perServing', 'per100g'] as const).map((per) => ({
        part: 'figures',
        line: { perPiece: 'a piece', perServing: 'a serving', per100g: '100 g, as eaten' }[per],
        ...Object.fromEntries(
          (['energyKcal', 'proteinG', 'fatG', 'carbohydrateG', 'fibreG', 'sugarsG', 'saltG'] as const).map(
            (key) => [key, String(round(evaluation[per][key], 2))],
          ),
        ),
      }))
    : []
  const columns = [
    ...['part', 'line', 'food', 'grams', 'grams_low', 'grams_high'],
    ...(figures.length
      ? ['energyKcal', 'proteinG', 'fatG', 'carbohydrateG', 'fibreG', 'sugarsG', 'saltG']
      : []),
  ]
  return `${csvFormat([...rows, ...figures] as Record<string, string>[], columns)}\n`
}

/** What another form has no place for. */
const LOST: Readonly<Record<ExportFormat, readonly string[]>> = {
  json: [],
  text: [
    'which food each line means',
    'ranges of the weights',
    'what was swapped and why',
    'diets',
    'how fillings are cooked first, but for the words of the method',
  ],
  markdown: ['which food each line means', 'ranges of the weights', 'what was swapped and why', 'diets'],
  jsonld: [
    'parts: schema.org has one list of ingredients',
    'which food each line means',
    'ranges of the weights',
    'what was swapped and why',
    'diets by their own rules',
  ],
  csv: ['the method', 'notes', 'how it is cooked', 'what was swapped and why'],
}

/**
 * A recipe in an open form. Our own document comes back as it went; the others say what they cannot hold.
 *
 * @param evaluation for the figures; null leaves them out
 */
export function exportRecipe(
  recipe: Recipe,
  evaluation: Evaluation | null,
  foods: Foods,
  format: ExportFormat,
): Exported {
  const lost = [...LOST[format]]
  switch (format) {
    case 'json':
      return {
        text: `${JSON.stringify(recipe, null, 2)}\n`,
        type: 'application/json',
        extension: 'json',
        lost,
      }
    case 'jsonld':
      return {
        text: `${JSON.stringify(jsonLd(recipe, evaluation, foods), null, 2)}\n`,
        type: 'application/ld+json',
        extension: 'jsonld',
        lost,
      }
    case 'markdown':
      return {
        text: markdown(recipe, evaluation, foods),
        type: 'text/markdown; charset=utf-8',
        extension: 'md',
        lost,
      }
    case 'text':
      return { text: recipeText(recipe, foods), type: 'text/plain; charset=utf-8', extension: 'txt', lost }
    case 'csv':
      return { text: csv(recipe, evaluation, foods), type: 'text/csv; charset=utf-8', extension: 'csv', lost }
  }
}
