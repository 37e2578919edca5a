<script setup lang="ts">
import type { Food } from '~~/core/food/food'
import { matchFood, normaliseName } from '~~/core/reading/match'
import { readLine } from '~~/core/reading/readLine'

const { raw, food } = defineProps<{
  /** The line as it was written. */
  raw: string
  /** The food the cook chose for it. */
  food: Food
}>()
const shelves = useLarderStore()
const tell = useTold()

const name = computed(() => normaliseName(readLine(raw).name))
const taught = computed(() => shelves.names.find((one) => one.name === name.value && one.foodId === food.id))
/** Offered only where the name would be read as something else. */
const offered = computed(
  () => name.value !== '' && matchFood(name.value, shelves.reference.foods)?.food.id !== food.id,
)
</script>

<template>
  <span v-if="taught" class="small" role="status">
    “{{ name }}” is read as {{ food.name }} from now on.
    <button type="button" class="opens" @click="tell(() => shelves.forget(name))">Forget that</button>
  </span>
  <button
    v-else-if="offered"
    type="button"
    class="opens small"
    @click="tell(() => shelves.teach(name, food.id))"
  >
    Always read “{{ name }}” as {{ food.name }}
  </button>
</template>
