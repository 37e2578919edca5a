<script setup lang="ts">
import type { TableAnswer } from '~~/shared/api/table'
import type { TableWish } from '~/stores/table'
import { showMoney } from '~/logic/format'

/** The choices beside one another: what is made, what it asks of hands and purse, and who eats otherwise for it. */
const { options, choice, pieces, nameOf } = defineProps<{
  options: TableAnswer['options']
  choice: TableWish['choice']
  /** How many are made in all. */
  pieces: number
  nameOf: (guestId: string) => string
}>()
const emit = defineEmits<{ choose: [choice: TableWish['choice']] }>()

const shelves = useLarderStore()
type Option = TableAnswer['options'][number]
const count = (number: number, what: string) =>
  `${['no', 'one', 'two', 'three', 'four'][number] ?? number} ${what}${number === 1 ? '' : 's'}`
const chosen = (option: Option) =>
  choice !== null &&
  choice.kinds === option.kinds &&
  choice.doughs === option.doughs &&
  choice.fillings === option.fillings
const choose = ({ kinds, doughs, fillings }: Option) => emit('choose', { kinds, doughs, fillings })
const made = ({ madeFor }: Option) => madeFor.map((diets) => diets.join(', ') || 'as it is').join(' + ')
const costOf = ({ cost, costUnknown }: Option) =>
  cost === null ? '' : `${costUnknown.length ? 'at least ' : ''}${showMoney(cost, shelves.currency)}`
const priced = computed(() => options.some(({ cost }) => cost !== null))
const MOST_NAMED = 3
/** Who goes without the same is named together. */
function gives({ givesUp }: Option) {
  const who = new Map<string, string[]>()
  for (const { guestId, foods } of givesUp) {
    const rest = foods.length - MOST_NAMED
    const named = foods.slice(0, MOST_NAMED).map((food) => food.toLowerCase())
    const what = `no ${named.join(', ')}${rest > 0 ? ` and ${rest} more` : ''}`
    who.set(what, [...(who.get(what) ?? []), nameOf(guestId)])
  }
  return [...who].map(([what, names]) => `${names.join(', ')}: ${what}`)
}
</script>

<template>
  <div>
    <div class="ruled-wide">
      <table class="ruled ways">
        <caption class="soft small">
          Ways to set it
        </caption>
        <thead>
          <tr>
            <th scope="col">Make</th>
            <th scope="col" class="text">Kinds</th>
            <th scope="col">Hands</th>
            <th v-if="priced" scope="col">Costs</th>
            <th scope="col">Change a piece</th>
            <th scope="col" class="text">Who goes without</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="option in options" :key="`${option.kinds} ${option.doughs} ${option.fillings}`">
            <th scope="row">
              <button type="button" :aria-pressed="chosen(option)" @click="choose(option)">
                {{ count(option.kinds, 'kind') }}: {{ count(option.doughs, 'dough') }},
                {{ count(option.fillings, 'filling') }}
              </button>
              <span v-if="option.isSet" class="small soft">as set now</span>
            </th>
            <td class="text" data-label="Kinds">{{ made(option) }}</td>
            <td data-label="Hands">
              <span
                >{{ option.handsMinutes }} min<span v-if="option.extraMinutes" class="small soft">
                  (+{{ option.extraMinutes }})</span
                ></span
              >
            </td>
            <td v-if="priced" data-label="Costs">{{ costOf(option) }}</td>
            <td data-label="Change a piece">{{ (option.distance / Math.max(pieces, 1)).toFixed(0) }}</td>
            <td class="text small" data-label="Who goes without">
              <ul v-if="option.givesUp.length">
                <li v-for="text in gives(option)" :key="text">{{ text }}</li>
              </ul>
              <template v-else>nobody</template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="choice" class="small no-print">
      <button type="button" class="opens" @click="emit('choose', null)">As few and near as may be</button>
    </p>
  </div>
</template>

<style scoped>
.ways button[aria-pressed] {
  padding: 0.2rem 0.6rem;
  border: 1px solid var(--rule-strong);
  border-radius: 4px;
  background: var(--sheet);
  color: var(--ink);
  text-align: left;
  cursor: pointer;
}
.ways button[aria-pressed='true'] {
  border-color: var(--beet);
  background: var(--beet-tint);
}
@media (max-width: 600px) {
  .ways thead {
    display: none;
  }
  .ways tr {
    display: grid;
    gap: 0.2rem;
    padding: 0.5rem 0;
    border-top: 1px solid var(--rule);
  }
  .ways :is(th, td) {
    display: grid;
    grid-template-columns: 9rem minmax(0, 1fr);
    padding: 0;
    border: 0;
    text-align: left;
  }
  .ways th {
    grid-template-columns: minmax(0, 1fr);
  }
  .ways td::before {
    color: var(--ink-soft);
    content: attr(data-label);
  }
}
</style>
