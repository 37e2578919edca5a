import { DENSITY_G_PER_ML } from '../piece/geometry'
import { SHAPE_TABLE } from '../piece/shapes'
import type { CookingWay, Shape } from '../recipe/vocabulary'
import type { FoundFact } from './facts'

/**
 * Grams of dough in a piece where nobody counts or measures: what is boiled, steamed or browned is eaten by the dozen,
 * what is baked or fried in the hand. Common practice, no source.
 */
const USUAL_DOUGH_GRAMS: Readonly<Record<Shape, { wet: number; dry: number }>> = {
  'half-moon': { wet: 12, dry: 40 },
  pleated: { wet: 12, dry: 20 },
  cone: { wet: 20, dry: 25 },
  parcel: { wet: 8, dry: 40 },
  roll: { wet: 20, dry: 30 },
  coil: { wet: 60, dry: 70 },
  disc: { wet: 45, dry: 45 },
  bun: { wet: 45, dry: 45 },
  'lidded-pie': { wet: 60, dry: 60 },
}

/** Pieces that are a meal each, by their name. Common practice, no source. */
export const LARGE = /\bpast(?:y|ies)\b(?! (?:sheet|dough|case))|\bcalzon(?:es?|i)\b/i
const LARGE_DOUGH_GRAMS = 110

/** Nobody closes less dough round a filling. Common practice, no source. */
const LEAST_GRAMS = 1
/** Rounds are rolled out of trimmings as well, and the last of these stay over. Common practice, no source. */
const CUT_SHARE = 0.97

/**
 * Dough in one piece when nothing is said about the number: by the cutter and how thin the dough is rolled, else what
 * is usual for the shape.
 *
 * @returns grams, and in words what they go by
 */
export function assumedDough(
  shape: Shape | null,
  way: CookingWay,
  facts: readonly FoundFact[],
  title = '',
): { grams: number; says: string } {
  const row = SHAPE_TABLE[shape ?? 'half-moon']
  const of = (kind: FoundFact['kind']) => facts.find((fact) => fact.kind === kind)
  const across = of('cutter-cm') ?? of('disc-cm')
  const isSquare = across !== undefined && /\bsquares?\b/i.test(across.text)
  const isCut = row.cutFromSheet || isSquare || across?.kind === 'cutter-cm'
  // A ball that is filled and rolled out again is as wide as its filling makes it.
  if (across && isCut && !row.flat && (shape ?? 'half-moon') !== 'lidded-pie') {
    const thick = of('thickness-mm')
    // Dough draws together after it is cut: nobody's is thinner than it is usually rolled by much.
    const millimetres = Math.max(thick ? (thick.low + thick.high) / 2 : row.rolledMm, row.rolledMm / 2)
    const centimetres = (across.low + across.high) / 2
    const areaCm2 = (isSquare ? 1 : Math.PI / 4) * centimetres ** 2
    const grams = (areaCm2 * (millimetres / 10) * DENSITY_G_PER_ML.dough) / CUT_SHARE
    if (grams >= LEAST_GRAMS)
      return {
        grams,
        says: `${Number(grams.toFixed(grams < 5 ? 1 : 0))} g each, a ${isSquare ? 'square' : 'round'} of ${Number(centimetres.toFixed(1))} cm rolled to ${Number(millimetres.toFixed(1))} mm`,
      }
  }
  if (LARGE.test(title) && !/\b(?:mini|small|cocktail|bite)/i.test(title))
    return { grams: LARGE_DOUGH_GRAMS, says: `${LARGE_DOUGH_GRAMS} g each, as is usual` }
  const wet = way === 'boil' || way === 'steam' || way === 'brown-and-steam'
  const grams = USUAL_DOUGH_GRAMS[shape ?? 'bun'][wet ? 'wet' : 'dry']
  return { grams, says: `${grams} g each, as is usual` }
}
