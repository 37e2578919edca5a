import { evaluate, type Evaluation } from '../../../../core/evaluation/evaluate'
import { EXPORT_FORMATS, exportRecipe, type ExportFormat } from '../../../../core/exchange/exportRecipe'
import { RecipeProblem } from '../../../../core/recipe/problem'
import { getRecipe } from '../../../db/recipes'
import { recipeId, recipeNotFound, wantedRevision } from '../../../http/params'
import { invalid } from '../../../http/problem'
import { referenceFor } from '../../../services/referenceFor'

/** A recipe in an open form: `?format=jsonld|json|markdown|text|csv`. */
export default defineEventHandler(async (event) => {
  const id = recipeId(event)
  const { format = 'json' } = getQuery(event)
  if (!EXPORT_FORMATS.includes(format as ExportFormat))
    throw invalid([{ field: 'format', message: `one of ${EXPORT_FORMATS.join(', ')} is expected` }])
  const stored = await getRecipe(id, wantedRevision(event))
  if (!stored || stored.deletedAt) throw recipeNotFound(id)
  const reference = await referenceFor(stored.recipe)
  let evaluation: Evaluation | null = null
  try {
    evaluation = evaluate(stored.recipe, reference)
  } catch (error) {
    // A recipe without a dough is written out without figures.
    if (!(error instanceof RecipeProblem)) throw error
  }
  const { text, type, extension, lost } = exportRecipe(
    stored.recipe,
    evaluation,
    reference.foods,
    format as ExportFormat,
  )
  const name =
    stored.recipe.title
      .normalize('NFD')
      .replace(/[^A-Za-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'recipe'
  setHeader(event, 'content-type', type)
  setHeader(event, 'content-disposition', `attachment; filename="${name.slice(0, 80)}.${extension}"`)
  if (lost.length) setHeader(event, 'x-not-kept', encodeURIComponent(lost.join('; ')))
  return text
})
