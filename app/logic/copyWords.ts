import type { PreviewAnswer } from '~~/shared/api/copies'

/** "12 kB", "3.4 MB". */
export function bytesOf(bytes: number): string {
  if (bytes < 1000) return `${bytes} bytes`
  return bytes < 1_000_000 ? `${Math.round(bytes / 1000)} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`
}

const WHEN = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
export const whenOf = (at: string): string => WHEN.format(new Date(at))

/** What the tables hold, as a cook calls it. Those that are not named are counted with what they belong to. */
const WORDS: Readonly<Record<string, string>> = {
  recipes: 'recipes',
  revisions: 'saved states of recipes',
  foods: 'foods of your own and imported',
  food_entries: 'labels typed in',
  taught_names: 'names you taught',
  own_swaps: 'swaps of your own',
  prices: 'prices',
  stock: 'counts of the larder',
  settings: 'settings, guests and cookware',
  dinners: 'dinners',
  records: 'records of cooking',
  record_photos: 'pictures',
}

export interface ChangeLine {
  words: string
  added: number
  same: number
  different: number
  newerInFile: number | null
}

/** What a restore would do, by what a cook knows; nothing that the file does not hold. */
export const changeLines = ({ changes }: Pick<PreviewAnswer, 'changes'>): ChangeLine[] =>
  changes.flatMap(({ table, ...counts }) =>
    WORDS[table] && counts.added + counts.same + counts.different > 0
      ? [{ words: WORDS[table], ...counts }]
      : [],
  )
