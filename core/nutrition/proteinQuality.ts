import { AMINO_ACID_KEYS, AMINO_ACIDS, type AminoAcid } from '../food/aminoAcids'
import type { Foods } from '../food/food'
import type { Contribution } from './contributions'

export interface ProteinQuality {
  /** Amino-acid score in %: how far the scarcest one meets the pattern; may exceed 100. Null without data. */
  scorePct: number | null
  limiting: AminoAcid | null
  /** Mg of each in a gram of the piece's protein, as far as data reach, against the pattern. */
  mgPerGProtein: Record<AminoAcid, number>
  /** Share of the protein whose make-up is known, in %. */
  knownPct: number
  /** Foods that bring protein and whose make-up is not known. */
  lacking: string[]
}

/** Below this share of known protein a score would be a guess. Our own choice, no source. */
const MIN_KNOWN_PCT = 70

/** A food that brings less of the protein than this is not worth naming. */
const MIN_SHARE = 0.01

/**
 * The amino-acid score of a batch: the scarcest indispensable amino acid of the protein as it is mixed, against
 * the FAO/WHO/UNU 2007 pattern for adults. Digestibility is left out: it is a score, not a PDCAAS.
 */
export function proteinQualityOf(contributions: readonly Contribution[], foods: Foods): ProteinQuality {
  const sums = {} as Record<AminoAcid, number>
  for (const key of AMINO_ACID_KEYS) sums[key] = 0
  let proteinG = 0
  let knownG = 0
  const unknown: { name: string; grams: number }[] = []
  for (const { foodId, name, nutrients } of contributions) {
    const grams = nutrients.proteinG
    if (grams <= 0) continue
    proteinG += grams
    const own = foods.get(foodId)?.aminoAcids
    if (!own) {
      unknown.push({ name, grams })
      continue
    }
    knownG += grams
    for (const key of AMINO_ACID_KEYS) sums[key] += grams * own.mgPerGProtein[key]
  }
  const knownPct = proteinG > 0 ? (100 * knownG) / proteinG : 0
  let limiting: AminoAcid | null = null
  let scorePct = Infinity
  for (const key of AMINO_ACID_KEYS) {
    sums[key] = knownG > 0 ? sums[key] / knownG : 0
    const pct = (100 * sums[key]) / AMINO_ACIDS[key].patternMgPerG
    if (pct < scorePct) {
      scorePct = pct
      limiting = key
    }
  }
  const enough = knownPct >= MIN_KNOWN_PCT
  return {
    scorePct: enough ? scorePct : null,
    limiting: enough ? limiting : null,
    mgPerGProtein: sums,
    knownPct,
    lacking: [...new Set(unknown.filter((one) => one.grams >= MIN_SHARE * proteinG).map((one) => one.name))],
  }
}
