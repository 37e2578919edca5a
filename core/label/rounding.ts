/**
 * How figures are written on labels, by two sets of rules.
 *
 * EU: Guidance of the European Commission on tolerances, December 2012, table 4 (from memory).
 * US: 21 CFR 101.9(c) (from memory).
 */
export interface Written {
  /** What is printed: "12 g", "< 0.5 g", "0 g". */
  text: string
  /** The printed figure as a number; what is printed as "less than" counts as that limit. */
  value: number
}

const written = (value: number, unit: string, decimals: number): Written => {
  const text = value.toFixed(decimals)
  return { text: `${text} ${unit}`, value: Number(text) }
}
const below = (limit: number, unit: string): Written => ({ text: `< ${limit} ${unit}`, value: limit })
const nothing = (unit: string): Written => ({ text: `0 ${unit}`, value: 0 })
const toNearest = (value: number, step: number) => Math.round(value / step) * step

type EuKind = 'energy' | 'macro' | 'saturates' | 'salt'

/**
 * A figure by the EU guidance: energy to 1; fat, carbohydrate, sugars, polyols, fibre, protein to 1 g from
 * 10 g, to 0.1 g below, "< 0.5 g" up to 0.5 g; saturates alike with a limit of 0.1 g; salt to 0.1 g from 1 g,
 * to 0.01 g below, "< 0.01 g" up to 0.0125 g.
 *
 * @param value in kJ, kcal or g; 0 or more
 */
export function roundEu(kind: EuKind, value: number, unit: 'kJ' | 'kcal' | 'g'): Written {
  if (kind === 'energy') return written(value, unit, 0)
  if (kind === 'salt') {
    if (value <= 0) return nothing(unit)
    if (value <= 0.0125) return below(0.01, unit)
    return written(value, unit, value >= 1 ? 1 : 2)
  }
  const least = kind === 'saturates' ? 0.1 : 0.5
  if (value <= 0) return nothing(unit)
  if (value <= least) return below(least, unit)
  return written(value, unit, value >= 10 ? 0 : 1)
}

type UsKind = 'calories' | 'fat' | 'carbohydrate' | 'sodium'

/**
 * A figure by 21 CFR 101.9(c): calories below 5 as 0, to 5 up to 50, to 10 above; fats below 0.5 g as 0, to
 * 0.5 g below 5 g, to 1 g above; carbohydrate, fibre, sugars, protein below 0.5 g as 0, "< 1 g" below 1 g, to
 * 1 g above; sodium below 5 mg as 0, to 5 mg up to 140 mg, to 10 mg above.
 *
 * @param value in kcal, g or, for sodium, mg; 0 or more
 */
export function roundUs(kind: UsKind, value: number): Written {
  switch (kind) {
    case 'calories':
      return value < 5 ? nothing('kcal') : written(toNearest(value, value <= 50 ? 5 : 10), 'kcal', 0)
    case 'fat':
      if (value < 0.5) return nothing('g')
      if (value >= 5) return written(toNearest(value, 1), 'g', 0)
      return written(toNearest(value, 0.5), 'g', toNearest(value, 0.5) % 1 === 0 ? 0 : 1)
    case 'carbohydrate':
      if (value < 0.5) return nothing('g')
      return value < 1 ? below(1, 'g') : written(toNearest(value, 1), 'g', 0)
    case 'sodium':
      return value < 5 ? nothing('mg') : written(toNearest(value, value <= 140 ? 5 : 10), 'mg', 0)
  }
}
