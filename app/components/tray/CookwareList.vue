<script setup lang="ts">
import { USUAL_COOKWARE, type Cookware } from '~~/core/tray/batches'
import type { FieldProblem } from '~~/core/recipe/problem'

const { wanted, problems } = defineProps<{
  /** The kind that the recipe is cooked in. */
  wanted: Cookware['kind']
  problems: readonly FieldProblem[]
}>()
const cookware = defineModel<Cookware[]>({ required: true })

type Size = 'widthMm' | 'lengthMm' | 'diameterMm' | 'heightMm' | 'oilMl' | 'count'
const SIZES: Readonly<Record<Cookware['kind'], readonly Size[]>> = {
  tray: ['widthMm', 'lengthMm', 'count'],
  steamer: ['diameterMm', 'count'],
  pot: ['diameterMm', 'heightMm'],
  pan: ['diameterMm'],
  fryer: ['diameterMm', 'heightMm', 'oilMl'],
  griddle: ['diameterMm'],
}
const WORDS: Readonly<Record<Size, string>> = {
  widthMm: 'mm wide',
  lengthMm: 'mm long',
  diameterMm: 'mm across',
  heightMm: 'mm high',
  oilMl: 'ml of oil',
  count: 'of them',
}
const own = computed(() =>
  cookware.value.map((ware, at) => ({ ware, at })).filter(({ ware }) => ware.kind === wanted),
)
const problem = computed(() => problems.find(({ field }) => field.startsWith('plan.cookware')))
const refused = ref('')

function write(at: number, size: Size, event: Event) {
  const value = Number((event.target as HTMLInputElement).value.trim().replace(',', '.'))
  const least = size === 'count' ? 1 : 20
  refused.value = value >= least && value <= 50_000 ? '' : `Type a number from ${least} on`
  if (refused.value) return
  cookware.value = cookware.value.map((ware, n) =>
    n === at ? { ...ware, [size]: size === 'count' ? Math.min(12, Math.round(value)) : value } : ware,
  )
}
const add = () =>
  (cookware.value = [
    ...cookware.value,
    ...(own.value[0] ? [{ ...own.value[0].ware }] : [{ kind: wanted, ...USUAL_COOKWARE[wanted] }]),
  ])
const remove = (at: number) => (cookware.value = cookware.value.filter((_, n) => n !== at))
</script>

<template>
  <div class="list" role="group" aria-label="Your cookware">
    <p v-for="{ ware, at } in own" :key="at" class="ware">
      <strong>{{ ware.kind }}</strong>
      <label v-for="size in SIZES[ware.kind]" :key="size">
        <input
          class="field"
          inputmode="decimal"
          :value="ware[size] ?? ''"
          @change="write(at, size, $event)"
        />
        {{ WORDS[size] }}
      </label>
      <button type="button" class="opens small" :aria-label="`Take the ${ware.kind} out`" @click="remove(at)">
        take out
      </button>
    </p>
    <p v-if="problem || refused" class="problem small" role="alert">{{ refused || problem?.message }}</p>
    <button type="button" class="opens small" @click="add">Another {{ wanted }}</button>
  </div>
</template>

<style scoped>
.list {
  display: grid;
  justify-items: start;
  gap: 0.3rem;
}
.ware {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0.2rem 0.8rem;
}
label {
  display: inline-flex;
  align-items: baseline;
  gap: 0.3rem;
  color: var(--ink-soft);
  font-size: 0.875rem;
}
.field {
  width: 4.2rem;
}
.problem {
  color: var(--stop);
}
</style>
