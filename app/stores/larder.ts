import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import type { Price } from '~~/core/cost/costOf'
import type { Food } from '~~/core/food/food'
import { learntFlours, type Factors } from '~~/core/log/apply'
import type { PacketLabel } from '~~/core/food/packet'
import type { TaughtName } from '~~/core/tables/taughtNames'
import { withFoods, withNames, withSwaps, type ReferenceData } from '~~/core/tables/referenceData'
import type { OwnSwap } from '~~/core/substitution/catalogue'
import type { Recipe } from '~~/core/recipe/document'
import type { StockedFood } from '~~/core/shopping/stock'
import { allLines } from '~~/core/recipe/lines'
import type { PrecookingWay } from '~~/core/recipe/precookingWays'
import { table } from '~~/data/table'
import type { OwnFood, ShelvedFood } from '~~/shared/api/foods'
import { ApiProblem, call } from '~/logic/api'

interface MadeRequest {
  name: string
  madeOf: { foodId: string; grams: number }[]
  makesGrams: number
  heat: PrecookingWay | null
  method: string
}

interface Prices {
  currency: string
  prices: Price[]
}

/** The foods the product ships, those a recipe on the bench needs besides, the cook's own, and their prices. */
export const useLarderStore = defineStore('larder', () => {
  const extra = shallowRef<Food[]>([])
  const swaps = shallowRef<OwnSwap[]>([])
  /** What the cook's own bakes have taught; kept here, so that every place reckons with it from the start. */
  const factors = useLocalStorage<Factors>('swap-pocket:learnt', {})
  /** Foods beside those of the table, and flours of the table as they drink in this kitchen. */
  const others = computed(() => [...extra.value, ...learntFlours(table.foods, factors.value)])
  /** What a recipe is adapted with, from when it has come. */
  const adapting = shallowRef<Partial<ReferenceData>>({})
  /** Brings swaps and formulas; without the server the bench still reckons, and asks again. */
  async function loadSwaps() {
    if (adapting.value.swaps) return
    const loaded = await import('~~/data/swapTable').catch(() => null)
    if (loaded) adapting.value = loaded.swapTable
  }
  /** What the cook means by names, before what the table does. */
  const names = shallowRef<TaughtName[]>([])
  const reference = computed(() =>
    withNames(withSwaps(withFoods({ ...table, ...adapting.value }, others.value), swaps.value), names.value),
  )
  const own = shallowRef<ShelvedFood[]>([])
  const counts = shallowRef({ table: table.foods.size, measured: 0, own: 0, import: 0 })
  /** The price book; the last known is kept for where there is no net. */
  const book = useLocalStorage<Prices>('swap-pocket:prices', { currency: 'EUR', prices: [] })
  const prices = computed<ReadonlyMap<string, Price>>(
    () => new Map(book.value.prices.map((price) => [price.foodId, price])),
  )
  const currency = computed(() => book.value.currency)
  /** What is in the larder, as far as it is counted; the last known is kept for where there is no net. */
  const stock = useLocalStorage<StockedFood[]>('swap-pocket:stock', [])

  /** Adds foods to the larder, or replaces them. */
  function keep(foods: readonly Food[]) {
    const fresh = foods.filter((food) => !table.foods.has(food.id))
    if (!fresh.length) return
    const ids = new Set(fresh.map((food) => food.id))
    extra.value = [...extra.value.filter((food) => !ids.has(food.id)), ...fresh]
  }

  /** Fetches what a recipe uses besides the tables; without the server it stays unknown and says so. */
  async function knowFoodsOf(recipe: Recipe | null | undefined) {
    if (!recipe) return
    const ids = new Set<string>()
    for (const { line } of allLines(recipe))
      if (line.foodId && !reference.value.foods.has(line.foodId)) ids.add(line.foodId)
    if (ids.size) await know([...ids])
  }

  async function know(ids: readonly string[]) {
    try {
      const { foods } = await call<{ foods: ShelvedFood[] }>(
        'GET',
        `/api/foods?ids=${ids.map(encodeURIComponent).join(',')}`,
      )
      keep(foods)
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
    }
  }

  /** Loads the cook's own foods and prices. They are extras: without the server the tables still serve. */
  async function load() {
    try {
      const [shelf, noted, known, taught, larder] = await Promise.all([
        call<{ foods: ShelvedFood[]; counts: typeof counts.value }>('GET', '/api/foods?shelf=own'),
        call<Prices>('GET', '/api/prices'),
        call<{ swaps: OwnSwap[] }>('GET', '/api/swaps'),
        call<{ names: TaughtName[] }>('GET', '/api/names'),
        call<{ stock: StockedFood[] }>('GET', '/api/stock'),
      ])
      stock.value = larder.stock
      own.value = shelf.foods
      counts.value = shelf.counts
      keep(shelf.foods)
      book.value = noted
      swaps.value = known.swaps
      names.value = taught.names
      const foods = [
        ...known.swaps.map((one) => one.toFoodId),
        ...taught.names.map((one) => one.foodId),
      ].filter((id) => !reference.value.foods.has(id))
      if (foods.length) await know(foods)
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
    }
  }

  /** Foods on every shelf that fit a query, the likeliest first. */
  async function search(query: string): Promise<ShelvedFood[]> {
    const { foods } = await call<{ foods: ShelvedFood[] }>('GET', `/api/foods?q=${encodeURIComponent(query)}`)
    return foods
  }

  /** Stores a packet: a new food, or an own one typed anew. */
  async function putOwn(
    id: string | null,
    body: { label: PacketLabel; who: string; likeId: string | null },
  ): Promise<ShelvedFood> {
    const food = id
      ? await call<ShelvedFood>('PUT', `/api/foods/${id}`, body)
      : await call<ShelvedFood>('POST', '/api/foods', body)
    keep([food])
    await load()
    return food
  }

  /** Offers an own food no longer; `restore` offers it again. */
  async function withdraw(id: string) {
    await call('DELETE', `/api/foods/${id}`)
    await load()
  }
  async function restore(id: string) {
    await call('POST', `/api/foods/${id}/restore`)
    await load()
  }

  /** Stores a food the cook makes of others. */
  async function addMade(made: MadeRequest): Promise<ShelvedFood> {
    const food = await call<ShelvedFood>('POST', '/api/foods/made', made)
    keep([food])
    await load()
    return food
  }

  /** Remembers what is meant by a name, until it is forgotten. */
  async function teach(name: string, foodId: string) {
    const taught = await call<TaughtName>('PUT', '/api/names', { name, foodId })
    names.value = [...names.value.filter((one) => one.name !== taught.name), taught]
    return taught
  }
  async function forget(name: string) {
    await call('DELETE', `/api/names?name=${encodeURIComponent(name)}`)
    names.value = names.value.filter((one) => one.name !== name)
  }

  /** Remembers a swap of the cook's own, to be offered before all others. */
  async function addSwap(swap: Omit<OwnSwap, 'id'>) {
    swaps.value = [await call<OwnSwap>('POST', '/api/swaps', swap), ...swaps.value]
  }
  async function removeSwap(id: string) {
    await call('DELETE', `/api/swaps/${id}`)
    swaps.value = swaps.value.filter((one) => one.id !== id)
  }

  const entriesOf = (id: string) => call<OwnFood>('GET', `/api/foods/${encodeURIComponent(id)}`)

  const pricePath = (foodId: string) => `/api/prices/${encodeURIComponent(foodId)}`
  /** Every price that was noted for a food, the latest first; that one counts. */
  async function pricesOf(foodId: string): Promise<Price[]> {
    const { prices: noted } = await call<{ prices: Price[] }>('GET', pricePath(foodId))
    const others = book.value.prices.filter((price) => price.foodId !== foodId)
    book.value = { ...book.value, prices: [...others, ...noted.slice(0, 1)] }
    return noted
  }
  async function putPrice(price: Price): Promise<Price[]> {
    const { foodId, ...body } = price
    await call<Price>('PUT', pricePath(foodId), body)
    return pricesOf(foodId)
  }
  /** Takes the latest price out: the one before counts again. */
  async function removePrice(foodId: string): Promise<Price[]> {
    await call('DELETE', pricePath(foodId))
    return pricesOf(foodId)
  }
  async function setCurrency(code: string) {
    book.value = await call<Prices>('PUT', '/api/prices', { currency: code })
  }

  /** Counts a food of the larder anew; null to keep no count of it. */
  async function putStock(foodId: string, counted: Omit<StockedFood, 'foodId'> | null) {
    const path = `/api/stock/${encodeURIComponent(foodId)}`
    const others = stock.value.filter((one) => one.foodId !== foodId)
    if (counted === null) await call('DELETE', path)
    const stored = counted === null ? [] : [await call<StockedFood>('PUT', path, counted)]
    stock.value = [...others, ...stored]
  }
  /** Takes off what was cooked and puts on what was bought. */
  async function changeStock(changes: { foodId: string; grams: number }[]) {
    stock.value = (await call<{ stock: StockedFood[] }>('POST', '/api/stock', { changes })).stock
  }

  return {
    reference,
    stock,
    putStock,
    changeStock,
    extra,
    others,
    factors,
    names,
    teach,
    forget,
    addMade,
    swaps,
    loadSwaps,
    addSwap,
    removeSwap,
    own,
    counts,
    prices,
    currency,
    keep,
    know,
    knowFoodsOf,
    load,
    search,
    putOwn,
    withdraw,
    restore,
    entriesOf,
    pricesOf,
    putPrice,
    removePrice,
    setCurrency,
  }
})
