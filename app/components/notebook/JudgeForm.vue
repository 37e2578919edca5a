<script setup lang="ts">
import { SCALES, type CookRecord, type JudgedBy } from '~~/core/log/record'
import type { FieldProblem } from '~~/core/recipe/problem'

const { record, problems } = defineProps<{ record: CookRecord; problems: readonly FieldProblem[] }>()
const emit = defineEmits<{ write: [fields: Partial<CookRecord>] }>()

const QUESTIONS: readonly [JudgedBy, string][] = [
  ['feel', 'The dough felt'],
  ['closed', 'It closed'],
  ['colour', 'Colour'],
  ['crust', 'Crust'],
  ['inside', 'Inside'],
  ['taste', 'Taste'],
]
type Judgement = CookRecord['judgement']
const judge = (fields: Partial<Judgement>) => emit('write', { judgement: { ...record.judgement, ...fields } })
const whole = (event: Event) => {
  const { value } = event.target as HTMLInputElement
  return value.trim() === '' ? null : Number(value)
}
const text = (event: Event) => (event.target as HTMLInputElement | HTMLTextAreaElement).value
</script>

<template>
  <section class="judge" aria-label="How it was">
    <h2>How it was</h2>
    <p class="soft small">Two minutes; anything can be left out or come later.</p>
    <fieldset v-for="[key, question] in QUESTIONS" :key="key">
      <legend>{{ question }}</legend>
      <div>
        <label
          v-for="(word, n) in SCALES[key]"
          :key="word"
          :class="{ chosen: record.judgement[key] === n + 1 }"
        >
          <input
            type="radio"
            :name="key"
            :checked="record.judgement[key] === n + 1"
            @change="judge({ [key]: n + 1 })"
          />
          {{ word }}
        </label>
      </div>
    </fieldset>
    <p class="row">
      <label
        >Burst
        <input
          class="field"
          inputmode="numeric"
          :value="record.judgement.burst"
          @change="judge({ burst: whole($event) })"
      /></label>
      <label
        >Leaked
        <input
          class="field"
          inputmode="numeric"
          :value="record.judgement.leaked"
          @change="judge({ leaked: whole($event) })"
      /></label>
      <label class="who"
        >Liked by
        <input class="field" :value="record.judgement.likedBy" @change="judge({ likedBy: text($event) })"
      /></label>
    </p>
    <label class="note">
      Note
      <textarea
        class="field"
        rows="3"
        :value="record.judgement.note"
        @change="judge({ note: text($event) })"
      />
    </label>
    <p v-for="one in problems" :key="one.field" class="problem" role="alert">{{ one.message }}</p>
  </section>
</template>

<style scoped>
.judge {
  display: grid;
  gap: 0.6rem;
}
fieldset {
  display: grid;
  grid-template-columns: 8rem 1fr;
  margin: 0;
  padding: 0;
  border: 0;
}
legend {
  float: left;
  padding: 0.3rem 0;
}
fieldset > div {
  display: flex;
  flex-wrap: wrap;
  grid-column: 2;
  gap: 0.3rem;
}
fieldset label {
  padding: 0.25rem 0.6rem;
  border: 1px solid var(--rule-strong);
  border-radius: 4px;
  cursor: pointer;
}
fieldset label.chosen {
  border-color: var(--beet);
  background: var(--beet-tint);
  font-weight: 640;
}
fieldset input {
  position: absolute;
  opacity: 0;
}
fieldset label:focus-within {
  outline: 2px solid var(--beet);
  outline-offset: 2px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem;
}
.row .field {
  width: 3.5rem;
}
.row .who .field {
  width: 14rem;
}
.note {
  display: grid;
  gap: 0.2rem;
}
.problem {
  color: var(--stop);
}
</style>
