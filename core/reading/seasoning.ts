import { SALT_PER_SODIUM } from '../food/nutrients'
import type { PartKind } from '../recipe/vocabulary'
import type { Draft } from './drafts'

/**
 * Salt "to taste", as a share of what it salts: of the flour in a dough, of the weight of a filling or a dip.
 * Common practice, no source.
 */
const SALT_SHARE: Readonly<Partial<Record<PartKind, number>>> = {
  shell: 0.018,
  filling: 0.009,
  dip: 0.009,
  marinade: 0.02,
}
/** A pinch goes in all the same where the other foods are salty enough. Common practice, no source. */
const LEAST_SALT_GRAMS = 0.4
/** Seeds on top of a batch, of which nobody says how many. Common practice, no source. */
const SEEDS_ON_TOP_GRAMS = 5
const STREWN = /\bseeds?$/i
/** Pepper and other ground spice "to taste": of the weight of what it seasons. Common practice, no source. */
const SPICE_SHARE = 0.0015

/**
 * Weighs what a line leaves to taste: salt makes up what the part's other foods do not bring, pepper and spice
 * follow the weight. Nothing is weighed that the line states.
 */
export function seasonToTaste(draft: Draft): void {
  for (const item of draft.lines) {
    const { line, read, food } = item
    if (!food || read.measures.length || line.componentId) continue
    const salt = food.group === 'salt' && food.id !== 'celery-salt'
    if (!salt && food.group !== 'spice') continue
    // Fennel or caraway that is strewn on top follows no weight: it is as much as sesame would be.
    if (draft.kind === 'finish' && STREWN.test(read.name)) {
      Object.assign(line, {
        grams: SEEDS_ON_TOP_GRAMS,
        gramsLow: SEEDS_ON_TOP_GRAMS / 2,
        gramsHigh: SEEDS_ON_TOP_GRAMS * 2,
      })
      line.notes = [
        ...line.notes.filter((note) => !/^(?:to-taste|as-required|no-amount)$/.test(note.code)),
        {
          code: 'no-amount',
          level: 'check',
          text: `No amount is given: ${SEEDS_ON_TOP_GRAMS} g of ${food.name} is assumed, as seeds on top are; common practice, no source`,
        },
      ]
      continue
    }
    const others = draft.lines.filter(
      (other) => other !== item && other.food && other.line.grams && other.food.group !== 'salt',
    )
    const weight = others.reduce((sum, other) => sum + other.line.grams! + other.line.waterChangeGrams, 0)
    const flour = others
      .filter((other) => other.food!.waterDemand !== null)
      .reduce((sum, other) => sum + other.line.grams!, 0)
    const base = draft.kind === 'shell' ? flour : weight
    if (base <= 0) continue
    const shareOf = SALT_SHARE[draft.kind]
    if (salt && shareOf === undefined) continue
    const brought = others.reduce(
      (sum, other) =>
        sum + (other.line.grams! / 100) * other.food!.per100g.sodiumMg * (SALT_PER_SODIUM / 1000),
      0,
    )
    const already = draft.lines
      .filter((other) => other !== item && other.food?.group === 'salt')
      .reduce((sum, other) => sum + (other.line.grams ?? 0), 0)
    const wanted = salt ? Math.max(base * shareOf! - brought - already, LEAST_SALT_GRAMS) : base * SPICE_SHARE
    const grams = Math.min(Math.round(wanted * 10) / 10, 200)
    Object.assign(line, {
      grams,
      gramsLow: Math.round(grams * 5) / 10,
      gramsHigh: Math.round(grams * 15) / 10,
    })
    const why = salt
      ? `${(shareOf! * 100).toFixed(1)} % of the ${draft.kind === 'shell' ? 'flour' : 'rest'}${brought + already > 0.2 ? `, of which the other foods bring ${(brought + already).toFixed(1)} g` : ''}`
      : `${(SPICE_SHARE * 100).toFixed(2)} % of the rest`
    const said = read.unmeasured === 'to taste' ? 'To taste' : 'No amount is given'
    line.notes = line.notes.filter((note) => !/^(?:to-taste|as-required|no-amount)$/.test(note.code))
    line.notes.push({
      code: read.unmeasured ? 'to-taste' : 'no-amount',
      level: 'check',
      text: `${said}: ${grams} g of ${food.name} is assumed, ${why}; common practice, no source`,
    })
  }
}
