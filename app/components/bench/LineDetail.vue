<script setup lang="ts">
import { howToMake } from '~~/core/food/homemade'
import type { Food } from '~~/core/food/food'
import type { Contribution } from '~~/core/nutrition/contributions'
import type { Line, Part } from '~~/core/recipe/document'
import { PART_NAMES, type PartKind } from '~~/core/recipe/vocabulary'
import { PRECOOKING_TABLE, PRECOOKING_WAYS } from '~~/core/recipe/precookingWays'
import { showGrams } from '~/logic/format'
import { typedWeight } from '~/logic/typedWeight'

const { line, food, part, partId, hosts, contribution } = defineProps<{
  part: PartKind
  partId: string
  hosts: readonly Part[]
  line: Line
  food: Food | undefined
  contribution: Contribution | null
}>()
const edits = useBenchEdits()

const raw = ref(line.raw)
watch(
  () => line.raw,
  (next) => (raw.value = next),
)
const notes = computed(() => line.notes.filter((note) => note.level === 'note'))
const rawId = useId()
const foodId = useId()
const partSelect = useId()
const cookSelect = useId()
function cookLine(event: Event) {
  const value = (event.target as HTMLSelectElement).value
  edits.cookLine(line.id, value === 'raw' ? 'raw' : (PRECOOKING_WAYS.find((way) => way === value) ?? null))
}
const eatenId = useId()
const leftId = useId()

const eatenProblem = ref('')
/** Grams that are eaten, or what stayed behind, whichever was weighed. */
function typeEaten(event: Event, of: 'eaten' | 'left') {
  const text = (event.target as HTMLInputElement).value
  eatenProblem.value = ''
  if (!text.trim()) return edits.eaten(line.id, null)
  const weight = typedWeight(text, food)
  if ('problem' in weight) eatenProblem.value = weight.problem
  else if (of === 'eaten') edits.eaten(line.id, weight.grams)
  else if (weight.grams > (line.grams ?? 0))
    eatenProblem.value = `More than the ${showGrams(line.grams ?? 0)} g that went in; weigh again, or correct the line`
  else edits.eaten(line.id, (line.grams ?? 0) - weight.grams)
}

function rewrite() {
  if (raw.value.trim() && raw.value.trim() !== line.raw) edits.rewrite(line.id, raw.value)
}
</script>

<template>
  <div class="detail">
    <label :for="rawId">As written</label>
    <InputText :id="rawId" v-model="raw" size="small" @keydown.enter="rewrite" @blur="rewrite" />
    <label :for="foodId">Food</label>
    <span class="food">
      <FoodPicker
        :input-id="foodId"
        :start="food ?? line.name"
        @choose="(one) => edits.food(line.id, one.id)"
      />
      <FoodFactsLine v-if="food" :food="food" />
      <TeachName v-if="food && !line.cameFrom" :raw="line.raw" :food="food" />
    </span>
    <label :for="partSelect">Stands in</label>
    <select
      :id="partSelect"
      class="field"
      :value="partId"
      @change="(event) => edits.move(line.id, (event.target as HTMLSelectElement).value)"
    >
      <option v-for="host in hosts" :key="host.id" :value="host.id">
        {{ host.name || PART_NAMES[host.kind] }}
      </option>
    </select>
    <template v-if="part === 'filling' || hosts.find((host) => host.id === partId)?.into">
      <label :for="cookSelect">Goes in</label>
      <select :id="cookSelect" class="field" :value="line.cookedBy ?? ''" @change="cookLine">
        <option value="">as its part does</option>
        <option value="raw">raw</option>
        <option v-for="way in PRECOOKING_WAYS" :key="way" :value="way">
          {{ PRECOOKING_TABLE[way].name }}
        </option>
      </select>
    </template>
    <template v-if="part === 'pan' || part === 'finish'">
      <label :for="eatenId">{{ part === 'pan' ? 'Taken up' : 'Eaten' }}</label>
      <span>
        <input
          :id="eatenId"
          class="field eaten"
          :value="line.eatenGrams === null ? '' : showGrams(line.eatenGrams)"
          :placeholder="part === 'pan' ? 'estimated' : 'all of it'"
          @change="(event) => typeEaten(event, 'eaten')"
        />
        <label :for="leftId" class="small">g, or weighed afterwards</label>
        <input
          :id="leftId"
          class="field eaten"
          :value="
            line.eatenGrams === null || line.grams === null ? '' : showGrams(line.grams - line.eatenGrams)
          "
          :placeholder="part === 'pan' ? 'in the pan' : 'in the bowl'"
          @change="(event) => typeEaten(event, 'left')"
        />
        <span class="small soft">g of {{ line.grams === null ? 'it' : `${showGrams(line.grams)} g` }}</span>
        <span v-if="eatenProblem" class="small" role="alert"
          ><br /><span class="sign stop">✕</span> {{ eatenProblem }}</span
        >
      </span>
    </template>
    <template v-if="food">
      <span class="soft">Source</span>
      <span class="small"
        >{{ food.source }}. <NuxtLink :to="`/larder/${food.id}`">In the larder</NuxtLink></span
      >
    </template>
    <template v-if="food?.homemade && line.grams">
      <span class="soft">Made of</span>
      <span class="small">{{ howToMake(food, line.grams) }}</span>
    </template>
    <template v-if="notes.length || contribution?.eatenWhy || line.waterChangeGrams">
      <span class="soft">Read as</span>
      <ul class="small">
        <li v-for="note in notes" :key="note.text">{{ note.text }}</li>
        <li v-if="contribution?.eatenWhy">
          {{ showGrams(contribution.foodGrams) }} g eaten: {{ contribution.eatenWhy }}
        </li>
        <li v-if="line.waterChangeGrams">
          Water {{ line.waterChangeGrams > 0 ? 'taken up' : 'pressed out' }}:
          {{ showGrams(Math.abs(line.waterChangeGrams)) }} g
        </li>
      </ul>
    </template>
    <Button
      class="take"
      label="Take this line out"
      severity="secondary"
      size="small"
      outlined
      @click="edits.remove(line.id)"
    />
  </div>
</template>

<style scoped>
.food {
  display: grid;
  justify-items: start;
  gap: 0.2rem;
}
.detail {
  display: grid;
  grid-template-columns: 6rem 1fr;
  align-items: center;
  gap: 0.4rem 0.6rem;
  margin: 0.3rem 0 0.5rem;
  padding: 0.6rem 0.75rem;
  border-left: 3px solid var(--beet);
  background: var(--ground);
}
label {
  color: var(--ink-soft);
}
.eaten {
  width: 6rem;
  text-align: right;
}
.take {
  grid-column: 2;
  justify-self: start;
}
.detail :deep(.p-autocomplete-input) {
  width: 100%;
}
</style>
