<script setup lang="ts">
import { AMINO_ACID_KEYS, AMINO_ACIDS } from '~~/core/food/aminoAcids'
import type { ProteinQuality } from '~~/core/nutrition/proteinQuality'

const { protein } = defineProps<{ protein: ProteinQuality }>()
const rows = computed(() =>
  AMINO_ACID_KEYS.map((key) => {
    const { name, patternMgPerG } = AMINO_ACIDS[key]
    const own = protein.mgPerGProtein[key]
    return { key, name, patternMgPerG, own, pct: (100 * own) / patternMgPerG }
  }).sort((a, b) => a.pct - b.pct),
)
</script>

<template>
  <div class="working">
    <p v-if="protein.scorePct !== null && protein.limiting">
      The scarcest is <strong>{{ AMINO_ACIDS[protein.limiting].name }}</strong>, at
      <strong>{{ Math.round(protein.scorePct) }} %</strong> of what an adult's protein should hold.
    </p>
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Amino acid</th>
          <th scope="col">mg in 1 g of protein</th>
          <th scope="col">asked</th>
          <th scope="col">share</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.key">
          <th scope="row">{{ row.name }}</th>
          <td>{{ row.own.toFixed(0) }}</td>
          <td>{{ row.patternMgPerG }}</td>
          <td>{{ Math.round(row.pct) }} %</td>
        </tr>
      </tbody>
    </table>
    <p class="small">
      Known for {{ Math.round(protein.knownPct) }} % of the protein<template v-if="protein.lacking.length"
        >; no data for {{ protein.lacking.join(', ').toLowerCase() }}</template
      >.
    </p>
    <p class="soft small">
      Pattern for adults: FAO/WHO/UNU 2007 (WHO Technical Report Series 935), from memory. A score of what is
      there, not of what is digested; one meal need not be complete when the day is.
    </p>
  </div>
</template>
