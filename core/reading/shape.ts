import { SHAPE_ROWS } from '../piece/shapes'
import type { Shape } from '../recipe/vocabulary'
import { LAYS_IN_TRAY, ONE_LARGER } from './dividing'
import { lastMatch } from './matches'
import { remember } from './remember'

const lastIndex = (text: string, pattern: RegExp) => {
  const last = lastMatch(pattern, text)
  return last ? last.index + last[0].length : -1
}

const FOR_LIDS = /\bfor (?:the )?(?:\d{1,2} )?lids?\b|\blids? on\b/i
const BUN = SHAPE_ROWS.find(({ shape }) => shape === 'bun')!
/** Tins are lined with dough and a lid is put on. */
const IN_TINS =
  /\bline (?:the |a |an |each )?(?:\d+ )?(?:[\p{L}-]+ ){0,3}(?:tins?|moulds?|molds?|cups?|dishes|ramekins|holes)\b[^]{0,400}\blids?\b/iu
const IN_DISHES =
  /\b(?:between|into|among|in|fill)\b(?: the)?(?: \d+)? (?:[\p{L}-]+ ){0,2}(?:pie )?(?:dishes|ramekins|tins|moulds|molds|bowls)\b[^]{0,400}\b(?:lids?|top with (?:the )?pastry|cover with (?:the )?pastry)\b/iu
/** Sheets below and above in a tray: one large pie, whatever it is called. */
const IN_TRAY =
  /\b(?:oil|grease|line|butter|brush|fit|cover|fits) (?:a|an|the|your) [^.]{0,24}\b(?:tray|tin|dish|pan)\b[^]{0,300}\b(?:cover|top|finish) (?:it |them |all )?with (?:(?:the )?rest\b(?! of the (?:filling|cheese|mixture|sauce))|(?:the )?(?:remaining|other)\b[^.]{0,20}(?:sheets?|half|pastry|dough|layers?|leaves))/i
const COVERED = /\b(?:cover|top)(?: it)? with (?:the )?(?:2nd|second|other|rest|remaining)\b/i
/** A sheet below and one above, in a tray. */
const isInTray = (method: string): boolean =>
  IN_TRAY.test(method) || (LAYS_IN_TRAY.test(method) && COVERED.test(method))
const DRAWN_UP =
  /\b(?:gather|draw|bring|pull) up (?:the )?(?:edges|sides|dough|corners)\b|\b(?:gather|draw|bring|pull)(?: the)? (?:dough|pastry|edges|sides|corners) (?:up|together|over)\b|\b(?:close|form|shape|roll)(?: (?:them|it|each))?,? (?:up )?into (?:\p{L}+ )?balls\b/iu

/**
 * The shape that the title, else the method, speaks of; null when neither does.
 *
 * @param said what is counted ("12 buns")
 */
export function readShape(title: string, method: string, said = ''): Shape | null {
  return shapeOf(title)(said)(method)
}
/** A method is long, and at every key another one: of these only the last few are kept. */
const METHODS_KEPT = 8
const shapeOf = remember((title) =>
  remember((said) => remember((method) => findShape(title, method, said), METHODS_KEPT), METHODS_KEPT),
)

function findShape(title: string, told: string, said: string): Shape | null {
  // "8 rectangles (2 triangles each)": what they are put together from.
  const method = told.replace(/\(\d triangles? each\)/gi, '')
  // "Apple strudel parcels" are parcels: the last word of what it is called, before what it comes with.
  const own = title.split(/\s+(?:with|in|from|for)\s+|\s*[(,:]|\s+-\s+/i)[0]!
  // "Samosa pie" is a pie, whatever it tastes of.
  if (/(?<!\bhand )\bpie$/i.test(own.trim())) return 'lidded-pie'
  const named =
    SHAPE_ROWS.map(({ shape, called }) => ({ shape, at: lastIndex(own, called) }))
      .filter(({ at }) => at >= 0)
      .sort((a, b) => b.at - a.at)[0] ?? SHAPE_ROWS.find(({ called }) => called.test(title))
  const made = (
    SHAPE_ROWS.find(({ closedBy }) => closedBy.test(method)) ??
    SHAPE_ROWS.find(({ hinted }) => hinted?.test(method))
  )?.shape
  // "Patties" that are folded to triangles are no discs, and a flat bread that is folded over is a half-moon.
  if (named?.shape === 'disc' && (made === 'half-moon' || made === 'cone') && /\bfold\b/i.test(method))
    return made
  // "Scotch pies … roll the rest for 6 lids".
  if (
    (!named || named.shape === 'half-moon') &&
    /\bpies\b/i.test(own) &&
    FOR_LIDS.test(method) &&
    !/\bfold\b/i.test(method)
  )
    return 'lidded-pie'
  // Hand pies are folded, and some are baked in tins under a lid. Anything filled is called a dumpling: dough that is drawn up round what it holds is closed as a bun.
  if (
    !named &&
    ONE_LARGER.test(method) &&
    /\b(?:cover|lid|top with)\b/i.test(method) &&
    !/\bfold\b/i.test(method)
  )
    return 'lidded-pie'
  if (
    (!named || named.shape === 'half-moon' || (named.shape === 'disc' && isInTray(method))) &&
    ((/\bpies\b/i.test(own) && (IN_TINS.test(method) || IN_DISHES.test(method))) || isInTray(method))
  )
    return 'lidded-pie'
  if (
    named?.shape === 'half-moon' &&
    /\bdumplings?\b/i.test(title) &&
    DRAWN_UP.test(method) &&
    !/\bfold (?:\p{L}+ )?(?:in half|over)\b/iu.test(method)
  )
    return 'bun'
  // Crescents that are rolled up from triangles are rolls.
  if (
    named?.shape === 'half-moon' &&
    /\bcrescents?\b/i.test(own) &&
    /\broll(?:ed)? (?:it |them |each )?up\b/i.test(method)
  )
    return 'roll'
  // Rolls that are drawn up round what they hold are buns.
  if (
    named?.shape === 'roll' &&
    BUN.closedBy.test(method) &&
    !/\broll(?:ed|ing)? (?:it |them )?up\b/i.test(method)
  )
    return 'bun'
  if (named?.shape === 'pleated' && /\bhalf[- ]moons?\b/i.test(method)) return 'half-moon'
  // Anything filled is called a dumpling: the hands say how it is closed.
  if (
    named?.shape === 'half-moon' &&
    (made === 'pleated' || made === 'parcel') &&
    /\bdumplings?\b/i.test(made === 'parcel' ? title : own) &&
    !/\bfold\b/i.test(method)
  )
    return made
  if (named) return named.shape
  // "Yield: 12 buns" names the piece as a title does, where the method only flattens it; balls are of dough.
  const counted =
    made && made !== 'disc'
      ? undefined
      : SHAPE_ROWS.find(({ called }) => called.test(said.replace(/\bballs?\b/gi, '')))
  if (counted) return counted.shape
  if (made) return made
  // One pie has a lid; pies are closed in the hand.
  if (/\bpie\b/i.test(title)) return 'lidded-pie'
  return /\bpies\b/i.test(title) ? 'half-moon' : null
}
