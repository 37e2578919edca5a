import { searchFoods } from '../../core/food/match'
import { larder } from '../../data/larder'

/** Foods of the larder, or the likeliest for a query. */
export default defineEventHandler((event) => {
  const q = getQuery(event).q
  const foods =
    typeof q === 'string' && q.trim()
      ? searchFoods(q.slice(0, 200), larder.foods, 20)
      : [...larder.foods.values()]
  return { foods }
})
