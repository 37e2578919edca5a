// What may stand before and behind a measure: of these the rows of sizes are made.

export const ROUND = String.raw`(?:rounds?|circles?|dis[ck]s?|ovals?|squares?|wrappers?|skins?|parathas?|rotis?|puris?|breads?|flatbreads?|tortillas?|pancakes?|triangles?|bases?)`

/** Words between a size and its noun: "thin, even", "round pastry"; none that begins something else. */
export const words = (most: number) =>
  String.raw`(?:(?!(?:in|into|on|onto|to|and|or|then|with|from|of|for|by|using|roll|put|place|${ROUND})\b)[\p{L}-]+,? ){0,${most}}`
export const before = (source: string) => new RegExp(String.raw`(?:${source})\W*$`, 'iu')
export const after = (source: string) => new RegExp(String.raw`^[- )]*(?:${source})`, 'iu')
