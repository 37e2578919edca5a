import type { Recipe } from '~~/core/recipe/document'
import { entriesOfZip, isZip, recipesOfCsv } from './recipeArchive'

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
  if (/\.csv$/i.test(name)) return recipesOfCsv(text)
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

/** What came of one file of those that were chosen, or of one in an archive. */
export interface Opened {
  found: FromFile[]
  problems: { name: string; says: string }[]
}

/** A file larger than this holds no recipes, unless it is an archive. */
const MAX_TEXT_BYTES = 5_000_000
const MAX_ARCHIVE_BYTES = 100_000_000

/** The recipes of a file that was chosen, and of each file in it where it is an archive; what is wrong is said by file. */
export async function openFile(file: File): Promise<Opened> {
  const opened: Opened = { found: [], problems: [] }
  const take = async (name: string, read: () => Promise<FromFile[]>) => {
    try {
      opened.found.push(...(await read()))
    } catch (error) {
      opened.problems.push({ name, says: (error as Error).message })
    }
  }
  const first = new Uint8Array(await file.slice(0, 4).arrayBuffer())
  const most = isZip(first) ? MAX_ARCHIVE_BYTES : MAX_TEXT_BYTES
  if (file.size > most) {
    opened.problems.push({ name: file.name, says: `it is larger than ${most / 1_000_000} MB` })
  } else if (isZip(first)) {
    await take(file.name, async () => {
      for (const entry of await entriesOfZip(new Uint8Array(await file.arrayBuffer())))
        if ('problem' in entry) opened.problems.push({ name: entry.name, says: entry.problem })
        else await take(entry.name, () => recipesOfFile(entry.name, entry.text))
      return []
    })
  } else await take(file.name, async () => recipesOfFile(file.name, await file.text()))
  return opened
}
