<script setup lang="ts">
import type { PartFigures } from '~~/core/evaluation/evaluate'
import type { Part } from '~~/core/recipe/document'
import { MAX_LINE_GRAMS, MAX_MINUTES, MAX_PIECES } from '~~/core/recipe/vocabulary'
import { PRECOOKING_TABLE, PRECOOKING_WAYS } from '~~/core/recipe/precookingWays'
import { showGrams } from '~/logic/format'

const { part, figures, several } = defineProps<{
  part: Part
  figures: PartFigures | null
  /** There are other fillings beside this one. */
  several: boolean
}>()
const edits = useBenchEdits()

const LEFT_WORDS: Partial<Record<Part['kind'], string>> = {
  shell: 'Left on the board',
  filling: 'Left over',
  finish: 'Left in the bowl',
  marinade: 'Thrown away',
  dip: 'Left over',
}
const problem = ref('')

function typeNumber(
  field: 'leftGrams' | 'finishedGrams' | 'pieces' | 'cookedMinutes' | 'usedGrams',
  event: Event,
) {
  const text = (event.target as HTMLInputElement).value.trim()
  const value = Number(text.replace(',', '.').replace(/\s*(?:g|min)$/, ''))
  const least = field === 'leftGrams' || field === 'cookedMinutes' ? 0 : 1
  const most = field === 'pieces' ? MAX_PIECES : field === 'cookedMinutes' ? MAX_MINUTES : MAX_LINE_GRAMS
  const fine = !text || (value >= least && value <= most && (field !== 'pieces' || Number.isInteger(value)))
  problem.value = fine
    ? ''
    : field === 'pieces'
      ? `Type a whole number of pieces from 1 to ${MAX_PIECES}, or nothing to share them out`
      : field === 'cookedMinutes'
        ? `Type minutes from 0 to ${MAX_MINUTES}, or nothing`
        : `Type grams from ${least} to ${MAX_LINE_GRAMS}, or nothing for the usual`
  if (fine) edits.part(part.id, { [field]: text ? value : null })
}
const setWay = (event: Event) => {
  const way = (event.target as HTMLSelectElement).value
  edits.part(part.id, { cookedBy: PRECOOKING_WAYS.find((one) => one === way) ?? null })
}
const shown = (value: number | null | undefined) => (value == null ? '' : showGrams(value))
</script>

<template>
  <div class="settings small no-print" role="group" :aria-label="`How ${part.name} goes in`">
    <template v-if="part.kind === 'filling' || part.into !== null">
      <label
        >Goes in
        <select class="field" :value="part.cookedBy ?? ''" @change="setWay">
          <option value="">
            {{
              part.lines.some((line) => line.cookedBy && line.cookedBy !== 'raw')
                ? 'partly cooked'
                : 'as it is'
            }}
          </option>
          <option v-for="way in PRECOOKING_WAYS" :key="way" :value="way">
            {{ PRECOOKING_TABLE[way].name }}
          </option>
        </select></label
      >
      <template v-if="part.cookedBy || part.lines.some((line) => line.cookedBy)">
        <label
          >for
          <input
            class="field"
            inputmode="decimal"
            :value="part.cookedMinutes ?? ''"
            @change="(event) => typeNumber('cookedMinutes', event)"
          />
          min</label
        >
        <label
          ><input
            type="checkbox"
            class="tick"
            :checked="part.untilDry"
            @change="edits.part(part.id, { untilDry: !part.untilDry })"
          />
          until no water is left</label
        >
      </template>
      <label v-if="part.into !== null"
        >used of it
        <input
          class="field"
          inputmode="decimal"
          :value="shown(part.usedGrams)"
          placeholder="all"
          @change="(event) => typeNumber('usedGrams', event)"
        />
        g</label
      >
      <label
        >finished it weighs
        <input
          class="field"
          inputmode="decimal"
          :value="shown(part.finishedGrams)"
          :placeholder="figures ? `about ${showGrams(figures.grams)}` : ''"
          @change="(event) => typeNumber('finishedGrams', event)"
        />
        g</label
      >
      <label v-if="several && part.into === null"
        >in
        <input
          class="field"
          inputmode="numeric"
          :value="part.pieces ?? ''"
          :placeholder="figures ? String(Math.round(figures.pieces * 10) / 10) : ''"
          @change="(event) => typeNumber('pieces', event)"
        />
        pieces</label
      >
    </template>
    <label v-if="LEFT_WORDS[part.kind]"
      >{{ LEFT_WORDS[part.kind] }}
      <input
        class="field"
        inputmode="decimal"
        :value="shown(part.leftGrams)"
        placeholder="usual"
        @change="(event) => typeNumber('leftGrams', event)"
      />
      g</label
    >
    <p v-if="problem" role="alert"><span class="sign stop">✕</span> {{ problem }}</p>
  </div>
</template>

<style scoped>
.settings {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.2rem 0.9rem;
  padding: 0.2rem 0;
  color: var(--ink-soft);
}
.settings input:not(.tick) {
  width: 5.2rem;
  text-align: right;
}
.settings p {
  flex-basis: 100%;
}
</style>
