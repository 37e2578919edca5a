import type { Recipe } from '~~/core/recipe/document'

/** A recipe of a file: our own document, or a text that is read like any other. */
export interface FromFile {
  name: string
  text: string
  recipe: Recipe | null
}

/** A page, by how it begins or what stands in it. */
export const looksLikeHtml = (text: string): boolean =>
  /^\s*<(?:!doctype|html|head|body|div|article|section|main|script|meta|p|h1|ul)\b/i.test(text) ||
  /<script[^>]+ld\+json|itemtype=["']https?:\/\/schema\.org\/Recipe/i.test(text)
export const looksLikeJson = (text: string): boolean => /^\s*[[{]/.test(text)

/** The text of the first recipe of a page or a JSON-LD document that was pasted; null for plain text. */
export async function textOfPasted(text: string): Promise<string | null> {
  if (!looksLikeHtml(text) && !looksLikeJson(text)) return null
  const [found] = await recipesOfFile('', text).catch(() => [])
  return found && !found.recipe && found.text.trim() ? found.text : null
}

/**
 * The recipes of a file: of a page what it states, else its text; of JSON our own document or JSON-LD.
 *
 * @throws Error with words for the cook when there is none in it
 */
export async function recipesOfFile(name: string, text: string): Promise<FromFile[]> {
  if (!text.trim()) throw new Error('the file is empty')
  if (!looksLikeHtml(text) && !looksLikeJson(text)) return [{ name, text, recipe: null }]
  const [{ recipesOfHtml, recipesOfJsonLd }, { textOf }, { recipeSchema }, { withIds }] = await Promise.all([
    import('~~/core/exchange/htmlRecipe'),
    import('~~/core/exchange/importRecipe'),
    import('~~/core/recipe/schema'),
    import('~~/core/recipe/document'),
  ])
  if (looksLikeHtml(text))
    return recipesOfHtml(text).recipes.map((page) => ({
      name: page.title || name,
      text: textOf(page),
      recipe: null,
    }))
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new Error('this is neither a page nor JSON that can be read')
  }
  const own = recipeSchema.safeParse(value)
  if (own.success) return [{ name: own.data.title, text: '', recipe: withIds(own.data) }]
  const pages = recipesOfJsonLd(text)
  if (!pages.length) throw new Error('there is no recipe in it')
  return pages.map((page) => ({ name: page.title || name, text: textOf(page), recipe: null }))
}
