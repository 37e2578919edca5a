<script setup lang="ts">
import { ApiProblem, call } from '~/logic/api'
import { openFile, type FromFile } from '~/logic/recipeFiles'

const emit = defineEmits<{ text: [text: string]; recipe: [recipe: FromFile & { recipe: object }] }>()
const going = ref(false)
const at = ref(0)
const all = ref(0)
const report = ref<{ name: string; says: string; fine: boolean }[]>([])

/** One recipe goes into the field, to be looked over; several go to the shelf, one after the other. */
async function open(event: Event) {
  const input = event.target as HTMLInputElement
  const files = [...(input.files ?? [])]
  input.value = ''
  report.value = []
  const found: FromFile[] = []
  for (const file of files) {
    const opened = await openFile(file)
    found.push(...opened.found)
    report.value.push(...opened.problems.map((one) => ({ ...one, fine: false })))
  }
  const [only] = found
  if (found.length === 1 && only) {
    if (only.recipe) emit('recipe', { ...only, recipe: only.recipe })
    else emit('text', only.text)
    return
  }
  going.value = found.length > 0
  all.value = found.length
  for (at.value = 0; at.value < found.length; at.value++) await toShelf(found[at.value]!)
  going.value = false
}
async function toShelf(one: FromFile) {
  try {
    const recipe =
      one.recipe ??
      (await call<{ recipe: object & { title: string } }>('POST', '/api/intake', { text: one.text })).recipe
    await call('POST', '/api/recipes', { recipe })
    report.value.push({ name: one.name, says: 'on the shelf', fine: true })
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    report.value.push({ name: one.name, says: error.problem.detail, fine: false })
  }
}
</script>

<template>
  <div class="files">
    <label>
      Open saved pages, files, a table of recipes or a zip of them
      <input
        type="file"
        multiple
        accept=".html,.htm,.json,.jsonld,.txt,.md,.csv,.zip,text/*,application/zip"
        @change="open"
      />
    </label>
    <p v-if="going" role="status">
      {{ at + 1 }} of {{ all }} <progress :value="at" :max="all" aria-label="Files read" />
    </p>
    <div role="status">
      <ul v-if="report.length" class="small">
        <li v-for="(one, n) in report" :key="n">
          <span class="sign" :class="one.fine ? 'fits' : 'stop'">{{ one.fine ? '✓' : '✕' }}</span>
          {{ one.name }}: {{ one.says }}
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.files {
  display: grid;
  gap: 0.4rem;
  color: var(--ink-soft);
}
input {
  max-width: 100%;
}
</style>
