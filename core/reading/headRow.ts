import { remember } from './remember'
import { readYields } from './servings'
import { middleMinutes, timesIn } from './time'

// The row of figures at the head of a page: "Prep: 40 min | Cook: 25 min | Yield: 14 | Difficulty: easy". It is taken
// apart into cells by what stands between them or by the label of the next; a row all of whose cells are known says
// nothing of how the dish is made.

export interface TimeOfWhole {
  /** What the time is of; null for one that nothing asks for. */
  kind: 'prep' | 'cook' | 'total' | null
  minutes: number
  /** "Bake 20 minutes" is also what somebody is told to do; "Bake: 20 minutes" and "Cook time" are not. */
  isTold: boolean
}

/** What a cell says: a time of the whole, a count, or something that nothing asks for. */
export type HeadCell = { time: TimeOfWhole } | { count: string } | 'other'

const TIMED = String.raw`prep(?:aration)?|cook(?:ing|s)?|bak(?:e|ing)|oven|frying|steaming|total|takes|rest(?:ing)?|active|hands[- ]on|prov(?:e|ing)|proof(?:ing)?|ris(?:e|ing)|chill(?:ing)?|soak(?:ing)?|cooling|inactive|ready in|additional|marinating`
const NAMED = String.raw`difficulty|(?:skill )?level|cuisine|course|category|author|rating|cost|diet|keywords?|occasion|season|freezable|equipment`
const TIME_CELL = new RegExp(
  String.raw`^\W*(?<word>${TIMED}|time)(?:\s*time)?\s*[:=–-]?\s*(?<told>\S.*)$`,
  'i',
)
/** "20 min prep". */
const TIME_BEHIND =
  /^\W*(?<told>\d[\d–-]*\s*(?:m|h|min\w*|hrs?|hours?))\s+(?<word>prep|cook(?:ing)?|baking|active|hands[- ]on|total|chilling|resting|rising)(?:\s+time)?\W*$/i
/** All that a time may be told in. */
const TIME_WORDS =
  /\d|(?<![a-zß-öø-ɏ])(?:an?|about|approx\w*|around|roughly|half|quarter|of|and|plus|to|or|up|h|hrs?|hours?|m|mins?|minutes?|days?|overnight|per batch|each|chill(?:ing)?|rest(?:ing)?|cool(?:ing)?|ris(?:e|ing)|prov(?:e|ing)|proof(?:ing)?|soak(?:ing)?|marinat(?:e|ing)|wait(?:ing)?|time)(?![a-zß-öø-ɏ])|[½¼¾]/gi
const NAMED_CELL = new RegExp(String.raw`^\W*(?:${NAMED})\s*[:=–-]\s*[^\d].*$|^\W*rating\s*[:=–-]`, 'i')
const WORD_CELL =
  /^\W*(?:vegetarian|vegan|veggie|(?:freezer|kid|family|budget)[- ]friendly|freezable|easy|medium|intermediate|advanced|(?:gluten|dairy|nut|egg)[- ]free|(?:low|high)[- ](?:carb|protein|calorie)|keto|quick)\W*$/i
const FIGURE_CELL =
  /^\W*(?:calories|k?cals?|energy)\s*[:=–-]?\s*\d{2,4}\s*(?:k?cals?)?\W*$|^\W*\d{2,4}\s*k?cals?\W*$/i
const BETWEEN = /\s*[|•·;●▪⏱⏲🕒]+\s*|\.\s+|\.$|\s+[/–—-]+\s+|,\s+/u
const NEXT_LABEL = new RegExp(
  String.raw`(?<!\bskill)\s+(?=(?:skill level|${TIMED}|${NAMED}|yields?|makes|serves|servings|calories)\b(?:\s*time)?\s*[:=]?\s*\S)`,
  'i',
)

/** "Prep time: 30 min", "Total 1 h 10": a time of the whole at the head of a page. Null for any other text. */
export const timeOfWhole: (text: string) => TimeOfWhole | null = remember((text) => {
  const cell = TIME_CELL.exec(text) ?? TIME_BEHIND.exec(text)
  if (!cell) return null
  const { word, told } = cell.groups!
  const [time, more] = timesIn(told!)
  if (!time || /\p{L}/u.test(told!.replace(TIME_WORDS, ' '))) return null
  return {
    kind: /^prep|hands|^active/i.test(word!)
      ? 'prep'
      : /^(?:cook|bak|oven)/i.test(word!)
        ? 'cook'
        : /^(?:total|ready)/i.test(word!)
          ? 'total'
          : null,
    minutes: middleMinutes(time) + (more ? middleMinutes(more) : 0),
    isTold: /^(?:bake|cook|rest|chill|prove|proof|rise|soak|oven)$/i.test(word!) && !/time|[:=]/i.test(text),
  }
})

function cellOf(text: string): HeadCell | null {
  const time = timeOfWhole(text)
  if (time) return { time }
  if (NAMED_CELL.test(text) || WORD_CELL.test(text) || FIGURE_CELL.test(text)) return 'other'
  return readYields(text)?.whole ? { count: text } : null
}

/** The cells of a row of figures; null for a row of which a cell is anything else. A single cell is a row as well. */
export const headCells: (row: string) => readonly HeadCell[] | null = remember((row) => {
  if (row.length > 240) return null
  const cells = row
    .split(BETWEEN)
    .flatMap((piece) => piece.split(NEXT_LABEL))
    .map((piece) => piece.trim())
    .filter(Boolean)
    .map(cellOf)
  return cells.length && cells.every((cell) => cell !== null) ? cells : null
})
