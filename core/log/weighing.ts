/** A line on its way onto the scale. */
export interface ToWeigh {
  lineId: string
  partId: string
  name: string
  plannedGrams: number
  /** What went in; null before it is weighed. */
  grams: number | null
}

/** What is still missing of a line, or how much too much it is. */
export interface Pouring {
  missingGrams: number
  state: 'pour' | 'nearly' | 'there' | 'over'
}

/** A scale of 1 g and a hand with a spoon: so far off is there. Our own choice. */
const THERE_GRAMS = 1
const THERE_SHARE = 0.01
const NEARLY_SHARE = 0.9

/** How far a line is poured. */
export function pouring(plannedGrams: number, onScaleGrams: number): Pouring {
  const missing = plannedGrams - onScaleGrams
  const fine = Math.max(THERE_GRAMS, THERE_SHARE * plannedGrams)
  const state =
    Math.abs(missing) <= fine
      ? 'there'
      : missing < 0
        ? 'over'
        : onScaleGrams >= NEARLY_SHARE * plannedGrams
          ? 'nearly'
          : 'pour'
  return { missingGrams: missing, state }
}

/** More than this is no slip but another recipe. Our own choice. */
const MOST_OVER = 0.5

/** What more goes in of every other line of the part, so that its proportions stay as they were. */
export function afterOvershoot(
  lines: readonly ToWeigh[],
  lineId: string,
): { factor: number; more: { lineId: string; name: string; moreGrams: number; weighed: boolean }[] } | null {
  const line = lines.find((one) => one.lineId === lineId)
  if (!line || line.grams === null || line.plannedGrams <= 0) return null
  const factor = line.grams / line.plannedGrams
  if (factor <= 1 || factor > 1 + MOST_OVER) return null
  const more = lines
    .filter((one) => one.partId === line.partId && one.lineId !== lineId)
    .map(({ lineId: id, name, plannedGrams, grams }) => ({
      lineId: id,
      name,
      moreGrams: plannedGrams * (factor - 1),
      weighed: grams !== null,
    }))
  return { factor, more }
}

/** "Weigh what was left" of a packet or bowl: what went in. Null where more is left than there was. */
export const usedOf = (beforeGrams: number, leftGrams: number): number | null =>
  leftGrams > beforeGrams ? null : beforeGrams - leftGrams

/** A level tablespoon of water, in g. Source: 15 ml, 21 CFR 101.9(b)(5)(viii). */
export const SPOON_GRAMS = 15

/** Water by the spoon: how many have gone in of those that are expected. */
export const spoonsOf = (grams: number, from: number, to: number) => ({
  spoons: Math.round(grams / SPOON_GRAMS),
  expectedFrom: Math.max(0, Math.floor(from / SPOON_GRAMS)),
  expectedTo: Math.ceil(to / SPOON_GRAMS),
})
