import type { FromFile } from './recipeFiles'

/** A file of an archive, or why it was left out. */
export type Entry = { name: string; text: string } | { name: string; problem: string }

/** What an archive may hold: more is no collection of recipes. Our own choice. */
const MAX_ENTRIES = 500
const MAX_ENTRY_BYTES = 2_000_000
const MAX_ALL_BYTES = 40_000_000

const READ = /\.(?:html?|json|jsonld|txt|md|csv)$/i
/** What systems put beside files, and folders. */
const NOT_MEANT = /(?:^|\/)(?:__MACOSX\/|\.(?!\.\/))|\/$/

export const isZip = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4

/**
 * The files of a zip archive that may hold a recipe. Each is unpacked piece by piece and left as soon as it is larger than
 * a page can be, whatever the archive says of its size.
 *
 * @throws Error with words for the cook when the archive cannot be read, or unpacks to more than it may
 */
export async function entriesOfZip(bytes: Uint8Array): Promise<Entry[]> {
  const { Unzip, UnzipInflate, UnzipPassThrough } = await import('fflate')
  const entries: Entry[] = []
  let all = 0
  let seen = 0
  let broken: Error | null = null
  const unzip = new Unzip((file) => {
    if (NOT_MEANT.test(file.name)) return
    if (++seen > MAX_ENTRIES) {
      broken ??= new Error(`the archive holds more than ${MAX_ENTRIES} files`)
      return
    }
    const name = file.name.slice(0, 200)
    if (/^(?:\/|[a-z]:)|(?:^|[\\/])\.\.(?:[\\/]|$)/i.test(file.name)) {
      entries.push({ name, problem: 'its name leads out of the archive: it was left out' })
      return
    }
    if (!READ.test(file.name)) {
      entries.push({ name, problem: 'no page, text, JSON or CSV: it was left out' })
      return
    }
    const parts: Uint8Array[] = []
    let length = 0
    file.ondata = (error, part, last) => {
      if (error) {
        entries.push({ name, problem: 'it cannot be unpacked' })
        return
      }
      length += part.length
      all += part.length
      if (all > MAX_ALL_BYTES)
        broken ??= new Error(`the archive unpacks to more than ${MAX_ALL_BYTES / 1e6} MB`)
      if (length > MAX_ENTRY_BYTES || broken) {
        parts.length = 0
        file.terminate()
        if (!broken) entries.push({ name, problem: `it is larger than ${MAX_ENTRY_BYTES / 1e6} MB` })
        return
      }
      parts.push(part)
      if (!last) return
      const whole = new Uint8Array(length)
      let at = 0
      for (const one of parts) {
        whole.set(one, at)
        at += one.length
      }
      entries.push({ name, text: new TextDecoder().decode(whole) })
    }
    file.start()
  })
  unzip.register(UnzipInflate)
  unzip.register(UnzipPassThrough)
  const STEP = 65_536
  try {
    for (let at = 0; at < bytes.length && !broken; at += STEP)
      unzip.push(bytes.subarray(at, at + STEP), at + STEP >= bytes.length)
  } catch {
    throw new Error('the archive is damaged')
  }
  if (broken) throw broken
  if (!entries.length) throw new Error('there is no file with a recipe in the archive')
  return entries
}

const COLUMNS = {
  title: /^(?:title|name|recipe)$/i,
  makes: /^(?:makes|yields?|pieces|servings|serves)$/i,
  ingredients: /^(?:ingredients?|list)$/i,
  method: /^(?:method|steps|instructions|directions|preparation)$/i,
}

/**
 * The recipes of a table with one in each row: columns for the title, the ingredients, and where there are any how many
 * it makes and the method. Ingredients stand on lines of their own, or parted by semicolons or bars.
 *
 * @throws Error with words for the cook when the columns are not there
 */
export async function recipesOfCsv(text: string): Promise<FromFile[]> {
  const { dsvFormat } = await import('d3-dsv')
  const head = text.slice(0, text.indexOf('\n') + 1 || text.length)
  const mark = head.includes('\t') ? '\t' : head.includes(';') && !head.includes(',') ? ';' : ','
  // Rows and not objects: those are made by a function of text, which the page's policy does not allow.
  const [columns = [], ...table] = dsvFormat(mark).parseRows(text)
  const column = (kind: keyof typeof COLUMNS) => columns.findIndex((one) => COLUMNS[kind].test(one.trim()))
  const [title, makes, ingredients, method] = [
    column('title'),
    column('makes'),
    column('ingredients'),
    column('method'),
  ]
  if (title < 0 || ingredients < 0)
    throw new Error(
      `a table of recipes has a column "title" and one "ingredients"; this one has ${columns.slice(0, 8).join(', ') || 'none'}`,
    )
  const lines = (value: string) => (/\n/.test(value) ? value : value.replace(/\s*[;|]\s*/g, '\n'))
  const rows = table.filter((row) => row[title]?.trim() && row[ingredients]?.trim())
  if (!rows.length) throw new Error('the table has no row with a title and ingredients')
  return rows.slice(0, MAX_ENTRIES).map((row) => {
    const many = row[makes]?.trim() ?? ''
    const says = !many
      ? ''
      : /^\d+$/.test(many)
        ? `${/serv/i.test(columns[makes]!) ? 'Serves' : 'Makes'} ${many}`
        : many
    const steps = row[method]?.trim() ?? ''
    return {
      name: row[title]!.trim(),
      text: [
        row[title]!.trim(),
        says,
        '',
        lines(row[ingredients]!.trim()),
        ...(steps ? ['', 'Method', lines(steps)] : []),
      ].join('\n'),
      recipe: null,
    }
  })
}
