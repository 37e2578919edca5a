<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { ApiProblem, call, sendBytes } from '~/logic/api'
import { changeLines, whenOf } from '~/logic/copyWords'
import { takeOver } from '~/logic/keptHere'
import type { CopiesAnswer, KeptBrowser, PreviewAnswer } from '~~/shared/api/copies'

const emit = defineEmits<{ restored: [] }>()

const seen = ref<PreviewAnswer | null>(null)
const busy = ref('')
const trouble = ref('')
const done = ref('')
const differing = ref<'keep' | 'newer' | 'file'>('newer')
const kept = ref<KeptBrowser[]>([])
const progress = ref<CopiesAnswer['restoring']>(null)
const lines = computed(() => (seen.value ? changeLines(seen.value) : []))
const clashes = computed(() => lines.value.reduce((sum, one) => sum + one.different, 0))
const adds = computed(() => lines.value.reduce((sum, one) => sum + one.added, 0))
const RULES = [
  ['newer', 'Take the newer of the two'],
  ['keep', 'Keep what is here'],
  ['file', 'Take what is in the file'],
] as const

const LOOK_MILLISECONDS = 400
const watching = useIntervalFn(
  async () => {
    progress.value = (await call<CopiesAnswer>('GET', '/api/copies').catch(() => null))?.restoring ?? null
  },
  LOOK_MILLISECONDS,
  { immediate: false },
)
const far = computed(() => {
  if (!progress.value) return ''
  const { done, total } = progress.value
  return total ? `, row ${done} of ${total}` : `, row ${done}`
})

async function doing(words: string, work: () => Promise<void>) {
  busy.value = words
  progress.value = null
  watching.resume()
  trouble.value = ''
  done.value = ''
  try {
    await work()
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    trouble.value = error.message.replace(/^file: /, '')
  }
  watching.pause()
  busy.value = ''
}

const choose = (event: Event) => {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  seen.value = null
  void doing(`Reading ${file.name} and holding it against its checksum`, async () => {
    seen.value = await sendBytes<PreviewAnswer>('/api/restores', file)
  })
}
const look = (name: string) =>
  doing('Reading the copy', async () => {
    seen.value = await call<PreviewAnswer>('POST', `/api/restores?copy=${encodeURIComponent(name)}`)
  })
const restore = () =>
  doing('Restoring', async () => {
    const { id, changes } = seen.value!
    await call('POST', `/api/restores/${id}`, { differing: differing.value })
    seen.value = null
    done.value = `Restored, and every row held against the file: ${changes.reduce((sum, one) => sum + one.added, 0)} rows were added.`
    kept.value = (await call<{ browsers: KeptBrowser[] }>('GET', '/api/kept')).browsers
    emit('restored')
  })
const leave = () =>
  doing('Putting the file away', async () => {
    const { id } = seen.value!
    seen.value = null
    await call('DELETE', `/api/restores/${id}`)
  })
/** The stores read what stands in the browser when the page starts. */
function takeOverKept(one: KeptBrowser) {
  takeOver(one, localStorage)
  window.location.reload()
}
defineExpose({ look })
</script>

<template>
  <section aria-label="Restore" class="by-hand">
    <h2>Restore</h2>
    <p class="soft">
      A file is read whole and held against its checksum first. You see what it would change, then it is put
      back all at once, or not at all. Saved states of a recipe are never overwritten.
    </p>
    <p class="row">
      <label class="pick">
        Choose a file
        <input type="file" accept=".swappocket" :disabled="!!busy" @change="choose" />
      </label>
      <span v-if="busy" class="soft"
        ><span role="status">{{ busy }}</span
        >{{ far }}</span
      >
    </p>
    <p v-if="trouble" role="alert" class="problem">Nothing was changed. {{ trouble }}.</p>
    <div v-if="seen" class="seen">
      <p>
        Made {{ whenOf(seen.madeAt) }} by version {{ seen.program }}.
        <template v-if="!adds && !clashes">All of it is here already.</template>
      </p>
      <table class="ruled">
        <caption class="visually-hidden">
          What restoring would do
        </caption>
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">To add</th>
            <th scope="col">The same</th>
            <th scope="col">Different</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in lines" :key="one.words">
            <th scope="row">{{ one.words }}</th>
            <td>{{ one.added }}</td>
            <td>{{ one.same }}</td>
            <td>
              {{ one.different
              }}<span v-if="one.newerInFile" class="small soft">
                ({{ one.newerInFile }} newer in the file)</span
              >
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="seen.twins" class="soft">
        {{ seen.twins }} recipes of the demo that nobody touched are in the file too; they are not kept twice.
      </p>
      <fieldset v-if="clashes">
        <legend>Where here and the file differ</legend>
        <label v-for="[value, words] in RULES" :key="value">
          <input v-model="differing" type="radio" name="differing" :value="value" /> {{ words }}
        </label>
      </fieldset>
      <p class="row">
        <button type="button" class="main" :disabled="!!busy" @click="restore">Restore it</button>
        <button type="button" :disabled="!!busy" @click="leave">Leave everything as it is</button>
      </p>
    </div>
    <p v-if="done" role="status">{{ done }}</p>
    <div v-if="done && kept.length">
      <p>Guests, cookware and the like, as browsers kept them:</p>
      <ul>
        <li v-for="one in kept" :key="one.id" class="row">
          <span>a {{ one.kind }}, {{ whenOf(one.savedAt) }}</span>
          <button type="button" @click="takeOverKept(one)">Put them into this browser</button>
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 0.6rem;
}
.seen {
  display: grid;
  gap: 0.6rem;
  padding: 0.8rem 1rem;
  border: 1px solid var(--rule-strong);
}
fieldset {
  display: grid;
  gap: 0.3rem;
  padding: 0.4rem 0.8rem 0.6rem;
  border: 1px solid var(--rule);
}
.pick input {
  display: block;
  max-width: 100%;
  margin-top: 0.2rem;
}
p {
  margin: 0;
}
</style>
