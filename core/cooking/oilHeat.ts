/**
 * What happens to a pot of hot oil when pieces go in: how far it rises, how far it cools, how soon it is hot again.
 */

/** Oil at frying heat: 0.87 kg a litre and 2.3 kJ/(kg K), from memory of handbook values for vegetable oils at 170 °C. */
const OIL = { kgPerLitre: 0.87, kJPerKgK: 2.3 } as const
/** Siebel's rule of 1892 for food above freezing, in kJ/(kg K): 0.837 and 3.349 for each share of water. */
const specificHeat = (waterShare: number) => 0.837 + 3.349 * waterShare
/** The same below freezing, from memory of Siebel's rule: 0.837 and 1.256. */
const frozenHeat = (waterShare: number) => 0.837 + 1.256 * waterShare
/** Latent heats of water in kJ/kg: melting and boiling, handbook values. */
const MELTING_KJ_PER_KG = 334
const BOILING_KJ_PER_KG = 2257
/** A piece is done when its mean is about this hot. Common practice, no source. */
const DONE_C = 90
/** Its raw weight that a piece gives off as steam while it fries; as the losses of frying. */
const STEAMED_OFF = 0.1
/** Most of the heat goes in early: this is the time constant, in s, of a piece of 60 g; it grows as the square of size. Our own choice. */
const UPTAKE_SECONDS = 60
const UPTAKE_GRAMS = 60
/** Half of a burner's power goes into the pot. Common practice, no source; gas less, induction more. */
export const BURNER_SHARE = 0.5
/** A usual home burner, in W. Common practice, no source. */
export const USUAL_BURNER_W = 2000
/** What the pot gives off at frying heat, which the burner makes good before anything goes in, in kW. Our own choice. */
const POT_LOSS_KW = 0.3
/** A burner that held the heat is turned up when the fall is seen. Common practice, no source. */
const LAG_SECONDS = 30
/** Hot again: within this many degrees of where it was. Our own choice. */
const BACK_WITHIN_C = 3
const STEP_SECONDS = 1
const MAX_SECONDS = 900

export interface FryingBatch {
  oilMl: number
  /** Inner diameter of the pot. */
  diameterMm: number
  pieces: number
  pieceGrams: number
  pieceMl: number
  /** 0 to 1. */
  waterShare: number
  /** Of the pieces as they go in: 20 from the board, 5 from the fridge, −18 frozen. */
  startC: number
  burnerW?: number
}

export interface OilDip {
  /** Depth before, and how much higher it stands with the pieces under it. */
  depthMm: number
  riseMm: number
  /** Largest fall of temperature, and the time until it is back. */
  dropC: number
  recoverySeconds: number
  /** Heat that the batch takes, in kJ, by what it is for. */
  warmingKJ: number
  steamKJ: number
  thawingKJ: number
}

/** Heat that one kilogram of pieces takes until it is done. */
function heatOf({ waterShare, startC }: Pick<FryingBatch, 'waterShare' | 'startC'>) {
  const frozen = startC < 0
  return {
    warming: frozen
      ? -startC * frozenHeat(waterShare) + DONE_C * specificHeat(waterShare)
      : (DONE_C - startC) * specificHeat(waterShare),
    thawing: frozen ? waterShare * MELTING_KJ_PER_KG : 0,
    steam: STEAMED_OFF * BOILING_KJ_PER_KG,
  }
}

/**
 * The oil through a batch: a balance of heat, second by second. Pieces take their heat in as an exponential;
 * the burner is turned up after half a minute, and gives no more than brings the oil back to where it was.
 *
 * @param batch sizes above 0
 */
export function oilThrough(batch: FryingBatch): OilDip {
  const section = (Math.PI / 4) * batch.diameterMm ** 2
  const kg = (batch.pieces * batch.pieceGrams) / 1000
  const { warming, thawing, steam } = heatOf(batch)
  const total = kg * (warming + thawing + steam)
  const capacity = (batch.oilMl / 1000) * OIL.kgPerLitre * OIL.kJPerKgK
  const burner = Math.max(0, ((batch.burnerW ?? USUAL_BURNER_W) * BURNER_SHARE) / 1000 - POT_LOSS_KW)
  const constant = UPTAKE_SECONDS * (batch.pieceGrams / UPTAKE_GRAMS) ** (2 / 3)
  let below = 0
  let dropC = 0
  let recoverySeconds = 0
  for (let second = 0; second < MAX_SECONDS && total > 0; second += STEP_SECONDS) {
    const taken = total * (Math.exp(-second / constant) - Math.exp(-(second + STEP_SECONDS) / constant))
    const given = second < LAG_SECONDS ? 0 : burner * STEP_SECONDS
    below = Math.max(0, below + (taken - given) / capacity)
    dropC = Math.max(dropC, below)
    if (below > BACK_WITHIN_C) recoverySeconds = second + STEP_SECONDS
    else if (recoverySeconds > 0 && second > constant) break
  }
  return {
    depthMm: (batch.oilMl * 1000) / section,
    riseMm: (batch.pieces * batch.pieceMl * 1000) / section,
    dropC,
    recoverySeconds,
    warmingKJ: kg * warming,
    steamKJ: kg * steam,
    thawingKJ: kg * thawing,
  }
}
