<script setup lang="ts">
import { useToast } from 'primevue/usetoast'
import type { Food } from '~~/core/food/food'
import { matchFood, normaliseName } from '~~/core/reading/match'
import { readLine } from '~~/core/reading/readLine'
import { ApiProblem } from '~/logic/api'

const { raw, food } = defineProps<{
  /** The line as it was written. */
  raw: string
  /** The food the cook chose for it. */
  food: Food
}>()
const shelves = useLarderStore()
const toast = useToast()

const name = computed(() => normaliseName(readLine(raw).name))
const taught = computed(() => shelves.names.find((one) => one.name === name.value && one.foodId === food.id))
/** Offered only where the name would be read as something else. */
const offered = computed(
  () => name.value !== '' && matchFood(name.value, shelves.larder.foods)?.food.id !== food.id,
)
async function tell(act: () => Promise<unknown>) {
  try {
    await act()
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    toast.add({ severity: 'warn', summary: error.problem.title, detail: error.problem.detail, life: 4000 })
  }
}
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
