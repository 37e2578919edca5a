import { COOKING_WAYS, type CookingWay } from '../recipe/vocabulary'

/** Something in the record that speaks for a cause or against it. */
export interface Evidence {
  key: string
  test: '<' | '>' | '='
  value: number | string
  /** How much likelier this is under the cause, where the test holds and where it does not. */
  holds: number
  fails: number
}

/** One cause of one symptom. */
export interface Fault {
  symptom: string
  name: string
  /** Ways of cooking in which it happens; empty for all. */
  ways: readonly CookingWay[]
  cause: string
  because: string
  /** How often it is the cause, beside the others of the symptom. */
  often: number
  evidence: readonly Evidence[]
  /** A question whose answer speaks for it or against it. */
  ask: string
  yes: number
  no: number
  now: string
  next: string
  source: string
}

const EVIDENCE = /^([a-z-]+)([<>=])([\w.-]+):([\d.]+)\/([\d.]+)$/

/**
 * The table of symptoms and causes, from its rows.
 *
 * @throws Error naming the row that is not understood
 */
export function faultsFromRows(rows: readonly Record<string, string>[]): Fault[] {
  return rows.map((row) => {
    const named = `faults: ${row.symptom} / ${row.cause}`
    const ways = row.ways === 'any' ? [] : row.ways!.split('|')
    const strange = ways.find((way) => !(COOKING_WAYS as readonly string[]).includes(way))
    if (strange) throw new Error(`${named}: "${strange}" is no way of cooking`)
    const evidence = row
      .evidence!.split('|')
      .filter(Boolean)
      .map((text): Evidence => {
        const parts = EVIDENCE.exec(text)
        if (!parts) throw new Error(`${named}: "${text}" is no evidence`)
        const number = Number(parts[3])
        return {
          key: parts[1]!,
          test: parts[2] as Evidence['test'],
          value: parts[2] === '=' ? parts[3]! : number,
          holds: Number(parts[4]),
          fails: Number(parts[5]),
        }
      })
    const [often, yes, no] = [row.often, row.yes, row.no].map(Number)
    if (!(often! > 0 && yes! > 0 && no! > 0)) throw new Error(`${named}: weights above 0 are wanted`)
    if (!row.now || !row.next || !row.source) throw new Error(`${named}: a remedy and a source are wanted`)
    return {
      symptom: row.symptom!,
      name: row.name!,
      ways: ways as CookingWay[],
      cause: row.cause!,
      because: row.because!,
      often: often!,
      evidence,
      ask: row.ask!,
      yes: yes!,
      no: no!,
      now: row.now,
      next: row.next,
      source: row.source,
    }
  })
}
