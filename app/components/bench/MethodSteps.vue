<script setup lang="ts">
import { adviceOn } from '~~/core/method/advice'
import type { Evaluation } from '~~/core/evaluation/evaluate'
import type { Recipe } from '~~/core/recipe/document'

const { recipe, before, evaluation } = defineProps<{
  recipe: Recipe
  /** The figures of the recipe it grew from; null for one as written. */
  before: Evaluation | null
  evaluation: Evaluation | null
}>()
const shelves = useLarderStore()
const edits = useBenchEdits()

const advice = computed(() =>
  adviceOn(recipe, shelves.reference, before && evaluation ? { before, after: evaluation } : null),
)
const remarks = computed(() => [
  ...recipe.notes.filter((note) => note.code === 'cooking'),
  ...advice.value.filter((note) => note.code === 'handling'),
])
const kept = computed(() =>
  recipe.notes.filter(
    (note) => note.level === 'note' && !['handling', 'method', 'cooking'].includes(note.code),
  ),
)
/** Remarks on a step ("Step 3 says egg") stand under it. */
const remarksOn = (step: number) =>
  advice.value.filter((note) => note.code === 'method' && note.text.startsWith(`Step ${step} `))

/** The step that is being written; null for none. */
const open = ref<number | null>(null)
const added = ref('')
const list = useTemplateRef<HTMLElement>('list')

function write(at: number, event: Event) {
  const text = (event.target as HTMLTextAreaElement).value
  open.value = null
  if (text.trim() !== recipe.method[at]) edits.step(at, text)
}
async function move(at: number, by: -1 | 1) {
  edits.nudgeStep(at, by)
  await nextTick()
  list.value?.querySelectorAll<HTMLElement>('.step')[at + by]?.focus()
}
function add() {
  if (!added.value.trim()) return
  edits.addStep(added.value)
  added.value = ''
}
async function edit(at: number) {
  open.value = at
  await nextTick()
  list.value?.querySelector('textarea')?.focus()
}
</script>

<template>
  <section aria-labelledby="method-title" class="method">
    <h2 id="method-title">Method</h2>
    <p v-if="!recipe.method.length" class="soft small">No steps yet. Write them as you do them.</p>
    <ol ref="list">
      <li v-for="(step, at) in recipe.method" :key="at">
        <textarea
          v-if="open === at"
          class="field"
          rows="3"
          maxlength="2000"
          :value="step"
          :aria-label="`Step ${at + 1}`"
          @blur="(event) => write(at, event)"
          @keydown.ctrl.enter="($event.target as HTMLElement).blur()"
          @keydown.escape="open = null"
        />
        <template v-else>
          <button
            type="button"
            class="step"
            :aria-label="`Step ${at + 1}: ${step}`"
            aria-keyshortcuts="Alt+ArrowUp Alt+ArrowDown"
            @click="edit(at)"
            @keydown.alt.up.prevent="move(at, -1)"
            @keydown.alt.down.prevent="move(at, 1)"
          >
            {{ step }}
          </button>
          <span class="ways no-print">
            <UpDown
              :what="`Step ${at + 1}`"
              :first="at === 0"
              :last="at === recipe.method.length - 1"
              @move="(by) => move(at, by)"
            />
            <button
              type="button"
              class="tiny"
              :aria-label="`Take step ${at + 1} out`"
              @click="edits.step(at, '')"
            >
              −
            </button>
          </span>
        </template>
        <span v-for="remark in remarksOn(at + 1)" :key="remark.text" class="remark small">{{
          remark.text.replace(/^Step \d+ says/, 'Here')
        }}</span>
      </li>
    </ol>
    <form class="add no-print" @submit.prevent="add">
      <input
        v-model="added"
        class="field"
        maxlength="2000"
        aria-label="Add a step"
        placeholder="Add a step"
      />
      <Button v-if="added.trim()" type="submit" label="Add" size="small" />
    </form>
    <template v-if="remarks.length">
      <h2>What to do differently</h2>
      <ul class="small">
        <li v-for="remark in remarks" :key="remark.text">{{ remark.text }}</li>
      </ul>
    </template>
    <p v-for="note in kept" :key="note.text" class="soft small">{{ note.text }}</p>
  </section>
</template>

<style scoped>
.method {
  display: grid;
  gap: 0.4rem;
  padding-top: 0.5rem;
  border-top: 1px solid var(--rule-strong);
}
ol,
ul {
  display: grid;
  gap: 0.3rem;
  padding-left: 1.4rem;
  list-style: decimal;
}
ul {
  list-style: disc;
}
ol li {
  position: relative;
  padding-right: 5.6rem;
}
.step {
  width: 100%;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: text;
}
.step:hover {
  text-decoration: underline dotted;
}
textarea {
  width: 100%;
}
.ways {
  position: absolute;
  top: 0;
  right: 0;
  display: flex;
}
.remark {
  display: block;
  color: var(--beet);
}
.add {
  display: flex;
  gap: 0.5rem;
}
.add input {
  flex: 1;
}
</style>
