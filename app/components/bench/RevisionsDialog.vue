<script setup lang="ts">
import type { Revision, StoredWithParent } from '~~/shared/api/answers'
import { ApiProblem, call } from '~/logic/api'
import { showWhen } from '~/logic/format'

const visible = defineModel<boolean>('visible', { required: true })
const { id, current } = defineProps<{
  id: string
  /** The revision on the bench. */
  current: number
}>()
const bench = useBenchStore()
const shelves = useLarderStore()

/** Open forms that the recipe can be taken along in. */
const FORMS = [
  { format: 'json', name: 'our own document' },
  { format: 'jsonld', name: 'JSON-LD (schema.org)' },
  { format: 'markdown', name: 'Markdown' },
  { format: 'text', name: 'plain text' },
  { format: 'csv', name: 'table (CSV)' },
] as const

const revisions = shallowRef<Revision[] | null>(null)
const trouble = ref('')
const brought = ref<number | null>(null)

/** Does a piece of work with the server and says what went wrong. */
async function trying(work: () => Promise<void>) {
  trouble.value = ''
  try {
    await work()
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    trouble.value = error.problem.detail
  }
}
const path = computed(() => `/api/recipes/${encodeURIComponent(id)}`)
const load = () =>
  trying(async () => {
    revisions.value = (await call<{ revisions: Revision[] }>('GET', `${path.value}/revisions`)).revisions
  })
onMounted(load)

/** Lays an older document on the bench as a change: undo takes it back, saving makes it the newest revision. */
const bringBack = (revision: number) =>
  trying(async () => {
    const stored = await call<StoredWithParent>('GET', `${path.value}?revision=${revision}`)
    // It may use foods that no other recipe on the bench has used.
    await shelves.knowFoodsOf(stored.recipe)
    bench.change(stored.recipe)
    brought.value = revision
  })
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Revisions" :style="{ width: '34rem', maxWidth: '96vw' }">
    <p class="small soft">
      Saving adds a revision and writes over none. Bring one back, look at it, and save it or undo.
    </p>
    <p v-if="trouble" role="alert" class="small">
      <span class="sign stop">✕</span> {{ trouble }}
      <button v-if="!revisions" type="button" class="opens" @click="load">Try again</button>
    </p>
    <Skeleton v-if="!revisions && !trouble" height="6rem" />
    <ol v-if="revisions" class="list" aria-label="Revisions, the newest first">
      <li v-for="one in revisions" :key="one.revision">
        <span class="number">{{ one.revision }}</span>
        <span
          >{{ one.title }}<br /><span class="small soft">saved {{ showWhen(one.savedAt) }}</span></span
        >
        <span v-if="brought === one.revision" class="small" role="status">on the bench, not saved</span>
        <span v-else-if="one.revision === current && brought === null" class="small soft">as saved</span>
        <Button
          v-else
          label="Bring back"
          :aria-label="`Bring back revision ${one.revision}`"
          size="small"
          severity="secondary"
          outlined
          @click="bringBack(one.revision)"
        />
      </li>
    </ol>
    <section class="along">
      <h3>Take it along</h3>
      <p class="small">
        <a v-for="one in FORMS" :key="one.format" :href="`${path}/export?format=${one.format}`" download>{{
          one.name
        }}</a>
        <NuxtLink :to="`/sheets?ids=${encodeURIComponent(id)}`">A sheet to print</NuxtLink>
      </p>
      <p class="small soft">
        As it was saved last. Only our own document comes back as it went; the others say their lines and
        figures in words that other programs read.
      </p>
    </section>
  </Dialog>
</template>

<style scoped>
.along {
  display: grid;
  gap: 0.3rem;
  margin-top: 1rem;
}
.along a {
  margin-right: 0.9rem;
}
.list {
  padding: 0;
  list-style: none;
}
.list li {
  display: grid;
  grid-template-columns: 2.2rem 1fr auto;
  align-items: center;
  gap: 0.6rem;
  padding: 0.4rem 0;
  border-top: 1px solid var(--rule);
}
.number {
  font-size: 1.25rem;
  font-weight: 640;
  text-align: right;
}
</style>
