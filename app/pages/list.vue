<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { shoppingList, type ShoppingItem } from '~~/core/shopping/list'
import { takenBy } from '~~/core/shopping/stock'
import { showMoney } from '~/logic/format'
import { listAsCsv, listAsText, showBought, showCount } from '~/logic/shoppingText'

const clock = useClockStore()
const shelves = useLarderStore()
const tell = useTold()
/** What is in the basket, and how often a dish is made: by food and by title, kept in this browser. */
const ticked = useLocalStorage<Record<string, boolean>>('swap-pocket:ticked', {})
const times = useLocalStorage<Record<string, number>>('swap-pocket:times', {})
const ounces = useLocalStorage('swap-pocket:ounces', false)
const told = ref('')

onMounted(async () => {
  await clock.begin()
  for (const { recipe } of clock.dishes) void shelves.knowFoodsOf(recipe)
  await keepForTheShop().catch(() => undefined)
})

/** What was loaded once can be opened again where there is no net. A browser that cannot do it goes without. */
async function keepForTheShop() {
  if (!('serviceWorker' in navigator)) return
  await navigator.serviceWorker.register('/offline.js')
  const { active } = await navigator.serviceWorker.ready
  active?.postMessage(performance.getEntriesByType('resource').map(({ name }) => name))
}

const wants = computed(() =>
  clock.dishes.map(({ recipe }) => ({ recipe, times: times.value[recipe.title] ?? 1 })),
)
const list = computed(() =>
  shoppingList(wants.value, shelves.reference.foods, {
    stock: shelves.stock,
    prices: shelves.prices,
    today: clock.dinner.serveAt.slice(0, 10),
  }),
)
const items = computed(() => list.value.sections.flatMap((section) => section.items))
const left = computed(() => items.value.filter(({ foodId }) => !ticked.value[foodId]).length)
function tick(item: ShoppingItem, event: Event) {
  ticked.value = { ...ticked.value, [item.foodId]: (event.target as HTMLInputElement).checked }
}
function setTimes(title: string, event: Event) {
  const number = Number((event.target as HTMLInputElement).value.replace(',', '.'))
  if (number > 0 && number <= 50) times.value = { ...times.value, [title]: number }
}

async function copy() {
  try {
    await navigator.clipboard.writeText(listAsText(list.value, ounces.value))
    told.value = 'Copied'
  } catch {
    told.value = 'This browser does not let the list be copied; print it, or take the CSV'
  }
}
function asCsv() {
  const blob = new Blob([listAsCsv(list.value, shelves.currency)], { type: 'text/csv;charset=utf-8' })
  const link = document.createElement('a')
  link.href = URL.createObjectURL(blob)
  link.download = 'shopping.csv'
  link.click()
  URL.revokeObjectURL(link.href)
}
const print = () => window.print()

const basket = computed(() => items.value.filter(({ foodId }) => ticked.value[foodId]))
const bought = () =>
  tell(async () => {
    await shelves.changeStock(
      basket.value.map(({ foodId, buyGrams, packs }) => ({
        foodId,
        grams: packs ? packs.number * packs.grams : buyGrams,
      })),
    )
    ticked.value = {}
    told.value = 'It is in the larder now'
  })
const cooked = () =>
  tell(async () => {
    const taken = takenBy(wants.value, shelves.reference.foods)
    await shelves.changeStock(taken.map(({ foodId, grams }) => ({ foodId, grams: -grams })))
    told.value = 'What was cooked is taken off the larder, where it was counted'
  })
useHead({ title: 'Shopping list · Swap Pocket' })
</script>

<template>
  <main class="list">
    <header>
      <h1>Shopping list</h1>
      <p v-if="items.length" role="status">
        {{ left === 0 ? 'Everything is in the basket' : `${left} of ${items.length} to get`
        }}<template v-if="list.cost > 0"
          >, {{ list.withoutPrice.length ? 'at least ' : ''
          }}{{ showMoney(list.cost, shelves.currency) }}</template
        >
      </p>
      <p class="acts no-print">
        <button type="button" class="opens" @click="copy">Copy</button>
        <button type="button" class="opens" @click="print">Print</button>
        <button type="button" class="opens" @click="asCsv">CSV</button>
        <button type="button" class="opens" :aria-pressed="ounces" @click="ounces = !ounces">
          {{ ounces ? 'in grams' : 'in ounces' }}
        </button>
        <NuxtLink to="/clock">To the clock</NuxtLink>
      </p>
      <p v-if="told" role="status" class="small">{{ told }}.</p>
    </header>
    <section class="for" aria-label="For">
      <p v-for="{ recipe, times: often } in wants" :key="recipe.title">
        <input
          class="field"
          :value="often"
          inputmode="decimal"
          :aria-label="`How many times ${recipe.title}`"
          @change="setTimes(recipe.title, $event)"
        />
        × {{ recipe.title }}
      </p>
      <p v-if="!wants.length">
        Nothing is planned: <NuxtLink to="/clock">add a dish on the clock</NuxtLink>, and its shopping stands
        here.
      </p>
    </section>
    <div class="shop">
      <section v-for="{ section, items: own } in list.sections" :key="section" :aria-label="section">
        <h2>{{ section }}</h2>
        <ul>
          <li v-for="item in own" :key="item.foodId" :class="{ got: ticked[item.foodId] }">
            <label>
              <input type="checkbox" :checked="ticked[item.foodId] ?? false" @change="tick(item, $event)" />
              <span>
                <strong class="amount">{{ showBought(item.buyGrams, ounces) }}</strong> {{ item.name }}
                <span v-if="item.count" class="soft">{{ showCount(item) }}</span>
              </span>
            </label>
            <p class="small soft">
              <b v-if="item.allergens.length">{{ item.allergens.join(', ') }}</b>
              <template v-if="item.mayContain.length">
                read the packet for {{ item.mayContain.join(', ').toLowerCase() }}</template
              >
              <template v-if="item.packs">
                {{ item.packs.number }} × {{ showBought(item.packs.grams, ounces) }},
                {{ showMoney(item.packs.cost, shelves.currency) }}, leaves
                {{ showBought(item.packs.leftGrams, ounces) }}</template
              >
              <template v-if="item.haveGrams > 0">
                {{ showBought(item.haveGrams, ounces) }} are there</template
              >
              <template v-if="item.old"> what is there keeps no longer</template>
              <template v-if="item.or.length"> or: {{ item.or.join(', or ') }}</template>
            </p>
          </li>
        </ul>
      </section>
      <section v-if="list.unclear.length" aria-label="As written">
        <h2>As written</h2>
        <p class="small soft">No amount, or not a food that is known here.</p>
        <ul>
          <li v-for="one in list.unclear" :key="one.text + one.forTitle">{{ one.text }}</li>
        </ul>
      </section>
      <section v-if="list.onlyIfYouHave.length" aria-label="Only if you have it">
        <h2>Only if you have it</h2>
        <ul>
          <li v-for="one in list.onlyIfYouHave" :key="one.name + one.forTitle">{{ one.name }}</li>
        </ul>
      </section>
      <section v-if="list.have.length" aria-label="In the larder">
        <h2>In the larder</h2>
        <ul>
          <li v-for="item in list.have" :key="item.foodId">
            {{ item.name }} <span class="soft">{{ showBought(item.neededGrams, ounces) }} of it</span>
          </li>
        </ul>
      </section>
    </div>
    <p v-if="list.withoutPrice.length" class="small soft">
      Without a price: {{ list.withoutPrice.join(', ') }}.
    </p>
    <p v-if="items.length || list.have.length" class="acts no-print">
      <Button v-if="basket.length" label="Put what is ticked into the larder" size="small" @click="bought" />
      <Button label="Cooked: take it off the larder" size="small" severity="secondary" @click="cooked" />
    </p>
  </main>
</template>

<style scoped>
.list {
  display: grid;
  align-content: start;
  gap: 1rem;
  padding: 0.8rem 1.25rem 3rem;
}
header,
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0.3rem 1.2rem;
}
header .acts {
  margin-left: auto;
}
.for {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 1.5rem;
}
.for input {
  width: 3rem;
  text-align: right;
}
.shop {
  columns: 3 20rem;
  column-gap: 2rem;
}
.shop section {
  margin-bottom: 1.1rem;
  break-inside: avoid;
}
h2 {
  padding-bottom: 0.2rem;
  border-bottom: 2px solid var(--rule-strong);
}
li {
  padding: 0.3rem 0;
  border-bottom: 1px solid var(--rule);
}
label {
  display: flex;
  gap: 0.6rem;
  font-size: 1.05rem;
  cursor: pointer;
}
input[type='checkbox'] {
  flex: none;
  width: 1.3rem;
  height: 1.3rem;
  accent-color: var(--beet);
}
li p {
  padding-left: 1.9rem;
}
li p b {
  color: var(--ink);
}
.got label {
  color: var(--ink-soft);
  text-decoration: line-through;
}
@media (max-width: 640px) {
  label {
    min-height: 2.4rem;
    align-items: center;
  }
  header .acts {
    margin-left: 0;
  }
}
@media print {
  .shop {
    columns: 2;
  }
}
</style>
