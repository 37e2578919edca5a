import type { FactKind } from '../recipe/vocabulary'

// What a row of the table of sizes is, and what may stand before and behind a measure: of these the rows are made.

export type MeasureKind = 'length' | 'square' | 'weight' | 'spoon'

export interface Size {
  of: MeasureKind
  /** A sentence that shows it; the test holds the row to it. */
  says: string
  /** What it is; null where it is of no piece. */
  fact: FactKind | null
  /** What stands right before the measure, or right behind it; both where both are given. */
  before?: RegExp
  after?: RegExp
  /** What the whole clause must say. */
  clause?: RegExp
  /** Bounds in the measure's own unit. */
  least?: number
  most?: number
  needsAbout?: boolean
  /** Of spoons that have a size only. */
  exact?: boolean
}

export const ROUND = String.raw`(?:rounds?|circles?|dis[ck]s?|ovals?|squares?|wrappers?|skins?|parathas?|rotis?|puris?|breads?|flatbreads?|tortillas?|pancakes?|triangles?|bases?)`

/** Words between a size and its noun: "thin, even", "round pastry"; none that begins something else. */
export const words = (most: number) =>
  String.raw`(?:(?!(?:in|into|on|onto|to|and|or|then|with|from|of|for|by|using|roll|put|place|${ROUND})\b)[a-zß-öø-ɏ-]+,? ){0,${most}}`
export const before = (source: string) => new RegExp(String.raw`(?:${source})\W*$`, 'i')
export const after = (source: string) => new RegExp(String.raw`^[- )]*(?:${source})`, 'i')

export const STAMP = String.raw`(?:cutters?|glass|cup|ring|saucer|bowl|lid|plate)`
export const TIN = String.raw`(?:tins?|pans?|trays?|dish(?:es)?|moulds?|molds?|pots?|skillets?|steamers?|baskets?|springforms?|woks?|rack|shelf)`
export const FAT = String.raw`(?:oil|fat|lard|ghee|dripping|shortening)`
export const WHAT_FILLS = String.raw`(?:filling|stuffing|mixture|mix)`
export const LUMPS = String.raw`(?:balls?|pieces?|portions?|lumps?|buns?|parts?|bits?|rounds?)`
export const IN_EACH = String.raw`(?:goes )?(?:in(?:to)?|on(?:to)?) (?:(?:the (?:centre|center|middle)|one (?:half|side|end)|half) of )?(?:each|every one)\b(?! side)`

/** No round is narrower and no dough is rolled thicker. Common practice, no source. */
export const LEAST_DISC_CM = 3
/** More spoons are dotted over a sheet, and each is another piece's. Our own choice. */
export const MOST_SPOONS = 9
export const MOST_PIECE_GRAMS = 400
