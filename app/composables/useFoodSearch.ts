import { watchDebounced } from '@vueuse/core'
import { searchFoods } from '~~/core/reading/searchFoods'
import type { ShelvedFood } from '~~/shared/api/foods'

/** Waiting for the last key, so that a word is asked for once. */
const PAUSE_MS = 90

/**
 * Foods that fit what is typed: those the browser knows at once, those of every shelf when the server has
 * answered. Without the server the first stay.
 */
export function useFoodSearch(query: Ref<string>) {
  const shelves = useLarderStore()
  const there = shallowRef<{ query: string; foods: ShelvedFood[] } | null>(null)
  const away = ref(false)
  const here = computed(() => searchFoods(query.value, shelves.reference.foods, 100))
  const found = computed(() => {
    if (there.value?.query !== query.value) return here.value
    const ids = new Set(there.value.foods.map((food) => food.id))
    // What only the browser's likeness found comes last.
    return [...there.value.foods, ...here.value.filter((food) => !ids.has(food.id))]
  })
  watchDebounced(
    query,
    async (asked) => {
      if (!asked.trim()) return
      const foods = await shelves.search(asked).catch(() => null)
      away.value = foods === null
      if (foods && asked === query.value) there.value = { query: asked, foods }
    },
    { debounce: PAUSE_MS },
  )
  return { found, away }
}
