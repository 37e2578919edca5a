<script setup lang="ts">
import { allDrafts, drop, keep, otherTabs, ownTab, type Draft } from '~/logic/drafts'

/** Unsaved work that this browser keeps; only the cook throws it away. */
const bench = useBenchStore()
const router = useRouter()
const kept = shallowRef<Draft[]>([])
const others = shallowRef<Set<string>>(new Set())
const thrown = shallowRef<Draft | null>(null)

async function load() {
  ;[kept.value, others.value] = await Promise.all([allDrafts(), otherTabs()])
}
onMounted(load)

const isElsewhere = (draft: Draft) => draft.tab !== ownTab() && others.value.has(draft.tab)
const when = (draft: Draft) =>
  new Date(draft.keptAt).toLocaleString([], {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  })

async function goOn(draft: Draft) {
  bench.layDraft(draft)
  const address = bench.slot.id ?? bench.original.id
  await router.push(address ? `/bench/${address}` : '/bench')
}

async function throwAway(draft: Draft) {
  await drop(draft)
  thrown.value = draft
  await load()
}

async function undo() {
  if (!thrown.value) return
  keep(thrown.value)
  thrown.value = null
  // The store has it a moment later; the journal has it now.
  await load()
}
</script>

<template>
  <section v-if="kept.length || thrown" class="drafts" aria-labelledby="drafts-title">
    <h2 id="drafts-title">Not saved yet</h2>
    <ul>
      <li v-for="draft in kept" :key="`${draft.about} ${draft.tab}`">
        <span class="title">{{ draft.now.recipe.title || 'Without a title' }}</span>
        <span class="soft small">
          {{ when(draft) }}<template v-if="draft.wantsSave"> · waits for the server</template>
          <template v-if="isElsewhere(draft)"> · open in another tab</template>
        </span>
        <span v-if="!isElsewhere(draft)" class="ways">
          <Button
            label="Go on"
            size="small"
            outlined
            :aria-label="`Go on with ${draft.now.recipe.title}`"
            @click="goOn(draft)"
          />
          <Button
            label="Throw away"
            size="small"
            severity="secondary"
            text
            :aria-label="`Throw away the unsaved changes to ${draft.now.recipe.title}`"
            @click="throwAway(draft)"
          />
        </span>
      </li>
    </ul>
    <p v-if="thrown" class="small" role="status">
      The unsaved changes to {{ thrown.now.recipe.title }} were thrown away.
      <button type="button" class="opens" @click="undo">Undo</button>
    </p>
  </section>
</template>

<style scoped>
.drafts {
  margin-bottom: 1.2rem;
  padding: 0.5rem 0.75rem;
  border-left: 3px solid var(--beet);
  background: var(--sheet);
}
h2 {
  margin: 0 0 0.35rem;
  font-size: 1rem;
}
ul {
  display: grid;
  gap: 0.35rem;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0.25rem 0.75rem;
}
.title {
  font-weight: 600;
}
.ways {
  display: flex;
  gap: 0.5rem;
  margin-left: auto;
}
</style>
