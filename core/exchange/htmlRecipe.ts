import { parseDocument } from 'htmlparser2'
import { findAll, getAttributeValue, isTag, textContent } from 'domutils'
import type { ChildNode, Document, Element, ParentNode } from 'domhandler'

/** What a page says of a recipe in itself, before it is read. */
export interface PageRecipe {
  title: string
  yields: string[]
  ingredients: string[]
  /** Steps, each under the heading of its section; '' without one. */
  steps: { under: string; text: string }[]
  minutes: { prep: number | null; cook: number | null; total: number | null }
  /** Where it was found. */
  from: 'json-ld' | 'microdata' | 'text'
  /** Fields of the page's form that a recipe document does not hold. */
  leftOut: string[]
  /** The readable text of a page that says nothing of its form; '' otherwise. */
  text: string
}

const emptyRecipe = (from: PageRecipe['from']): PageRecipe => ({
  title: '',
  yields: [],
  ingredients: [],
  steps: [],
  minutes: { prep: null, cook: null, total: null },
  from,
  leftOut: [],
  text: '',
})

type Json = null | boolean | number | string | Json[] | { [key: string]: Json }
type JsonObject = { [key: string]: Json }
const isObject = (value: Json | undefined): value is JsonObject =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const listOf = (value: Json | undefined): Json[] =>
  value === undefined || value === null ? [] : Array.isArray(value) ? value : [value]

/** Deeper than this no page nests what it says; a document that does is none. */
const MAX_DEPTH = 20
const MAX_RECIPES = 50

/** Text without marks of a page and with its entities read: some pages put both into their fields. */
export function plainText(value: Json | undefined): string {
  if (typeof value === 'number') return String(value)
  if (typeof value !== 'string') return ''
  const text = /[<&]/.test(value) ? textContent(parseDocument(value).children) : value
  return text.replace(/[\s\u00a0]+/g, ' ').trim()
}

const DURATION =
  /^P(?:(\d+(?:\.\d+)?)D)?(?:T(?:(\d+(?:\.\d+)?)H)?(?:(\d+(?:\.\d+)?)M)?(?:(\d+(?:\.\d+)?)S)?)?$/i

/** Minutes of a duration as ISO 8601 writes it: "PT1H30M" is 90. Null for what is none. */
export function isoMinutes(text: string): number | null {
  const found = DURATION.exec(text.trim())
  if (!found || !found.slice(1).some(Boolean)) return null
  const [days, hours, minutes, seconds] = found.slice(1).map((part) => Number(part ?? 0))
  return days! * 1440 + hours! * 60 + minutes! + seconds! / 60
}

const typesOf = (object: JsonObject): string[] =>
  listOf(object['@type']).map((one) => String(one).replace(/^https?:\/\/schema\.org\//i, ''))

/** Every object of type Recipe in a JSON-LD document: at its top, in arrays, in `@graph`, or inside others. */
function recipesIn(value: Json, depth = 0): JsonObject[] {
  if (depth > MAX_DEPTH) return []
  if (Array.isArray(value)) return value.flatMap((one) => recipesIn(one, depth + 1))
  if (!isObject(value)) return []
  if (typesOf(value).includes('Recipe')) return [value]
  return ['@graph', 'mainEntity', 'mainEntityOfPage', 'itemListElement', 'item', 'hasPart', 'about'].flatMap(
    (key) => (value[key] === undefined ? [] : recipesIn(value[key], depth + 1)),
  )
}

function stepsIn(value: Json | undefined, under: string, depth = 0): PageRecipe['steps'] {
  if (depth > MAX_DEPTH) return []
  return listOf(value).flatMap((one): PageRecipe['steps'] => {
    if (typeof one === 'string')
      return one
        .split(/\r?\n|<br\s*\/?>|<\/(?:p|li)>/i)
        .map((text) => ({ under, text: plainText(text) }))
        .filter(({ text }) => text)
    if (!isObject(one)) return []
    if (typesOf(one).includes('HowToSection') || one.itemListElement !== undefined)
      return stepsIn(one.itemListElement, plainText(one.name) || under, depth + 1)
    const text = plainText(one.text) || plainText(one.name)
    return text ? [{ under, text }] : []
  })
}

/** Fields that a recipe is read from; others are told. */
const READ = new Set([
  '@context',
  '@type',
  '@id',
  'name',
  'recipeYield',
  'yield',
  'recipeIngredient',
  'ingredients',
  'recipeInstructions',
  'prepTime',
  'cookTime',
  'totalTime',
])
const MAX_TOLD = 20

/** A recipe out of an object of JSON-LD. */
export function fromJsonLd(object: JsonObject): PageRecipe {
  const minutesOf = (key: string) => isoMinutes(plainText(object[key]))
  return {
    ...emptyRecipe('json-ld'),
    title: plainText(object.name),
    yields: listOf(object.recipeYield ?? object.yield)
      .map(plainText)
      .filter(Boolean),
    ingredients: listOf(object.recipeIngredient ?? object.ingredients)
      .map((one) => plainText(isObject(one) ? (one.name ?? one.text) : one))
      .filter(Boolean),
    steps: stepsIn(object.recipeInstructions, ''),
    minutes: { prep: minutesOf('prepTime'), cook: minutesOf('cookTime'), total: minutesOf('totalTime') },
    leftOut: Object.keys(object)
      .filter((key) => !READ.has(key))
      .slice(0, MAX_TOLD),
  }
}

/**
 * The recipes of a JSON-LD document.
 *
 * @throws SyntaxError when it is no JSON
 */
export function recipesOfJsonLd(text: string): PageRecipe[] {
  return recipesIn(JSON.parse(text) as Json)
    .slice(0, MAX_RECIPES)
    .map(fromJsonLd)
}

const SKIPPED = new Set([
  'script',
  'style',
  'noscript',
  'template',
  'svg',
  'nav',
  'header',
  'footer',
  'aside',
  'form',
  'button',
  'select',
  'iframe',
  'head',
  'figure',
  'dialog',
  'video',
  'audio',
  'object',
])
const BLOCKS = new Set([
  'p',
  'div',
  'section',
  'article',
  'main',
  'li',
  'ul',
  'ol',
  'h1',
  'h2',
  'h3',
  'h4',
  'h5',
  'h6',
  'tr',
  'table',
  'br',
  'dl',
  'dt',
  'dd',
  'blockquote',
  'pre',
])
/** What parts the blocks of a text: a blank line in front. */
const APART = new Set(['h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'ul', 'ol', 'table', 'section', 'article'])

/** The text of a page as somebody reads it: block by block, a row each, without what is round it. */
function readableText(root: ParentNode): string {
  const rows: string[] = ['']
  const visit = (node: ChildNode, depth: number) => {
    if (depth > 500) return
    if (isTag(node)) {
      const name = node.name.toLowerCase()
      const hidden =
        getAttributeValue(node, 'hidden') !== undefined || getAttributeValue(node, 'aria-hidden') === 'true'
      if (SKIPPED.has(name) || hidden) return
      if (APART.has(name)) rows.push('', '')
      else if (BLOCKS.has(name)) rows.push('')
      else if (name === 'td' || name === 'th') rows[rows.length - 1] += ' '
      for (const child of node.children) visit(child, depth + 1)
      if (BLOCKS.has(name)) rows.push('')
    } else if ('data' in node && node.type === 'text')
      rows[rows.length - 1] += node.data.replace(/[\s\u00a0]+/g, ' ')
  }
  for (const child of root.children) visit(child, 0)
  return rows
    .map((row) => row.trim())
    .join('\n')
    .replace(/\n{3,}/g, '\n\n')
    .trim()
}

/** Elements below one that carry a property, but not those of another item inside it. */
function propertiesOf(item: Element, name: string): Element[] {
  const found: Element[] = []
  const visit = (element: Element) => {
    for (const child of element.children) {
      if (!isTag(child)) continue
      if ((getAttributeValue(child, 'itemprop') ?? '').split(/\s+/).includes(name)) found.push(child)
      if (getAttributeValue(child, 'itemscope') === undefined) visit(child)
    }
  }
  visit(item)
  return found
}
const valueOf = (element: Element) =>
  (getAttributeValue(element, 'content') ?? getAttributeValue(element, 'datetime') ?? textContent(element))
    .replace(/[\s\u00a0]+/g, ' ')
    .trim()

function fromMicrodata(item: Element): PageRecipe {
  const all = (...names: string[]) =>
    names
      .flatMap((name) => propertiesOf(item, name))
      .map(valueOf)
      .filter(Boolean)
  const minutesOf = (name: string) => isoMinutes(all(name)[0] ?? '')
  const steps = propertiesOf(item, 'recipeInstructions').flatMap((element) => {
    // Instructions may be a list in one element, or one element a step.
    const items = findAll((one) => one.name === 'li', element.children)
    const texts = items.length ? items.map((one) => textContent(one)) : readableText(element).split('\n')
    return texts
      .map((text) => ({ under: '', text: text.replace(/[\s\u00a0]+/g, ' ').trim() }))
      .filter(({ text }) => text)
  })
  return {
    ...emptyRecipe('microdata'),
    title: all('name')[0] ?? '',
    yields: all('recipeYield', 'yield'),
    ingredients: all('recipeIngredient', 'ingredients'),
    steps,
    minutes: { prep: minutesOf('prepTime'), cook: minutesOf('cookTime'), total: minutesOf('totalTime') },
  }
}

/**
 * The recipes of a page: what it says in JSON-LD, else in microdata, else its readable text. Nothing is fetched, and
 * nothing of it is ever shown as it came.
 *
 * @param html a page as it was saved or pasted
 * @returns at least one; a page that says nothing gives its text
 */
export function recipesOfHtml(html: string): { recipes: PageRecipe[]; warnings: string[] } {
  const document: Document = parseDocument(html)
  const warnings: string[] = []
  const scripts = findAll(
    (one) => one.name === 'script' && /ld\+json/i.test(getAttributeValue(one, 'type') ?? ''),
    document.children,
  )
  const stated = scripts.flatMap((script) => {
    try {
      return recipesOfJsonLd(textContent(script))
    } catch {
      warnings.push('A block of JSON-LD on the page is broken and was left out')
      return []
    }
  })
  const whole = stated.filter(({ ingredients }) => ingredients.length)
  if (whole.length) return { recipes: whole, warnings }
  const items = findAll(
    (one) => /schema\.org\/Recipe\b/i.test(getAttributeValue(one, 'itemtype') ?? ''),
    document.children,
  )
  const marked = items
    .slice(0, MAX_RECIPES)
    .map(fromMicrodata)
    .filter(({ ingredients }) => ingredients.length)
  if (marked.length) return { recipes: marked, warnings }
  const title = findAll((one) => one.name === 'h1', document.children)[0]
  return {
    recipes: [
      {
        ...emptyRecipe('text'),
        title: title ? textContent(title).replace(/\s+/g, ' ').trim() : '',
        text: readableText(document),
      },
    ],
    warnings: [...warnings, 'The page says nothing of its recipe in a form: its text was read'],
  }
}
