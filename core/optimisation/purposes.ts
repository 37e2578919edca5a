import type { Diet } from '../diet/diets'
import type { Target } from '../diet/target'
import type { Purpose } from '../substitution/formulas'
import type { Wishes } from './wishes'

function purposeOf({ figure, comparison }: Target): Purpose | null {
  const most = comparison === 'at-most'
  switch (figure) {
    case 'wholeGrainPct':
    case 'fibreG':
      return most ? null : 'whole-grain'
    case 'proteinEnergyPct':
    case 'proteinG':
      return most ? null : 'high-protein'
    case 'netCarbohydrateG':
    case 'carbohydrateG':
      return most ? 'keto' : null
    case 'energyKcal':
    case 'fatG':
    case 'saturatedFatG':
      return most ? 'lighter' : null
    default:
      return null
  }
}

const excluded = (diet: Diet): Purpose[] => [
  ...(diet.excludesAllergens.includes('gluten') ? (['gluten-free'] as const) : []),
  ...(diet.excludesOrigins.includes('dairy') || diet.excludesAllergens.includes('milk')
    ? (['vegan'] as const)
    : []),
  ...(diet.excludesOrigins.includes('egg') || diet.excludesAllergens.includes('egg')
    ? (['vegan', 'egg-free'] as const)
    : []),
]

/** What is asked of a recipe, by what its diets leave out and which figures they drive. */
export function purposesOf({ diets, targets }: Pick<Wishes, 'diets' | 'targets'>): Set<Purpose> {
  const figures = [...diets.flatMap((diet) => diet.targets), ...targets]
  return new Set([
    ...diets.flatMap(excluded),
    ...figures.flatMap((target) => {
      const purpose = purposeOf(target)
      return purpose ? [purpose] : []
    }),
  ])
}
