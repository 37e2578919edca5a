import { kindOf } from './headingKinds'
import type { PastedLine } from './pasted'

// "| Dough | | Filling | |" over rows of four cells: two lists that stand beside each other on a page, read one after
// the other.

const RULE_CELL = /^:?-{2,}:?$/
const AMOUNT_HEAD = /^(?:amounts?|quantit(?:y|ies)|qty|g|grams?|weight)?$/i
/** Fewer rows than this are no lists. */
const LEAST_ROWS = 2

const cellsOf = (text: string): string[] =>
  /[|\t]/.test(text)
    ? text
        .trim()
        .replace(/^\||\|$/g, '')
        .split(/[|\t]/)
        .map((cell) => cell.trim())
    : []

const isPart = (cell: string | undefined): boolean => {
  // "Filo pastry | 8 sheets" is a line of a list.
  const kind = cell && !/^\W*\d/.test(cell) ? kindOf(cell.replace(/[*_:]/g, '').trim()) : null
  return kind !== null && !/^(?:method|ingredients|remarks|noise)$/.test(kind)
}

/** How many cells a list may take of a row of so many. */
const WIDTHS: Readonly<Record<number, readonly number[]>> = { 2: [1, 2], 3: [1], 4: [2], 6: [2] }

/** The columns in which a header puts its lists: where each begins, and how many cells it has. Null for none. */
function columnsOf(cells: readonly string[]): { from: number; width: number }[] | null {
  // "Dough | Amount" heads one list.
  const widths = WIDTHS[cells.length] ?? []
  for (const width of widths) {
    const starts = cells.map((_, at) => at).filter((at) => at % width === 0)
    const named = starts.every((at) => isPart(cells[at]))
    const rest = cells.every((cell, at) => at % width === 0 || AMOUNT_HEAD.test(cell.replace(/[*_]/g, '')))
    const isBare = starts.length === 1 && cells.slice(1).every((cell) => !cell)
    if (named && rest && !isBare) return starts.map((from) => ({ from, width }))
  }
  return null
}

/**
 * Lines of a page with lists that stand beside each other put one below the other, each under its name.
 *
 * @param lines as pasted
 */
export function oneBelowTheOther(lines: readonly PastedLine[]): PastedLine[] {
  const found: PastedLine[] = []
  for (let at = 0; at < lines.length; at++) {
    const head = cellsOf(lines[at]!.text)
    const columns = columnsOf(head)
    let end = at + 1
    while (columns && end < lines.length && isRowOf(cellsOf(lines[end]!.text), head.length)) end++
    const rows = lines
      .slice(at + 1, end)
      .filter(({ text }) => !cellsOf(text).every((cell) => !cell || RULE_CELL.test(cell)))
    if (!columns || rows.length < LEAST_ROWS) {
      found.push(lines[at]!)
      continue
    }
    for (const { from, width } of columns) {
      found.push({ at: lines[at]!.at, text: `**${head[from]!.replace(/[*_]/g, '')}**`, apart: true })
      for (const row of rows) {
        const own = cellsOf(row.text).slice(from, from + width)
        if (own.some(Boolean))
          found.push({ at: row.at, text: width > 1 ? `| ${own.join(' | ')} |` : own[0]!, apart: false })
      }
    }
    at = end - 1
  }
  return found
}

/** Whether a row has as many cells, and heads no list itself; at its end empty ones may be left off. */
const isRowOf = (cells: readonly string[], width: number): boolean =>
  cells.length > 1 && cells.length <= width && !columnsOf(cells)
