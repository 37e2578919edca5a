import { foodIs } from '../food/groups'
import { BASES, type Found } from './dividing'
import { recalled } from './matches'
import { inNumbers, mentionsIn, NOT_PIECES } from './mentions'
import type { Clause } from './method'
import { partings } from './partings'
import type { ReadIngredient } from './readIngredient'
import type { ReadLine } from './readLine'

// Pieces from pastry that is bought in sheets: so many sheets, so many laid on one another, each cut in so many.

/** How many a line counts, without a unit: "10 wrappers", "1 packet of discs (10)". */
export const countOf = (read: ReadLine): number | null =>
  read.measures.find(
    (measure) => measure[0]?.unitId === null || /^(?:sheet|slice|piece)$/.test(measure[0]?.unitId ?? ''),
  )?.[0]?.low ?? null

const MAKES_SO_MANY = /\((?:makes|gives|enough for) (?:about )?(\d{1,2})\b(?! ?(?:g|cm|oz|sheets)\b)/i
const TWO_IN_PACKET =
  /\b1\W{0,3}(?:17(?:\.\d+)?[- ]?(?:oz|ounces?)|49\d ?g)\b.*\b(?:pack|packet|package|box)\w*\b|\b(?:pack|packet|package|box)\w*\b\W{0,3}17(?:\.\d+)?[- ]?(?:oz|ounces?)/i
/** A tube or packet is unrolled as a sheet. */
const sheetsOf = (read: ReadLine): number | null =>
  countOf(read) ??
  // "2 x 320 g packs", "375 g pack x 2".
  (Number(/^\W*(\d{1,2})\s*[x×]\s*\d|\s[x×]\s?(\d{1,2})\W*$/i.exec(read.raw)?.slice(1).find(Boolean) ?? 0) ||
    null) ??
  // From memory of the packet: 17.3 oz of puff pastry are two sheets.
  (TWO_IN_PACKET.test(read.raw) ? 2 : null) ??
  read.measures.find((measure) => /^(?:tube|can|packet|roll)$/.test(measure[0]?.unitId ?? ''))?.[0]?.low ??
  null

const A_SHEET =
  '(?:(?!(?:baking|cookie|oven|lined|greased|prepared)\\b)[a-zß-öø-ɏ]+ ){0,3}?(?:sheets?|yufkas?|fil[lo]o|phyllo|leaf|leaves|tortillas?|wraps?|packs?|blocks?|(?:pie )?crusts?|pitt?as?(?: breads?)?|naans?|flatbreads?|baguettes?|bagels?|rolls?(?= of | in| into))(?! of (?:paper|parchment|foil|film|cling))'
/** What is done is done to every sheet: "each sheet", "both sheets", "a sheet at a time", "the sheets". */
const OF_SHEETS = recalled(
  new RegExp(
    String.raw`\b(?:each|every|all|both|the|your|a|an|one|1|per|take|cut|halve|quarter|lay out)(?: of)?(?: the)? (?:(?:one|1) )?${A_SHEET}\b`,
    'i',
  ),
)
/** "Cut each into 6", where nothing but the sheets is there to be cut. */
const EACH_OF_THEM = recalled(
  /\b(?:cut|slice|divide)(?: up)? (?:each|every|them|those|these)(?: (?:one|1))? (?:up )?(?:crosswise |lengthwise |lengthways )?(?:in|into|to)\b/i,
)
/** "On each sheet", "one sheet per parcel": a sheet makes a piece. */
const ONE_EACH = recalled(
  new RegExp(
    String.raw`\b(?:on(?:to)?|over|in|along|across|down|to) (?:(?:the|one|1) (?:short |long |near |bottom )?(?:end|edge|middle|centre|center|side|bottom) of )?(?:each|every|one|1) ${A_SHEET}\b|\b(?:one|1|a) ${A_SHEET} (?:per|for each|for every|makes)\b|\b(?:each|one|1) ${A_SHEET} (?:makes|gives|is) (?:one|1)\b`,
    'i',
  ),
)
/** "Take 2 sheets", "brush and stack three sheets". */
const TAKES = recalled(
  /\b(?:brush|layer|take|stack|use|lay(?: out)?|place|put|with|of)(?: together)? ([234]) (?:[a-zß-öø-ɏ]+ )?(?:sheets|layers)\b(?! (?:end to end|side by side|next to|overlapping))/i,
)
/** "Stack 2 at angles", "layer them in threes", "pile in pairs". */
const PILED = recalled(
  /\b(?:stack|layer|pile) (?:them |the squares |the strips |up )?(?:in )?(?:([234])(?: (?:squares|strips|pieces))?(?=\s*(?:$|[,.;]|together|at\b|per\b|crosswise|on top|x ?\d))|(?:pairs|twos|threes)\b)/i,
)
/** "Lay another on top", "top with a second sheet": two are one. */
const ANOTHER = recalled(
  /\b(?:lay|put|place|add|stick) (?:another|a second|the second|a 2nd)(?: (?:sheet|one|1|layer))?(?: of [a-zß-öø-ɏ]+)? (?:(?:on|over) (?:top|it|that)|over\b)|\b(?:lay|put|place|stack|stick) (?:one|1|two|2)(?: (?:half|piece|sheet|square|strip))? (?:on top of|over|across) (?:the other|another|each other)\b|\b(?:top|cover)(?: it)? with (?:another|a second|the second)\b(?! (?:[a-zß-öø-ɏ]+ )?(?:round|circle|dis[ck]|half|piece|square))/i,
)
const A_THIRD = recalled(
  /\b(?:and )?(?:a third|another(?: one| 1)?)(?: (?:sheet|layer))?\b[^.;]{0,12}\bon top\b/i,
)
/** What is done for every piece, or again. */
export const REPEATED = recalled(
  /\brepeat\b|\b(?:same|again) with\b|\b(?:for|per|in|on) (?:each|every) (?:parcel|roll|piece|pocket|packet|bundle|triangle|strip|one|1)\b|\bper (?:parcel|roll|piece|pocket)\b|\bat a time\b/i,
)
/** All of them on one another, with fat between: one slab. */
const ALL_STACKED = recalled(
  /\b(?:layer|stack|pile)\b[^.;]*\b(?:all|the) (?:of )?(?:the )?(?:[a-zß-öø-ɏ]+ )?(?:sheets|filo|phyllo)\b/i,
)
const FROM_EACH = recalled(
  /\b(?:cut|stamp|get) (?:out )?(\d{1,2})\b(?![- ]?(?:inch|in\b|cm|mm|"))[^.;]{0,40}\b(?:from|out of) (?:each|every)(?: (?:[a-zß-öø-ɏ]+ )?(?:sheet|pack|block|roll|crust)\b|(?=\W*(?:$|[,.;]|with\b)|\s*\())/i,
)
const ROLLED_THEN_CUT = recalled(/\broll(?:ed)? (?:it |them |each )?up\b[^.;]*\b(?:cut|slice)\b/i)
const CUT_OTHERS = recalled(NOT_PIECES)
const COOKED = recalled(/\b(?:bake|fry|steam|boil|grill|oven|serve|\d ?min)\b/i)
/** More than dividing says by itself, which takes what is done to one sheet for what is done to all. */
const WEIGHT = 62
/** More than a ball's weight says, less than any number that is told. */
const LAYERED_WEIGHT = 45
/** Less than what a wrapper says. */
const ONE_EACH_WEIGHT = 29

const ofSheet = (text: string) => OF_SHEETS.test(text) || TAKES.test(text)

/** How many of the sheets lie on one another. */
function layersIn(clauses: readonly Clause[]): number {
  const taken = clauses.map(({ text }) => TAKES.exec(text)).find(Boolean)
  if (taken) return Number(taken[1])
  const piled = clauses.map(({ text }) => PILED.exec(inNumbers(text))).find(Boolean)
  if (piled) return piled[1] ? Number(piled[1]) : /pairs|twos/i.test(piled[0]) ? 2 : 3
  const second = clauses.findIndex(({ text }) => ANOTHER.test(text))
  if (second < 0) return 1
  return clauses.slice(second + 1, second + 3).some(({ text }) => A_THIRD.test(text)) ? 3 : 2
}

/** The line that counts sheets of bought pastry. */
const sheetLine = (shell: readonly ReadIngredient[]): ReadIngredient | undefined =>
  shell.find(
    ({ food, read }) =>
      (foodIs(food, 'bought-dough') || food?.group === 'bread') &&
      food!.unitGrams.disc === undefined &&
      (sheetsOf(read) ?? 0) > 1,
  )

const CUT_ON_LINE =
  /\b(?:(halved|cut (?:[a-zß-öø-ɏ]+ )?in(?:to)? (?:half|halves|2|two)\b)|(quartered|cut (?:[a-zß-öø-ɏ]+ )?in(?:to)? (?:quarters|4|four)\b)|cut (?:[a-zß-öø-ɏ]+ )?in(?:to)? (?:thirds|3|three)\b)(?! ?(?:cm|mm|inch))/i
/** How many become of each sheet by what its line says of it; null where it says nothing. */
function cutOnLine(read: ReadLine): number | null {
  const cut = CUT_ON_LINE.exec(read.raw)
  return cut && (cut[1] ? 2 : cut[2] ? 4 : 3)
}

/**
 * Pieces by the sheets: their number in the list, how many lie on one another, and how often each is cut.
 *
 * @returns nothing where no line counts its sheets, or nothing is said of what becomes of each
 */
export function bySheets(shell: readonly ReadIngredient[], clauses: readonly Clause[]): Found[] {
  // "Puff pastry sheet 1 (makes 8 squares)".
  const saysAll = shell.find(({ food, line }) => foodIs(food, 'bought-dough') && MAKES_SO_MANY.test(line.raw))
  if (saysAll) return [found(Number(MAKES_SO_MANY.exec(saysAll.line.raw)![1]), WEIGHT, saysAll.line.raw)]
  const line = sheetLine(shell)
  if (!line || clauses.some(({ text }) => ALL_STACKED.test(text))) return []
  const sheets = sheetsOf(line.read)!
  // "Puff pastry sheets - 2 (each makes 4)".
  const told = Number(
    /\beach (?:one )?(?:makes|gives|for|cut in(?:to)?) (\d{1,2})\b/i.exec(line.line.raw)?.[1] ?? 0,
  )
  if (told) return [found(sheets * told, WEIGHT, line.line.raw)]
  let each: number | null = null
  let says = ''
  let ahead: Clause | null = null
  for (const clause of clauses) {
    const text = inNumbers(clause.text)
    if (BASES.test(text)) return []
    // Once they are baked they are cut to be eaten.
    if (clause.closed && COOKED.test(text)) break
    const before = ahead && ahead.step === clause.step ? inNumbers(ahead.text) : ''
    ahead = clause
    const from = FROM_EACH.exec(text)
    if (from && each === null) {
      each = Number(from[1])
      says = text
      continue
    }
    const ofSheets = ofSheet(text) || EACH_OF_THEM.test(text)
    const goesOn = ofSheet(before) && /\b(?:cut|slice|halve|quarter|divide)\b/i.test(text)
    if (each === null && !ofSheets && !goesOn) continue
    const seen = [...mentionsIn(before)(text)]
    if (seen.some(({ result }) => result)) return []
    if (each === null) seen.push(...partings(text, seen))
    for (const mention of seen) {
      if (each === null) [each, says] = [mention.count, text]
      // "… then cut each strip in half", "… roll up and cut into 5".
      else if ((mention.each || ROLLED_THEN_CUT.test(text)) && !CUT_OTHERS.test(text)) each *= mention.count
    }
  }
  const layers = layersIn(clauses)
  // "12 sheets of filo, halved": the list cuts them, where the method does not.
  each ??= cutOnLine(line.read)
  if (each !== null) return [found((sheets * each) / layers, WEIGHT, says || line.line.raw)]
  return layers > 1 && clauses.some(({ text }) => REPEATED.test(text))
    ? [found(sheets / layers, LAYERED_WEIGHT, line.line.raw)]
    : []
}

/** "Put some filling on each sheet, roll up": as many as there are sheets. */
export function onEachSheet(shell: readonly ReadIngredient[], clauses: readonly Clause[]): Found[] {
  const line = sheetLine(shell)
  // "10 triangular sheets": they are shaped already.
  const one = /\btriang/i.test(line?.line.raw ?? '') || clauses.find(({ text }) => ONE_EACH.test(text))
  return line && one && layersIn(clauses) === 1
    ? [found(sheetsOf(line.read)!, ONE_EACH_WEIGHT, line.line.raw)]
    : []
}

const found = (pieces: number, weight: number, says: string): Found => ({
  pieces: Math.max(1, Math.floor(pieces)),
  weight,
  says,
})
