<script setup lang="ts">
import { temperatureIn } from '~~/core/reading/temperature'
import type { Recipe } from '~~/core/recipe/document'
import { COOKING_WAYS, MAX_MINUTES, type CookingWay } from '~~/core/recipe/vocabulary'
import { WAY_WORDS } from '~/logic/format'

const { cooking } = defineProps<{ cooking: Recipe['cooking'] }>()
const edits = useBenchEdits()
const problem = ref('')

const valueOf = (event: Event) => (event.target as HTMLInputElement).value.trim()
/** What was typed, null for nothing; undefined and said when it is none of what is expected. */
function typed(
  event: Event,
  read: (text: string) => number | null,
  wrong: string,
): number | null | undefined {
  const text = valueOf(event).replace(',', '.')
  const value = text ? read(text) : null
  problem.value = text && value === null ? wrong : ''
  return text && value === null ? undefined : value
}
function setTemperature(event: Event, second = false) {
  // A bare number is in the unit of the field; °F and gas marks are turned into it.
  const read = (text: string) => temperatureIn(/^\d+$/.test(text) ? `${text} °C` : text)?.celsius ?? null
  const temperatureC = typed(event, read, 'Temperature: type °C from 30 to 350, or 400 °F, gas 6, or nothing')
  if (temperatureC === undefined) return
  if (!second) edits.cooking({ temperatureC })
  else if (cooking.andThen) edits.cooking({ andThen: { ...cooking.andThen, temperatureC } })
}
function setMinutes(event: Event, second = false) {
  const read = (text: string) => {
    const minutes = Number(text.replace(/\s*min(?:utes)?$/i, ''))
    return minutes >= 0 && minutes <= MAX_MINUTES ? minutes : null
  }
  const minutes = typed(event, read, `Minutes: type a number from 0 to ${MAX_MINUTES}, or nothing`)
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
