<script setup lang="ts">
import {
  MICRONUTRIENT_KEYS,
  MICRONUTRIENTS,
  type Micronutrient,
  type Micronutrients,
} from '~~/core/food/micronutrients'
import type { LabelDoubt } from '~~/core/food/packet'

/** Amounts for the weight that the packet's figures are for; what it does not state is not there. */
const amounts = defineModel<Partial<Micronutrients>>({ default: () => ({}) })
/** How many of them are no number. */
const unread = defineModel<number>('unread', { default: 0 })
const { doubts } = defineProps<{ doubts: readonly LabelDoubt[] }>()

const texts = reactive<Partial<Record<Micronutrient, string>>>({})
function type(key: Micronutrient, event: Event) {
  const text = (event.target as HTMLInputElement).value.trim()
  const value = Number(text.replace(',', '.').replace(/^<\s*/, ''))
  if (text !== '' && !(Number.isFinite(value) && value >= 0)) texts[key] = text
  else {
    Reflect.deleteProperty(texts, key)
    amounts.value = { ...amounts.value, [key]: text === '' ? null : value }
  }
  unread.value = Object.keys(texts).length
}
const doubtsOf = (key: Micronutrient): LabelDoubt[] =>
  texts[key] === undefined
    ? doubts.filter((doubt) => doubt.field === key)
    : [
        {
          field: key,
          level: 'error',
          message: `“${texts[key]}” is no number; type one such as 0.38, or nothing`,
        },
      ]
const stated = computed(
  () => MICRONUTRIENT_KEYS.filter((key) => (amounts.value[key] ?? null) !== null).length,
)
const id = useId()
</script>

<template>
  <details class="minerals">
    <summary>
      Minerals and vitamins, where the packet states them<template v-if="stated">: {{ stated }}</template>
    </summary>
    <div class="rows">
      <template v-for="key in MICRONUTRIENT_KEYS" :key="key">
        <label :for="`${id}-${key}`">{{ MICRONUTRIENTS[key].name }}</label>
        <span>
          <input
            :id="`${id}-${key}`"
            class="field"
            inputmode="decimal"
            :value="texts[key] ?? amounts[key] ?? ''"
            :aria-invalid="doubtsOf(key).length > 0"
            @input="(event) => type(key, event)"
          />
          {{ MICRONUTRIENTS[key].unit }}
        </span>
        <FieldDoubts :doubts="doubtsOf(key)" />
      </template>
    </div>
  </details>
</template>

<style scoped>
.minerals {
  grid-column: 1 / -1;
}
summary {
  cursor: pointer;
}
.rows {
  display: grid;
  grid-template-columns: 9.5rem 1fr;
  align-items: baseline;
  gap: 0.25rem 0.75rem;
  margin-top: 0.35rem;
}
.rows input {
  width: 6rem;
  text-align: right;
}
</style>
