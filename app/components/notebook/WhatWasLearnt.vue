<script setup lang="ts">
import type { Calibration } from '~~/core/log/calibrate'

const { calibrations } = defineProps<{ calibrations: readonly Calibration[] }>()
const off = defineModel<string[]>('off', { required: true })

const percent = (factor: number) => {
  const change = Math.round((factor - 1) * 100)
  return change === 0 ? 'as the tables say' : `${change > 0 ? '+' : '−'}${Math.abs(change)} %`
}
const toggle = (id: string) => {
  off.value = off.value.includes(id) ? off.value.filter((one) => one !== id) : [...off.value, id]
}
const day = (moment: number) => new Date(moment).toLocaleDateString()
</script>

<template>
  <section class="learnt" aria-label="What your bakes taught">
    <h2>What your bakes taught</h2>
    <p v-if="!calibrations.length" class="soft">
      Nothing yet: weigh the water, the oil before and after or the finished filling, or time the closing, and
      say how the dough felt.
    </p>
    <article v-for="one in calibrations" :key="one.id" :class="{ off: off.includes(one.id) }">
      <p>
        <b>{{ one.name }}</b>, {{ one.of }}: <b>{{ percent(one.learnt.mean) }}</b>
        <span class="soft"
          >since your {{ one.bakes.length }} {{ one.bakes.length === 1 ? 'bake' : 'bakes' }}, between
          {{ percent(one.learnt.low) }} and {{ percent(one.learnt.high) }} nine times in ten</span
        >
      </p>
      <label
        ><input type="checkbox" :checked="!off.includes(one.id)" @change="toggle(one.id)" /> use it</label
      >
      <details>
        <summary>Before, seen, after</summary>
        <table class="ruled">
          <tbody>
            <tr>
              <th scope="row">Before: as the tables say</th>
              <td>± {{ Math.round(100 * one.prior.sd) }} %</td>
            </tr>
            <tr v-for="bake in one.bakes" :key="bake.recordAt">
              <th scope="row">
                {{ day(bake.recordAt) }}, {{ bake.title
                }}<template v-if="bake.trust < 0.5"> · looks like a slip</template>
              </th>
              <td>{{ percent(bake.factor) }}</td>
            </tr>
            <tr>
              <th scope="row">After</th>
              <td>{{ percent(one.learnt.mean) }} ± {{ Math.round(100 * one.learnt.sd) }} %</td>
            </tr>
          </tbody>
        </table>
        <p class="small soft">{{ one.prior.why }}.</p>
      </details>
    </article>
  </section>
</template>

<style scoped>
.learnt,
article {
  display: grid;
  gap: 0.4rem;
}
article {
  padding-top: 0.5rem;
  border-top: 1px solid var(--rule);
}
.off b {
  color: var(--ink-soft);
  text-decoration: line-through;
}
.ruled {
  width: 100%;
}
</style>
