<script setup lang="ts">
import { pitfallsOf } from '~~/core/method/pitfalls'
import type { Evaluation } from '~~/core/evaluation/evaluate'

const { evaluation, wanted } = defineProps<{ evaluation: Evaluation; wanted: string[] }>()

const SIGNS = {
  fits: ['fits', '✓ fits'],
  'does not fit': ['stop', '✕ no'],
  'cannot tell': ['watch', '? cannot tell'],
} as const
/** Shown whatever was asked for; the others on demand. */
const ALWAYS = ['vegan', 'vegetarian', 'gluten-free', 'whole-grain', 'high-protein', 'keto', 'avoid']
const all = ref(false)
// The diets asked for stand first; the others keep their order.
const verdicts = computed(() =>
  evaluation.diets
    .filter((one) => all.value || wanted.includes(one.diet) || ALWAYS.includes(one.diet))
    .sort((a, b) => Number(wanted.includes(b.diet)) - Number(wanted.includes(a.diet))),
)
const shelves = useLarderStore()
const undone = computed(() => pitfallsOf(evaluation, wanted, shelves.reference.foods))
</script>

<template>
  <section aria-labelledby="diets-title">
    <h2 id="diets-title">Diets</h2>
    <ul>
      <li v-for="verdict in verdicts" :key="verdict.diet">
        <span class="name">{{ verdict.name }}</span>
        <span class="sign" :class="SIGNS[verdict.verdict][0]">{{ SIGNS[verdict.verdict][1] }}</span>
        <span class="why small" :title="verdict.source">
          <template v-if="verdict.reasons.length">{{ verdict.reasons.join('; ') }}</template>
          <template v-else>nothing in it speaks against</template>
          <span v-for="check in verdict.toCheck" :key="check" class="check">{{ check }}</span>
        </span>
      </li>
    </ul>
    <p>
      <button type="button" class="opens soft small" :aria-expanded="all" @click="all = !all">
        {{ all ? 'fewer diets' : `all ${evaluation.diets.length} diets` }}
      </button>
    </p>
    <p v-for="text in undone" :key="text" class="small">
      <span class="sign watch">undoes it</span> {{ text }}
    </p>
    <h2>Allergens</h2>
    <p>
      <strong v-if="evaluation.allergens.length">{{ evaluation.allergens.join(', ') }}</strong>
      <template v-else>None of the 14 in what is listed</template>
      <span v-if="evaluation.mayContain.length" class="soft"
        >; read the packets for {{ evaluation.mayContain.join(', ').toLowerCase() }}</span
      >
    </p>
    <h2 id="care-title">Take care</h2>
    <ul class="cautions small">
      <li v-for="caution in evaluation.cautions" :key="caution.code">
        {{ caution.text }} <span class="soft">({{ caution.source }})</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 0.4rem;
}
h2:not(:first-child) {
  margin-top: 0.5rem;
}
li {
  display: grid;
  grid-template-columns: 7rem 7.5rem 1fr;
  align-items: baseline;
  gap: 0.5rem;
  padding: 0.15rem 0;
}
.sign {
  justify-self: start;
}
.check {
  display: block;
  color: var(--watch);
}
.cautions {
  padding-left: 1.1rem;
  list-style: disc;
}
.cautions li {
  display: list-item;
}
@media (max-width: 640px) {
  li {
    grid-template-columns: 1fr auto;
  }
  .why {
    grid-column: 1 / -1;
  }
}
</style>
