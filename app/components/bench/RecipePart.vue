<script setup lang="ts">
import { VueDraggable } from 'vue-draggable-plus'
import type { Evaluation } from '~~/core/evaluation/evaluate'
import type { Line, Part } from '~~/core/recipe/document'
import { PART_NAMES } from '~~/core/recipe/vocabulary'
import { isSweet, type Made } from '~~/core/substitution/catalogue'
import { NUTRIENT_TABLE, scaleNutrients } from '~~/core/food/nutrients'
import { plainPart, showGrams } from '~/logic/format'
import { SHARE_OF } from '~/composables/useShareNutrient'

const { part, hosts, evaluation, made, pieces } = defineProps<{
  part: Part
  /** All parts of the recipe: a line can be moved to any. */
  hosts: readonly Part[]
  evaluation: Evaluation | null
  made: Made
  pieces: number
}>()
const shelves = useLarderStore()
const sweet = computed(() => isSweet(part, shelves.reference.foods))
const edits = useBenchEdits()
const { shareOf, figure } = useShareNutrient()

const listed = computed(() => part.lines.reduce((sum, line) => sum + (line.grams ?? 0), 0))
const figures = computed(() => evaluation?.parts.find((one) => one.partId === part.id) ?? null)
const several = computed(
  () =>
    (evaluation?.parts.filter((one) => one.kind === 'filling' && one.into === null && one.grams > 0).length ??
      0) > 1,
)
const perBatch = computed(() => evaluation && scaleNutrients(evaluation.perPiece, evaluation.pieces))
const contributions = computed(() => new Map(evaluation?.working.lines.map((line) => [line.lineId, line])))
// A heading may say more than its kind: "For the cabbage filling".
const name = computed(() => part.name || PART_NAMES[part.kind])
const kindSaid = computed(() => name.value.toLowerCase().includes(PART_NAMES[part.kind].toLowerCase()))

/** Two lines in a row that took the place of the same line. */
const sameOrigin = (line: Line, above: Line | undefined) =>
  !!line.cameFrom?.raw &&
  line.cameFrom.raw === above?.cameFrom?.raw &&
  line.cameFrom.swapId === above.cameFrom.swapId

/** The list while something is dragged over it; the document decides what stands there afterwards. */
const dragged = ref<Line[]>([...part.lines])
watch(
  () => part.lines,
  (lines) => (dragged.value = [...lines]),
)
function drop(event: { item: HTMLElement; to: HTMLElement; newIndex?: number }) {
  const lineId = event.item.dataset.line
  const partId = event.to.dataset.part
  dragged.value = [...part.lines]
  if (lineId && partId) edits.move(lineId, partId, event.newIndex)
}
const host = computed(() => hosts.find((one) => one.id === part.into))
const changing = ref(false)

const added = ref('')
function add() {
  if (!added.value.trim()) return
  edits.add(part.id, added.value)
  added.value = ''
}
</script>

<template>
  <section class="part" :class="{ component: part.into }" :aria-label="name">
    <header>
      <h2>
        {{ name }} <span v-if="host" class="soft small">goes into the {{ plainPart(host) }}</span
        ><span v-else-if="!kindSaid" class="soft small">{{ PART_NAMES[part.kind].toLowerCase() }}</span>
      </h2>
      <p v-if="figures" class="soft small">
        {{ showGrams(figures.grams) }} g<template v-if="part.kind === 'pan' && figures.grams < listed - 0.5">
          eaten of {{ showGrams(listed) }} g</template
        >, {{ showGrams(figures.perPiece.grams) }} g a piece
      </p>
      <button
        type="button"
        class="opens small no-print"
        :aria-expanded="changing"
        :aria-label="`Change the part ${name}`"
        @click="changing = !changing"
      >
        change
      </button>
      <span class="heads soft small">
        <label
          >share of
          <select v-model="shareOf">
            <option v-for="(word, key) in SHARE_OF" :key="key" :value="key">{{ word }}</option>
          </select></label
        >
        <span>{{ NUTRIENT_TABLE[figure].unit }}</span>
      </span>
    </header>
    <PartMenu v-if="changing" :part="part" :hosts="hosts" :figures="figures" />
    <VueDraggable
      v-model="dragged"
      tag="ul"
      group="lines"
      handle=".grip"
      :animation="120"
      :data-part="part.id"
      @end="drop"
    >
      <LineRow
        v-for="(line, at) in dragged"
        :key="line.id"
        :data-line="line.id"
        :line="line"
        :part="part.kind"
        :part-id="part.id"
        :hosts="hosts"
        :made="made"
        :contribution="contributions.get(line.id) ?? null"
        :part-grams="listed"
        :per-batch="perBatch"
        :pieces="pieces"
        :continued="sameOrigin(line, dragged[at - 1])"
        :sweet="sweet"
      />
    </VueDraggable>
    <p v-for="line in part.setAside" :key="line.id" class="aside small">
      <s>{{ line.raw || line.name }}</s> left out
      <button type="button" class="opens" @click="edits.putBack(line.id)">put it back</button>
    </p>
    <FlourBlend v-if="part.kind === 'shell'" :part="part" />
    <PartSettings v-if="part.kind !== 'pan'" :part="part" :figures="figures" :several="several" />
    <form class="add no-print" @submit.prevent="add">
      <input
        v-model="added"
        class="field"
        :aria-label="`Add a line to ${name}`"
        placeholder="Add a line: 30 g sesame seeds"
      />
      <Button v-if="added.trim()" type="submit" label="Add" size="small" />
    </form>
  </section>
</template>

<style scoped>
header {
  display: flex;
  align-items: baseline;
  gap: 0.75rem;
  padding-bottom: 0.15rem;
}
.heads {
  display: grid;
  grid-template-columns: auto 2.6rem 7.6rem;
  gap: 0.5rem;
  margin-left: auto;
  text-align: right;
}
select {
  padding: 0;
  border: 0;
  border-bottom: 1px dotted var(--rule-strong);
  background: none;
  color: inherit;
}
.component {
  margin-left: 1rem;
  padding-left: 0.8rem;
  border-left: 2px solid var(--rule-strong);
}
.aside {
  padding: 0.15rem 0;
  border-top: 1px solid var(--rule);
  color: var(--ink-soft);
}
.add {
  display: flex;
  gap: 0.5rem;
  padding: 0.2rem 0;
  border-top: 1px solid var(--rule);
}
.add input {
  flex: 1;
  padding: 0.12rem 0;
  border-color: transparent;
  background: none;
  box-shadow: none;
}
.add input:focus {
  padding: 0.12rem 0.4rem;
  border-color: var(--rule-strong);
}
@media (max-width: 640px) {
  .heads {
    display: none;
  }
  header {
    flex-wrap: wrap;
  }
}
</style>
