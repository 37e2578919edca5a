<script setup lang="ts">
import type { PartFigures } from '~~/core/evaluation/evaluate'
import type { Part } from '~~/core/recipe/document'
import { PART_NAMES, PART_KINDS, type PartKind } from '~~/core/recipe/vocabulary'
import type { Food } from '~~/core/food/food'
import { ApiProblem } from '~/logic/api'
import { plainPart } from '~/logic/format'

const { part, hosts, figures } = defineProps<{
  part: Part
  /** All parts of the recipe. */
  hosts: readonly Part[]
  figures: PartFigures | null
}>()
const edits = useBenchEdits()
const shelves = useLarderStore()
const at = computed(() => hosts.findIndex((one) => one.id === part.id))
/** Parts that it can be made for: of the piece, and not itself. */
const others = computed(() =>
  hosts.filter(
    (one) => one.id !== part.id && one.into === null && !hosts.some((own) => own.into === part.id),
  ),
)
const pickerId = useId()

function rename(event: Event) {
  const name = (event.target as HTMLInputElement).value.replace(/\s+/g, ' ').trim().slice(0, 120)
  if (name && name !== part.name) edits.part(part.id, { name })
}
function setKind(event: Event) {
  const value = (event.target as HTMLSelectElement).value
  if (value.startsWith('into:')) edits.partInto(part.id, value.slice(5))
  else {
    if (part.into !== null) edits.partInto(part.id, null)
    edits.partKind(part.id, value as PartKind)
  }
}
/** What can be kept as a food: every line with a food and a weight. */
const madeOf = computed(() =>
  part.lines.flatMap(({ foodId, grams }) => (foodId && grams ? [{ foodId, grams }] : [])),
)
const kept = shallowRef<Food | null>(null)
const problem = ref('')
async function keepAsFood() {
  problem.value = ''
  try {
    kept.value = await shelves.addMade({
      // "For the masala" is a heading; the food is called masala.
      name: plainPart(part).replace(/^./, (first) => first.toUpperCase()),
      madeOf: madeOf.value,
      makesGrams: part.finishedGrams ?? Math.max(1, figures?.grams ?? 1),
      heat: part.cookedBy,
      method: '',
    })
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    problem.value = error.problem.detail
  }
}
const buy = (food: Food) => edits.buyComponent(part.id, food, Math.max(1, Math.round(figures?.grams ?? 1)))
</script>

<template>
  <div class="menu small">
    <label
      >Called
      <input class="field name" :value="part.name" maxlength="120" @change="rename" />
    </label>
    <label
      >It is
      <select
        class="field"
        aria-label="It is"
        :value="part.into === null ? part.kind : `into:${part.into}`"
        @change="setKind"
      >
        <option v-for="kind in PART_KINDS" :key="kind" :value="kind">{{ PART_NAMES[kind] }}</option>
        <option v-for="other in others" :key="other.id" :value="`into:${other.id}`">
          made for the {{ plainPart(other) }}
        </option>
      </select>
    </label>
    <UpDown
      :what="part.name"
      :first="at <= 0"
      :last="at >= hosts.length - 1"
      @move="(by) => edits.nudgePart(part.id, by)"
    />
    <span v-if="part.into !== null" class="buy">
      <label :for="pickerId">Buy it instead</label>
      <FoodPicker :input-id="pickerId" @choose="buy" />
    </span>
    <template v-if="part.into !== null">
      <span v-if="kept" role="status">
        {{ kept.name }} is in the larder now: <NuxtLink :to="`/larder/${kept.id}`">look at it</NuxtLink>
      </span>
      <button
        v-else
        type="button"
        class="opens"
        :disabled="!madeOf.length || madeOf.length < part.lines.length"
        @click="keepAsFood"
      >
        Keep it in the larder as a food
      </button>
      <span v-if="madeOf.length < part.lines.length" class="soft"
        >once every line has a food and a weight</span
      >
      <span v-if="problem" role="alert"><span class="sign stop">✕</span> {{ problem }}</span>
    </template>
    <button v-if="hosts.length > 1" type="button" class="opens" @click="edits.removePart(part.id)">
      Take this part out
    </button>
  </div>
</template>

<style scoped>
.menu {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.35rem 0.9rem;
  padding: 0.45rem 0.7rem;
  border-left: 3px solid var(--beet);
  background: var(--ground);
}
.name {
  width: 12rem;
}
.buy {
  display: flex;
  align-items: center;
  gap: 0.4rem;
}
</style>
