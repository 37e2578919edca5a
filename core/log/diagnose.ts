import type { CookingWay } from '../recipe/vocabulary'
import type { Evidence, Fault } from './faults'

/** What is known of a bake: figures of the record by name; what is not known is not there. */
export type Findings = Readonly<Record<string, number | string | undefined>>

export interface Likely {
  cause: string
  because: string
  /** 0 to 1, among all causes of the symptom and something else. */
  probability: number
  /** What in the record and the answers speaks for it (+) or against it (−). */
  reasons: { text: string; speaks: 'for' | 'against' }[]
  now: string
  next: string
  source: string
}

export interface Question {
  cause: string
  text: string
}

export interface Diagnosis {
  symptom: string
  name: string
  causes: Likely[]
  /** The one question that best separates the first two; null when none is left or one is clear. */
  question: Question | null
  /** What is left for a cause that the table does not have. */
  somethingElse: number
}

/** Beside all causes of the table there is one that it does not know. Our own choice. */
const SOMETHING_ELSE_SHARE = 0.08
/** Above this nothing needs to be asked. Our own choice. */
const CLEAR = 0.85

const FINDINGS: Readonly<Record<string, string>> = {
  'loose-water-pct': 'loose water in the filling, %',
  'wall-mm': 'dough round the filling, mm',
  overfull: 'filling against what closes well',
  'filling-c': 'filling at closing, °C',
  'oil-c': 'oil, °C',
  softness: 'softness of the dough',
  'rest-minutes': 'rest of the dough, min',
  'batch-grams-per-litre': 'pieces in a litre of oil, g',
  'dough-fat-pct': 'fat in the dough, % of the flour',
  'wash-grams-per-piece': 'wash on a piece, g',
  'oven-off-c': 'oven beside what it says, °C',
  'minutes-over-pct': 'time beside the plan, %',
  'middle-c': 'middle, °C',
  'proof-over-pct': 'proof beside the plan, %',
  'water-short-pct': 'water short of the plan, %',
  'knead-minutes': 'kneading, min',
  'wait-minutes': 'waiting, min',
  rolls: 'times it was rolled',
  'gluten-pct': 'added gluten, % of the flour',
  'gluten-free': 'without gluten',
  family: 'kind of dough',
  holds: 'how the dough holds together (1: wheat flour and water)',
  'filling-salt-pct': 'salt of the filling, %',
  'filling-fat-pct': 'fat of the filling, %',
  'filling-to-dough': 'filling to dough',
  'start-c': 'pieces went in at, °C',
  'half-mm': 'half of the thickness, mm',
  'liquid-c': 'liquid for the yeast, °C',
  'room-c': 'room, °C',
}

/** The findings that causes ask for, each with its words. */
export const FINDING_NAMES = FINDINGS

const holds = ({ test, value }: Evidence, found: number | string): boolean =>
  test === '='
    ? String(found) === value
    : test === '<'
      ? Number(found) < Number(value)
      : Number(found) > Number(value)

const show = (value: number | string) =>
  typeof value === 'number' ? String(Math.round(value * 100) / 100) : value

/** The symptoms that may be told of a dish cooked so. */
export function symptomsFor(
  faults: readonly Fault[],
  ways: readonly CookingWay[],
): { id: string; name: string }[] {
  const found = new Map<string, string>()
  for (const { symptom, name, ways: own } of faults)
    if (!own.length || own.some((way) => ways.includes(way))) found.set(symptom, name)
  return [...found].map(([id, name]) => ({ id, name }))
}

/**
 * Ranks the causes of a symptom by Bayes' rule: how often each is the cause, times how well each finding of the
 * record and each answer goes with it. Findings count as independent of each other under a cause, which they are only
 * roughly: the order is what is meant, not the digits.
 *
 * @param symptom an id of the table
 * @param findings what the record holds; a finding that is not there says nothing
 * @param answers to questions, by cause: yes or no
 */
export function diagnose(
  faults: readonly Fault[],
  symptom: string,
  ways: readonly CookingWay[],
  findings: Findings,
  answers: Readonly<Record<string, boolean>> = {},
): Diagnosis | null {
  const rows = faults.filter(
    (fault) =>
      fault.symptom === symptom && (!fault.ways.length || fault.ways.some((way) => ways.includes(way))),
  )
  if (!rows.length) return null
  const weighed = rows.map((fault) => {
    let weight = fault.often
    const reasons: Likely['reasons'] = []
    for (const evidence of fault.evidence) {
      const found = findings[evidence.key]
      if (found === undefined || (typeof found === 'number' && !Number.isFinite(found))) continue
      const factor = holds(evidence, found) ? evidence.holds : evidence.fails
      weight *= factor
      const limit =
        evidence.test === '='
          ? ''
          : `; ${evidence.test === '<' ? 'below' : 'above'} ${evidence.value} speaks for it`
      reasons.push({
        text: `${FINDINGS[evidence.key] ?? evidence.key}: ${show(found)}${limit}`,
        speaks: factor >= 1 ? 'for' : 'against',
      })
    }
    const answer = answers[fault.cause]
    if (answer !== undefined) {
      const factor = answer ? fault.yes : fault.no
      weight *= factor
      reasons.push({ text: `${fault.ask} ${answer ? 'Yes' : 'No'}`, speaks: factor >= 1 ? 'for' : 'against' })
    }
    return { fault, weight, reasons }
  })
  // What the table lacks weighs as much as its share of all causes before anything was seen.
  const known = rows.reduce((sum, { often }) => sum + often, 0)
  const unknown = (known * SOMETHING_ELSE_SHARE) / (1 - SOMETHING_ELSE_SHARE)
  const sum = weighed.reduce((total, { weight }) => total + weight, 0) + unknown
  const causes = weighed
    .map(({ fault, weight, reasons }): Likely & { fault: Fault } => ({
      fault,
      cause: fault.cause,
      because: fault.because,
      probability: weight / sum,
      reasons,
      now: fault.now,
      next: fault.next,
      source: fault.source,
    }))
    .sort((a, b) => b.probability - a.probability)
  const open = causes.slice(0, 2).filter(({ fault }) => fault.ask && answers[fault.cause] === undefined)
  const sharpest = open.sort(
    (a, b) => Math.abs(Math.log(b.fault.yes / b.fault.no)) - Math.abs(Math.log(a.fault.yes / a.fault.no)),
  )[0]
  return {
    symptom,
    name: rows[0]!.name,
    causes: causes.map(({ fault: _, ...likely }) => likely),
    question:
      sharpest && causes[0]!.probability < CLEAR && causes.length > 1
        ? { cause: sharpest.cause, text: sharpest.fault.ask }
        : null,
    somethingElse: unknown / sum,
  }
}
