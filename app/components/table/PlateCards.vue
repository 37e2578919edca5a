<script setup lang="ts">
import type { TableAnswer } from '~~/shared/api/table'
import { evaluate } from '~~/core/evaluation/evaluate'
import { pieceGrams } from '~~/core/evaluation/pieceGrams'
import type { KnownGuest } from '~/stores/table'

const { table, guests, title } = defineProps<{
  table: TableAnswer
  guests: readonly KnownGuest[]
  title: string
}>()
const shelves = useLarderStore()
const nameOf = (id: string) => guests.find((one) => one.id === id)?.name ?? id
const kindName = (madeFor: string[]) => (madeFor.length ? madeFor.join(', ') : 'as it is')
/** The piece of each kind, drawn as on the bench. */
const pieces = computed(
  () =>
    new Map(
      table.kinds.map(({ id, recipe, mark }) => [
        id,
        [
          {
            caption: '',
            shape: recipe.shape,
            grams: pieceGrams(evaluate(recipe, shelves.reference)),
            mark: mark ?? undefined,
          },
        ],
      ]),
    ),
)
const whose = (id: string) =>
  table.plates
    .filter(({ kinds }) => kinds.some((one) => one.id === id))
    .map(({ guestId, kinds }) => `${nameOf(guestId)} (${kinds.find((one) => one.id === id)!.pieces})`)
    .join(', ')
</script>

<template>
  <div class="cards">
    <article v-for="kind in table.kinds" :key="kind.id" class="card">
      <h3>{{ title }}, {{ kindName(kind.madeFor) }}</h3>
      <p class="mark">
        <b>{{ kind.pieces }}</b> pieces<template v-if="kind.mark"
          >, marked by: <b>{{ kind.mark }}</b> <PieceMark :mark="kind.mark"
        /></template>
      </p>
      <CrossSection class="drawing" :pieces="pieces.get(kind.id)!" />
      <p>For {{ whose(kind.id) || 'nobody yet' }}</p>
      <p v-if="kind.allergens.length">
        Contains <b>{{ kind.allergens.join(', ') }}</b>
      </p>
      <p v-if="kind.mayContain.length" class="small">
        May contain {{ kind.mayContain.join(', ').toLowerCase() }}
      </p>
    </article>
  </div>
</template>

<style scoped>
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr));
  gap: 1.25rem;
}
.card {
  display: grid;
  gap: 0.35rem;
  align-content: start;
  padding-top: 0.6rem;
  border-top: 3px solid var(--ink);
}
.drawing {
  max-width: 15rem;
}
@media print {
  .card {
    break-inside: avoid;
    font-size: 1.3rem;
  }
  .card h3 {
    font-size: 1.6rem;
  }
  .card .small {
    font-size: 1.1rem;
  }
}
</style>
