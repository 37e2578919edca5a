// Millers number wheat flour by its ash: "T55", "type 550".

const FLOUR_TYPE =
  /(?<!\b(?:rye|spelt|barley|oat|bread|strong|rice|einkorn|emmer|kamut|durum|wholemeal|wholegrain)\s)\b(?:(?:wheat )?flour,? \(?(?:T|typ[eo]?\.?)\s?(\d{2,4})\)?|(?:T|typ[eo]?\.?)\s?(\d{2,4}) (?:wheat )?flour\b)/i
/** Of the French and the German numbers. From memory. */
const WHOLE_GRAIN_TYPES: ReadonlySet<number> = new Set([150, 1600, 1700, 1850, 2000, 3000])

/**
 * A line whose wheat flour is told by its number, with the flour's plain name: "flour T500" is plain flour, "T150 flour"
 * wholemeal. A flour of another grain keeps its number.
 *
 * @param line as written
 */
export const withPlainFlour = (line: string): string =>
  line.replace(FLOUR_TYPE, (_, behind: string | undefined, front: string | undefined) =>
    WHOLE_GRAIN_TYPES.has(Number(behind ?? front)) ? 'wholemeal flour' : 'plain flour',
  )
