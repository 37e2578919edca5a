import { useLocalStorage } from '@vueuse/core'
import type { Nutrient } from '~~/core/food/nutrients'

/** What the lines' shares on the bench are of: weight in the part, or a nutrient of the piece. */
export const SHARE_OF = {
  grams: 'weight',
  energyKcal: 'energy',
  proteinG: 'protein',
  fatG: 'fat',
  netCarbohydrateG: 'net carb',
  fibreG: 'fibre',
  saltG: 'salt',
} as const satisfies Partial<Record<Nutrient | 'grams', string>>
export type ShareOf = keyof typeof SHARE_OF

const chosen = useLocalStorage<ShareOf>('swap-pocket:share-of', 'grams')

/** The chosen nutrient, remembered by this browser. */
export function useShareNutrient() {
  const shareOf = computed<ShareOf>({
    get: () => (chosen.value in SHARE_OF ? chosen.value : 'grams'),
    set: (value) => (chosen.value = value),
  })
  /** The figure in the lines' last column: energy beside a share of weight. */
  const figure = computed<Nutrient>(() => (shareOf.value === 'grams' ? 'energyKcal' : shareOf.value))
  return { shareOf, figure }
}
