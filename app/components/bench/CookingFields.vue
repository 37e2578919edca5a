<script setup lang="ts">
import { COOKING_WAYS, type CookingWay, type Recipe } from '~~/core/recipe/document'
import { WAY_WORDS } from '~/logic/format'

const { cooking } = defineProps<{ cooking: Recipe['cooking'] }>()
const edits = useBenchEdits()
const problem = ref('')

const valueOf = (event: Event) => (event.target as HTMLInputElement).value.trim()
/** A number within limits, null for nothing typed; says what is wrong otherwise. */
function numberOf(event: Event, what: string, least: number, most: number): number | null | undefined {
  const text = valueOf(event)
    .replace(',', '.')
    .replace(/\s*(?:°\s*C?|C|min(?:utes)?)$/i, '')
  problem.value = ''
  if (!text) return null
  const fahrenheit = /^(\d{3})\s*°?\s*F$/i.exec(text)
  const value = fahrenheit ? Math.round((Number(fahrenheit[1]) - 32) / 1.8 / 5) * 5 : Number(text)
  if (value >= least && value <= most) return value
  problem.value = `${what}: type a number from ${least} to ${most}, or nothing`
  return undefined
}
function setTemperature(event: Event, second = false) {
  const temperatureC = numberOf(event, 'Temperature in °C', 30, 350)
  if (temperatureC === undefined) return
  if (!second) edits.cooking({ temperatureC })
  else if (cooking.andThen) edits.cooking({ andThen: { ...cooking.andThen, temperatureC } })
}
function setMinutes(event: Event, second = false) {
  const minutes = numberOf(event, 'Minutes', 0, 1440)
  if (minutes === undefined) return
  if (!second) edits.cooking({ minutes })
  else if (cooking.andThen) edits.cooking({ andThen: { ...cooking.andThen, minutes } })
}
function setSecond(event: Event) {
  const way = COOKING_WAYS.find((one) => one === valueOf(event)) ?? null
  edits.cooking({
    andThen: way && {
      way,
      temperatureC: cooking.andThen?.temperatureC ?? null,
      minutes: cooking.andThen?.minutes ?? null,
    },
  })
}
</script>

<template>
  <span class="cooking">
    <select
      class="field"
      aria-label="Way of cooking"
      :value="cooking.way"
      @change="(event) => edits.way(valueOf(event) as CookingWay)"
    >
      <option v-for="way in COOKING_WAYS" :key="way" :value="way">{{ WAY_WORDS[way] }}</option>
    </select>
    <label
      ><input
        class="field"
        inputmode="decimal"
        :value="cooking.temperatureC ?? ''"
        aria-label="Temperature in °C"
        @change="setTemperature"
      />
      °C</label
    >
    <label
      ><input
        class="field"
        inputmode="decimal"
        :value="cooking.minutes ?? ''"
        aria-label="Minutes"
        @change="setMinutes"
      />
      min</label
    >
    <select
      class="field second"
      aria-label="Second cooking"
      :value="cooking.andThen?.way ?? ''"
      @change="setSecond"
    >
      <option value="">and no more</option>
      <option v-for="way in COOKING_WAYS" :key="way" :value="way">
        then {{ WAY_WORDS[way].toLowerCase() }}
      </option>
    </select>
    <template v-if="cooking.andThen">
      <label
        ><input
          class="field"
          inputmode="decimal"
          :value="cooking.andThen.temperatureC ?? ''"
          aria-label="Temperature of the second cooking in °C"
          @change="(event) => setTemperature(event, true)"
        />
        °C</label
      >
      <label
        ><input
          class="field"
          inputmode="decimal"
          :value="cooking.andThen.minutes ?? ''"
          aria-label="Minutes of the second cooking"
          @change="(event) => setMinutes(event, true)"
        />
        min</label
      >
    </template>
    <span v-if="problem" class="small" role="alert"><span class="sign stop">✕</span> {{ problem }}</span>
  </span>
</template>

<style scoped>
.cooking {
  display: contents;
}
select {
  max-width: 8.6rem;
}
input {
  width: 3rem;
  text-align: right;
}
</style>
