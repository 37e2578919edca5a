<script setup lang="ts">
import { diagnose, symptomsFor } from '~~/core/log/diagnose'
import { findingsOf } from '~~/core/log/findings'
import type { CookRecord } from '~~/core/log/record'
import type { CookingWay } from '~~/core/recipe/vocabulary'
import { faultTable } from '~~/data/faultTable'

const { record } = defineProps<{ record: CookRecord }>()
const emit = defineEmits<{ write: [fields: Partial<CookRecord>]; tryNext: [remedy: string, cause: string] }>()

const ways = computed(() => [record.expected.way as CookingWay])
const symptoms = computed(() => symptomsFor(faultTable, ways.value))
const findings = computed(() => findingsOf(record))
const found = computed(() =>
  record.symptoms.flatMap(
    ({ id, answers }) => diagnose(faultTable, id, ways.value, findings.value, answers) ?? [],
  ),
)
const add = (event: Event) => {
  const select = event.target as HTMLSelectElement
  if (select.value) emit('write', { symptoms: [...record.symptoms, { id: select.value, answers: {} }] })
  select.value = ''
}
const answer = (id: string, cause: string, yes: boolean) =>
  emit('write', {
    symptoms: record.symptoms.map((one) =>
      one.id === id ? { ...one, answers: { ...one.answers, [cause]: yes } } : one,
    ),
  })
const drop = (id: string) => emit('write', { symptoms: record.symptoms.filter((one) => one.id !== id) })
const percent = (share: number) => `${Math.round(100 * share)} in 100`
const SHOWN = 3
</script>

<template>
  <section class="wrong" aria-label="What went wrong">
    <h2>What went wrong</h2>
    <p>
      <label>
        <select class="field" aria-label="Something that went wrong" @change="add">
          <option value="">Choose what you saw …</option>
          <option
            v-for="one in symptoms"
            :key="one.id"
            :value="one.id"
            :disabled="record.symptoms.some(({ id }) => id === one.id)"
          >
            {{ one.name }}
          </option>
        </select>
      </label>
    </p>
    <article v-for="one in found" :key="one.symptom">
      <h3>
        {{ one.name }}
        <button type="button" class="opens" :aria-label="`Take ${one.name} away`" @click="drop(one.symptom)">
          take away
        </button>
      </h3>
      <p v-if="one.question" class="ask">
        {{ one.question.text }}
        <button type="button" @click="answer(one.symptom, one.question.cause, true)">Yes</button>
        <button type="button" @click="answer(one.symptom, one.question.cause, false)">No</button>
      </p>
      <ol>
        <li v-for="likely in one.causes.slice(0, SHOWN)" :key="likely.cause">
          <p>
            <b>{{ likely.because }}</b> <span class="soft">{{ percent(likely.probability) }}</span>
          </p>
          <ul v-if="likely.reasons.length" class="small">
            <li v-for="reason in likely.reasons" :key="reason.text">
              {{ reason.speaks === 'for' ? '+' : '−' }} {{ reason.text }}
            </li>
          </ul>
          <p class="small">
            <b>Now:</b> {{ likely.now }}. <b>Next time:</b> {{ likely.next }}.
            <button type="button" class="opens" @click="emit('tryNext', likely.next, likely.because)">
              Try it as an experiment
            </button>
          </p>
        </li>
      </ol>
      <p class="soft small">
        Something else: {{ percent(one.somethingElse) }}. How often each is the cause: common practice, no
        source; the record speaks for or against.
      </p>
    </article>
  </section>
</template>

<style scoped>
.wrong,
article {
  display: grid;
  gap: 0.5rem;
}
article {
  padding-top: 0.5rem;
  border-top: 1px solid var(--rule);
}
ol {
  display: grid;
  gap: 0.6rem;
}
.ask {
  padding: 0.5rem 0.7rem;
  border-left: 4px solid var(--beet);
  background: var(--beet-tint);
}
.ask button {
  min-height: 2.2rem;
  margin-left: 0.4rem;
  padding: 0 0.9rem;
  border: 1px solid var(--rule-strong);
  border-radius: 4px;
  background: var(--sheet);
  color: var(--ink);
  cursor: pointer;
}
</style>
