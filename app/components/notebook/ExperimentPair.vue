<script setup lang="ts">
import { tastingResult } from '~~/core/log/experiment'
import type { CookRecord } from '~~/core/log/record'

const { record, others } = defineProps<{
  record: CookRecord
  /** Sessions it can be held against. */
  others: readonly { id: string; record: CookRecord }[]
}>()
const emit = defineEmits<{ write: [fields: Partial<CookRecord>] }>()
const experiment = computed(() => record.experiment)
const otherId = ref('')
const differs = ref('')
const begin = () => {
  if (otherId.value && differs.value.trim())
    emit('write', {
      experiment: { otherId: otherId.value, differs: differs.value.trim(), preferThis: 0, preferOther: 0 },
    })
}
const count = (key: 'preferThis' | 'preferOther', event: Event) =>
  emit('write', {
    experiment: { ...experiment.value!, [key]: Number((event.target as HTMLInputElement).value) },
  })
const result = computed(() =>
  experiment.value
    ? tastingResult(experiment.value.preferThis, experiment.value.preferOther, ['this one', 'the other'])
    : null,
)
const day = (moment: number) => new Date(moment).toLocaleDateString()
const print = () => window.print()
</script>

<template>
  <section class="pair" aria-label="Two batches that differ in one thing">
    <h2>An experiment</h2>
    <template v-if="!experiment">
      <p class="soft">Two batches that differ in one thing, tasted blind.</p>
      <p v-if="others.length" class="row">
        <label
          >The other
          <select v-model="otherId" class="field">
            <option value="">choose …</option>
            <option v-for="one in others" :key="one.id" :value="one.id">
              {{ day(one.record.startedAt) }}, {{ one.record.title }}
            </option>
          </select></label
        >
        <label
          >differs in <input v-model="differs" class="field wide" placeholder="oven instead of fryer"
        /></label>
        <button type="button" class="opens" :disabled="!otherId || !differs.trim()" @click="begin">
          Hold them against each other
        </button>
      </p>
      <p v-else class="soft small">It needs a second session.</p>
    </template>
    <template v-else>
      <p>
        Differs in: <b>{{ experiment.differs }}</b>
      </p>
      <p class="row">
        <label
          >chose this one
          <input
            class="field"
            inputmode="numeric"
            :value="experiment.preferThis"
            @change="count('preferThis', $event)"
        /></label>
        <label
          >chose the other
          <input
            class="field"
            inputmode="numeric"
            :value="experiment.preferOther"
            @change="count('preferOther', $event)"
        /></label>
        <button type="button" class="opens" @click="print">Print the tasting sheet</button>
      </p>
      <p role="status">{{ result!.says }}.</p>
      <div class="sheet">
        <h2>Blind tasting</h2>
        <p>
          Two plates, marked with a circle and a square. Taste both, drink water between, do not talk. Put a
          cross where you would take a second one.
        </p>
        <table>
          <thead>
            <tr>
              <th>Taster</th>
              <th>○</th>
              <th>□</th>
              <th>What decided it</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="n in 8" :key="n">
              <td>{{ n }}</td>
              <td />
              <td />
              <td />
            </tr>
          </tbody>
        </table>
        <p class="small">Allergens: ask before tasting.</p>
      </div>
    </template>
  </section>
</template>

<style scoped>
.pair {
  display: grid;
  gap: 0.5rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.6rem;
}
.row .field {
  max-width: 14rem;
}
.row input.field:not(.wide) {
  width: 3.5rem;
}
.sheet {
  display: none;
}
@media print {
  .sheet {
    display: block;
  }
  .sheet table {
    width: 100%;
    border-collapse: collapse;
  }
  .sheet td,
  .sheet th {
    height: 2.4rem;
    border: 1px solid;
  }
}
</style>
