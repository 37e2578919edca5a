import { AMINO_ACID_KEYS, type AminoAcid, type AminoAcids } from '../food/aminoAcids'
import { zeroComposition, type Composition } from '../food/composition'
import { euEnergyKcal, KJ_PER_KCAL } from '../food/energy'
import type { Allergen, Food, Origin } from '../food/food'
import { micronutrientsWith } from '../food/micronutrients'

/** A row of the Indian Food Composition Tables 2017: energy in kJ, everything else in g per 100 g. */
export type MeasuredRow = Readonly<Record<string, number>> & {
  code: string & number
  name: string & number
  grup: string & number
}

const GROUPS: readonly [RegExp, { group: string; origins: Origin[]; allergens?: Allergen[] }][] = [
  [/^Milk/, { group: 'measured-dairy', origins: ['dairy'], allergens: ['milk'] }],
  [/^Egg/, { group: 'measured-egg', origins: ['egg'], allergens: ['egg'] }],
  [/^Poultry|^Animal Meat/, { group: 'measured-meat', origins: ['meat'] }],
  [/^Marine Shellfish/, { group: 'measured-fish', origins: ['fish'], allergens: ['crustaceans'] }],
  [/^Marine Mollusks/, { group: 'measured-fish', origins: ['fish'], allergens: ['molluscs'] }],
  [/Fish/, { group: 'measured-fish', origins: ['fish'], allergens: ['fish'] }],
  [/Oils and Fats/, { group: 'measured-oil', origins: [] }],
]

/** Allergens by name, of what the tables hold. */
const BY_NAME: readonly [RegExp, Allergen[]][] = [
  [/\bwheat|barley/i, ['gluten']],
  [/soya/i, ['soy']],
  [/ground ?nut/i, ['peanut']],
  [/almond|cashew|pistachio|walnut/i, ['nuts']],
  [/gingelly/i, ['sesame']],
  [/mustard/i, ['mustard']],
  [/celery/i, ['celery']],
]
const CRUSTACEANS = /crab|prawn|lobster/i
const OYSTER = /oyster$/i

const MEASURED_FIELDS: readonly [keyof Composition, string][] = [
  ['waterG', 'water'],
  ['proteinG', 'protcnt'],
  ['fatG', 'fatce'],
  ['saturatedFatG', 'fasat'],
  ['fibreG', 'fibtg'],
  ['sugarsG', 'fsugar'],
]

/**
 * A food from a row of the measured tables.
 *
 * Total carbohydrate is the available carbohydrate plus fibre. A saturated fat, sugar or fibre that the tables
 * give as 0 for want of an analysis cannot be told from a true 0; it is taken as measured.
 */
export function foodFromMeasuredRow(row: MeasuredRow): Food {
  const name = String(row.name)
  const code = String(row.code)
  const kind = GROUPS.find(([pattern]) => pattern.test(String(row.grup)))?.[1] ?? {
    group: 'measured-plant',
    origins: [] as Origin[],
  }
  const animal = kind.origins.length > 0
  const allergens = new Set<Allergen>(animal ? kind.allergens : [])
  if (kind.origins.includes('fish') && CRUSTACEANS.test(name)) {
    allergens.delete('fish')
    allergens.add('crustaceans')
  }
  if (kind.origins.includes('fish') && OYSTER.test(name)) {
    allergens.delete('crustaceans')
    allergens.add('molluscs')
  }
  // Ghee stands among the oils.
  const ghee = /^ghee/i.test(name)
  if (ghee) allergens.add('milk')
  if (!animal)
    for (const [pattern, keys] of BY_NAME) if (pattern.test(name)) keys.forEach((key) => allergens.add(key))

  const of = (key: string) => Number(row[key] ?? 0)
  const per100g: Composition = {
    ...zeroComposition(),
    carbohydrateG: Math.max(0, of('choavldf')) + of('fibtg'),
    sodiumMg: of('na') * 1000,
  }
  for (const [field, column] of MEASURED_FIELDS) per100g[field] = of(column)
  // Analyses differ by rounding; a part is never more than its whole.
  per100g.saturatedFatG = Math.min(per100g.saturatedFatG, per100g.fatG)
  per100g.sugarsG = Math.min(per100g.sugarsG, per100g.carbohydrateG - per100g.fibreG)
  const oil = kind.group === 'measured-oil'
  return {
    id: `ifct-${code.toLowerCase()}`,
    name,
    synonyms: [],
    kind: `ifct-${code.toLowerCase()}`,
    state: null,
    figuresOf: null,
    group: kind.group,
    origins: ghee ? ['dairy'] : kind.origins,
    possibleOrigins: [],
    originKnown: true,
    allergens: [...allergens],
    possibleAllergens: [],
    per100g,
    unknown: [],
    micronutrients: micronutrientsWith({
      calciumMg: of('ca') * 1000,
      ironMg: of('fe') * 1000,
      zincMg: of('zn') * 1000,
      potassiumMg: of('k') * 1000,
      vitaminCMg: of('vitc') * 1000,
      folateUg: of('folsum') * 1e6,
      // Retinol activity equivalents: a twelfth of the beta-carotene counts.
      vitaminAUg: (of('retol') + of('cartbeq') / 12) * 1e6,
      cholesterolMg: of('cholc') * 1000,
      transFatG: of('fatrn'),
      // Not analysed in these tables; no plant holds any.
      vitaminB12Ug: animal || ghee ? null : 0,
    }),
    aminoAcids: aminoAcidsOf(row, code, animal),
    energyKcal: euEnergyKcal(per100g),
    statedEnergyKcal: of('enerc') / KJ_PER_KCAL,
    gramsPerMl: oil ? 0.92 : 1,
    unitGrams: {},
    waterDemand: null,
    scaldedDemand: null,
    grain: null,
    freeWater: 0,
    softeningFat: oil ? (/coconut|palm|vanaspati|ghee/i.test(name) ? 'solid' : 'oil') : null,
    source: `Indian Food Composition Tables 2017, ${code}, measured`,
  }
}

const COLUMNS: Readonly<Record<AminoAcid, string[]>> = {
  histidine: ['his'],
  isoleucine: ['ile'],
  leucine: ['leu'],
  lysine: ['lys'],
  sulphur: ['met', 'cys'],
  aromatic: ['phe', 'tyr'],
  threonine: ['thr'],
  tryptophan: ['trp'],
  valine: ['val'],
}

/** More sulphur amino acids than this, in mg per g of protein, is not found in food proteins but egg white. */
const MAX_SULPHUR_MG_PER_G = 80

/**
 * Amino acids of a measured row; null without protein or analysis. Rows of meat and egg that state more sulphur
 * amino acids than any such protein holds are left out.
 */
function aminoAcidsOf(row: MeasuredRow, code: string, animal: boolean): AminoAcids | null {
  const proteinG = Number(row.protcnt ?? 0)
  if (!(proteinG > 0.1) || !(Number(row.lys ?? 0) > 0)) return null
  const mgPerGProtein = {} as Record<AminoAcid, number>
  for (const key of AMINO_ACID_KEYS) {
    const grams = COLUMNS[key].reduce((sum, column) => sum + Number(row[column] ?? 0), 0)
    mgPerGProtein[key] = (1000 * grams) / proteinG
  }
  if (animal && mgPerGProtein.sulphur > MAX_SULPHUR_MG_PER_G) return null
  return { mgPerGProtein, source: `Indian Food Composition Tables 2017, ${code}` }
}
