import { endsInDish, namesDishIn, PIECE_NAME } from './dishNames'
import { readHeading } from './headings'
import { LEAST_NAME_WORDS, nameInFront } from './nameInFront'
import type { Foods } from '../food/food'
import type { Outline, OutlineState } from './outlineState'
import { readSentence } from './outlineSentence'
import { boastOf } from './page'
import { withDigits } from './readNumber'
import { inlineList, isStep, matchedIngredient, titleEnd, wordsOf } from './rows'
import { PIECES, readYields, titleYields, withoutYields } from './servings'
import { startsLikeStep } from './stepWords'
import { capital, spokenName, withoutTalk } from './talk'
import { sentencesOf } from './sentenceEnds'
import type { Row } from './tidy'

/** "Pizza pockets, 31 g protein each": a title may boast of what the dish holds. */
const MACROS_BEHIND = /\s*[:(–—-]\s*(?:macros?|each|per (?:piece|serving|[a-zß-öø-ɏ]+))\b[^:]*\d.*$/i
const FIGURES_BEHIND = /\s*[-–—,;(|]\s*\d+\s*(?:g (?:of )?(?:protein|fat|carbs?|fib(?:re|er))|k?cals?)\b.*$/i

/** Where a title goes over to figures of what the dish holds; null for a title that does not. */
export const boastIn = (text: string): RegExpExecArray | null =>
  FIGURES_BEHIND.exec(text) ??
  (/\b(?:k?cals?|protein|carbs?)\b/i.test(text) ? MACROS_BEHIND.exec(text) : null)

/** The first sentence of a recipe told in one breath, when it is what the dish is called. */
export function titleSentence({ out, mode, foods }: OutlineState, text: string): string | null {
  if (out.title || mode !== 'start' || out.sections.length || text.length > 20_000) return null
  const sentences = sentencesOf(text)
  const [lead] = sentences
  if (sentences.length < 2 || !lead || lead.length > 80 || wordsOf(lead) > 10) return null
  // "Pasties? no, turnovers": a short row without a list is a name, whatever its marks.
  if (
    text.length < 90 &&
    wordsOf(text) <= 14 &&
    /[?!]/.test(text) &&
    sentences.every(
      (one) =>
        !isStep(one, foods) && !inlineList(one, foods) && !/^\W*(?:makes?|serves|yields?)\b/i.test(one),
    )
  )
    return null
  const isNamed = !/[:,\d]/.test(lead) && namesDishIn(lead) && !startsLikeStep(lead)
  const plain =
    (isNamed || !isStep(lead, foods)) &&
    !inlineList(lead, foods) &&
    (!readHeading(lead, { foods }) || (wordsOf(lead) >= LEAST_NAME_WORDS && isNamed)) &&
    !readYields(lead)?.whole
  if (plain)
    return titleEnd(lead) === lead.length && !/^(?:note|tip|serves|makes)\b/i.test(lead) ? lead : null
  // "Yesterday I made dumplings.": told, and named by it.
  return TELLS_WHO.test(lead) && !/\d/.test(lead) && spokenName(lead, endsInDish) ? lead : null
}

const TELLS_WHO =
  /^\W*(?:(?:so|ok|okay|right|well|and),? )*(?:(?:yesterday|today|tonight|last|this|the other|at the)\b.*\b(?:i|we)\b|(?:i|we)\b|ma[dk]e\b)/i
/** Names a recipe that no row of its own has named: by its first words, or by what is counted. */
export function nameByTheRest(out: Outline, rows: readonly Row[], foods: Foods): void {
  const told = out.title
  // "@ourkitchen BREAKFAST POCKETS": who posted it is no name of a dish.
  const meant = correctedTitle(told)
  out.title = withoutTalk(meant.replace(/^@[\w.]+[\s:–-]+(?=\S)/, ''))
  // "Empanadas (for the party, 2 doz.)": what the count has left of a bracket is no name.
  const open = /\s*\(([^)]*)$/.exec(out.title)
  if (open) {
    out.title = out.title.slice(0, open.index)
    if (open[1]!.trim()) out.remarks.push({ text: open[1]!.trim(), at: -1 })
  }
  // What was said round the name is kept as it was said.
  if (meant !== told || told.length > out.title.length + TALK_KEPT) out.remarks.push({ text: told, at: -1 })
  // "Fish turnovers. Makes 6. Poach the fish …" below a table: the first words of the work are its name.
  const first = out.steps[0] && sentencesOf(out.steps[0].text)[0]?.replace(/[.:]$/, '')
  const opening = rows[0]?.text.slice(0, 120) ?? ''
  if (!out.title) out.title = spokenName(opening, (name) => endsInDish(name) && !isStep(name, foods)) ?? ''
  // "Here's how we do cheese pide, for two: 250 g flour …".
  const eaters = FOR_EATERS.exec(opening)?.[0]
  if (eaters && told !== out.title && !out.counts.some(({ servings }) => servings))
    countedTitle(out, out.title + eaters)
  // "For 20 manti you need", "Quick pockets for one": what is named in passing may be counted as well.
  if (COUNTS.test(out.title) && (out.counts.length > 0 || countedTitle(out, out.title)))
    out.title = capital(withoutYields(out.title).replace(LEADING_NUMBER, ''))
  // "Hand pies with beetroot."
  const own = first?.split(/\s+(?:with|of|in)\s+/i)[0] ?? ''
  if (!out.title && first && wordsOf(first) <= 7 && PIECE_NAME.test(own) && !isStep(first, foods))
    out.title = first
  // "For about 30 vareniki with cherries I take": what is counted, and what is in it.
  if (!out.title) {
    const texts = [...out.remarks, ...out.counts].map(({ text }) => text)
    const dish =
      texts.map((text) => COUNTED_DISH.exec(text)?.[1]).find(Boolean) ??
      // "For about 16 pasties: 500 g flour, …".
      texts.map((text) => FOR_SO_MANY.exec(text)?.[1]).find((name) => name && endsInDish(name))
    if (dish) out.title = capital(dish)
  }
  // "Hand pies - 10 servings" below a table: what is counted is named, and nothing else has named the dish.
  if (!out.title) {
    const named = out.counts.map(
      ({ text }) => /^(.{3,60}?)\s*[-–—:|(,]\s*(?=.*\d)/u.exec(text)?.[1]?.trim() ?? '',
    )
    out.title = named.find((name) => PIECE_NAME.test(name) && !/\d|makes|serves|yield/i.test(name)) ?? ''
  }
  // "Pasta dough 300 g flour … about 60 tortellini": what is counted is the dish.
  const made = out.counts.map(({ text }) => MADE.exec(text)?.[1]).find(Boolean)
  if (made && (!out.title || NAMES_PART.test(out.title))) out.title = capital(made)
  // "Stuffed paratha dough = 300 g atta, …": what the dough is of.
  const ofDough = !out.title && OF_DOUGH.exec(opening)?.[1]
  if (ofDough && endsInDish(ofDough)) out.title = capital(ofDough)
  // "Bun dough" over everything: it leads its lines, and is all that the text is called.
  const opens = out.sections[0]?.heading?.name
  if (!out.title && opens && /^(?!(?:for|to|the) ).* /i.test(opens) && rows[0]?.text.startsWith(opens))
    out.title = capital(opens)
}

/** A part by itself is no name of a dish. */
const NAMES_PART = /^(?:[a-zß-öø-ɏ]+ )?(?:dough|pastry|crust)$/i
/** "About 60 tortellini": what is counted by its own name. */
const MADE = new RegExp(
  String.raw`^\W*(?:makes |gives )?(?:about |around |~ ?)?\d{1,3} ((?!pieces|pcs|balls|rounds|circles|squares|rolls|units|portions)(?:[a-zß-öø-ɏ]+ )?${PIECES})\W*$`,
  'i',
)
/** "Stuffed paratha dough =": the dish in front of its part. */
const OF_DOUGH =
  /^(?:for |the |my )*([a-zß-öø-ɏ][a-zß-öø-ɏ -]{3,40}?) (?:dough|pastry|crust|filling)\s*[=:–-]/i

/** "Chilla rolls? No - stuffed chilla", "pudding... I mean pasties": what is meant stands behind. */
const CORRECTED =
  /^(.{3,80}?)(?:\?+[\s,]*(?:no|nope|wait|sorry|actually)\b|\s*(?:\.{2,}|…)\s*(?:no|nope|sorry)\s*[:,;!–—-]|\s*(?:\.{2,}|…|,| [-–—])\s*(?:i mean|i meant|or rather|make that)\b)[\s,:;.!–—-]*(?:just )?(?=[a-zß-öø-ɏ"]{3})/i
/** "No, onion kachori.", behind what was asked. */
const TAKEN_BACK = /^(?:no|nope|wait|sorry|actually)\b[\s.,:;!–—-]*([^.:!?\d]{3,60})[.:!](?!\.)\s*/i
/** "… No: with wonton skins" says how, and is no other name. */
const NO_OTHER_NAME =
  /^(?:(?:[a-zß-öø-ɏ]+ )?lid\b|with|without|these|this|those|it|in|from|and|on|for|only)\b/i
/** A title without what it takes back, where what stands behind names a dish. */
function correctedTitle(told: string): string {
  const found = CORRECTED.exec(told)
  if (!found) return told
  const [front, meant] = [found[1]!, told.slice(found[0].length)]
  const isOpen = front.lastIndexOf('(') > front.lastIndexOf(')')
  // "Pie with a filo lid... no: puff lid" goes on about the pie.
  if (isOpen || NO_OTHER_NAME.test(meant) || (namesDishIn(front) && !namesDishIn(meant))) return told
  return capital(meant)
}
const FOR_EATERS = /(?<=^[^.:]{3,90}),? for (?:one|two|three|four|five|six|eight|\d{1,2})(?= ?:)/i
/** So many characters of talk say more than a greeting. Our own choice. */
const TALK_KEPT = 40
const COUNTED_DISH = new RegExp(
  String.raw`\b(?:for|makes?|get) (?:about |around |some )?\d{1,3} ((?:[a-zß-öø-ɏ]+ ){0,2}?${PIECES} (?:with|of) (?!the\b|dough\b|filling\b|\d)[a-zß-öø-ɏ]+(?: (?:and|&) [a-zß-öø-ɏ]+)?)`,
  'i',
)
const COUNTS = new RegExp(
  String.raw`^(?:about |around |some )?\d{1,3} (?:[a-zß-öø-ɏ]+ ){0,3}?${PIECES}$|\bfor (?:one|two|three|four|\d{1,2})$`,
  'i',
)
const LEADING_NUMBER = /^(?:about |around |some )?\d{1,3} /i
const FOR_SO_MANY =
  /^\W*(?:you need )?(?:for|to make|makes) (?:about |around |some )?\d{1,3} ((?:[a-zß-öø-ɏ]+ ){0,2}(?!pieces|people|servings|ingredient)[a-zß-öø-ɏ]{4,})\W*$/i
/** What a row says behind the title that it begins with; null where it is the title and nothing else. */
export function behindTitle(state: OutlineState, row: Row): string | null {
  const { out } = state
  const { text } = row
  const boast = !out.title && state.isAtStart ? boastOf(text) : null
  if (boast) {
    out.title = boast
    state.is(row, 'title')
    return null
  }
  const isFirst = !out.title && state.mode === 'start' && !out.sections.length
  const named = isFirst ? nameInFront(text, state.foods) : null
  if (named) {
    out.title = countedTitle(out, named.name) ? withoutYields(named.name) : named.name
    state.is(row, 'title')
    return named.rest
  }
  const lead = titleSentence(state, text)
  if (lead === null) return text
  const behind = text.slice(text.indexOf(lead) + lead.length).trim()
  // "Stuffed idli?? no, onion kachori.": what is meant stands in the next sentence.
  const meant = /\?\s*$/.test(lead) ? TAKEN_BACK.exec(behind) : null
  if (meant && namesDishIn(meant[1]!)) {
    out.title = capital(meant[1]!)
    out.remarks.push({ text: lead, at: -1 })
    state.is(row, 'title')
    return behind.slice(meant[0].length)
  }
  const name = lead.replace(/[\s.:!-]+$/, '')
  // "Lentil fatayer makes about twenty.": so many of what is named.
  out.title = countedTitle(out, name) ? withoutYields(withDigits(name)) : name
  state.is(row, 'title')
  return behind
}

/** "Ham & cheese buns (12)" by itself below a table that the text began with: what the dish is called. */
export function namesDish({ out, mode, foods }: OutlineState, rows: readonly Row[], index: number): boolean {
  const [row, next] = [rows[index]!, rows[index + 1]]
  if (out.title || mode !== 'lines' || !row.blankBefore || (next && !next.blankBefore)) return false
  const name = withoutYields(row.text)
    .replace(/[\s,;:–-]+$/, '')
    .replace(/\s*\([^()\d]*\)$/, '')
  return (
    wordsOf(row.text) <= 8 &&
    !/^\W*\d/.test(name) &&
    PIECE_NAME.test(name) &&
    !isStep(name, foods) &&
    !matchedIngredient(name, foods)
  )
}

/** Keeps what a title counts; false for one that counts nothing. */
function countedTitle(out: Outline, text: string): boolean {
  const yields = titleYields(text)
  if (!yields) return false
  const { pieces, servings, perServing } = yields
  out.counts.push({ pieces, servings, perServing, text })
  return true
}

/** What a first row says behind the name of the dish; null where it has been read to its end. */
export function behindName(state: OutlineState, row: Row, whole: string): string | null {
  const { out } = state
  const boasts = boastIn(whole)
  const name = boasts && boasts.index > 3 ? whole.slice(0, boasts.index) : whole
  if (name !== whole) state.remark(row, whole.slice(boasts!.index).replace(/^\W+/, ''))
  // "Pizza pockets (4 pockets, 31 g protein each)": what is left of the bracket is closed.
  const isOpen = name !== whole && name.lastIndexOf('(') > name.lastIndexOf(')')
  const text = isOpen ? `${name})` : name
  const listAt = titleEnd(text)
  if (listAt === null) return text
  if (listAt < text.length) {
    out.title = text.slice(0, listAt).replace(/[\s,.:;–-]+$/, '')
    state.is(row, 'title')
    for (const sentence of sentencesOf(text.slice(listAt).replace(/^[\s,.:;–-]+/, '')))
      readSentence(state, row, sentence)
    return null
  }
  out.title = (countedTitle(out, text) ? withoutYields(text) : text)
    .replace(/^(?:title|recipe)\s*:\s*/i, '')
    .replace(/\s*[:.…–-]+$/, '')
  out.became.set(row.at, 'title')
  return null
}
