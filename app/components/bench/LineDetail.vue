<script setup lang="ts">
import { searchFoods } from '~~/core/food/match'
import type { Food } from '~~/core/food/food'
import type { Contribution } from '~~/core/nutrition/contributions'
import type { Line } from '~~/core/recipe/document'
import { larder } from '~~/data/larder'
import { showGrams } from '~/logic/format'

const { line, food, contribution } = defineProps<{
  line: Line
  food: Food | undefined
  contribution: Contribution | null
}>()
const emit = defineEmits<{ food: [foodId: string]; rewrite: [raw: string]; remove: [] }>()

const raw = ref(line.raw)
watch(
  () => line.raw,
  (next) => (raw.value = next),
)
const chosen = ref<Food | string>(food ?? line.name)
const found = ref<Food[]>([])
const search = (event: { query: string }) => (found.value = searchFoods(event.query, larder.foods))
const notes = computed(() => line.notes.filter((note) => note.level === 'note'))
const rawId = useId()
const foodId = useId()

function rewrite() {
  if (raw.value.trim() && raw.value.trim() !== line.raw) emit('rewrite', raw.value)
}
</script>

<template>
  <div class="detail">
    <label :for="rawId">As written</label>
    <InputText :id="rawId" v-model="raw" size="small" @keydown.enter="rewrite" @blur="rewrite" />
    <label :for="foodId">Food</label>
    <AutoComplete
      v-model="chosen"
      :input-id="foodId"
      :suggestions="found"
      option-label="name"
      data-key="id"
      size="small"
      complete-on-focus
      placeholder="Name or fragment"
      @complete="search"
      @option-select="(event) => emit('food', event.value.id)"
    />
    <template v-if="food">
      <span class="soft">Source</span>
      <span class="small">{{ food.source }}</span>
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
      @click="emit('remove')"
    />
  </div>
</template>

<style scoped>
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
.take {
  grid-column: 2;
  justify-self: start;
}
.detail :deep(.p-autocomplete-input) {
  width: 100%;
}
</style>
