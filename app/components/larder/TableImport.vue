<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { TABLE_FILE_KEYS, TABLE_FILES, type TableFile } from '~~/core/exchange/openTable'
import type { StoredImport } from '~~/shared/api/foods'
import { call } from '~/logic/api'
import { tableFileOf } from '~/composables/useTableImport'

const emit = defineEmits<{ done: [] }>()
const { state, sentBytes, allBytes, busy, trouble, send, finish, drop, resume } = useTableImport()

const source = ref('')
const who = useLocalStorage('swap-pocket:who', '')
const files = shallowRef<ReadonlyMap<TableFile, File>>(new Map())
const strangers = ref<string[]>([])
const open = shallowRef<Pick<StoredImport, 'id' | 'source' | 'startedAt'>[]>([])

onMounted(async () => {
  const { imports } = await call<{ imports: StoredImport[] }>('GET', '/api/imports').catch(() => ({
    imports: [],
  }))
  open.value = imports.filter((one) => one.state === 'open' || one.state === 'merging')
})

function choose(event: Event) {
  const chosen = new Map<TableFile, File>()
  strangers.value = []
  for (const file of (event.target as HTMLInputElement).files ?? []) {
    const key = tableFileOf(file.name)
    if (key) chosen.set(key, file)
    else strangers.value.push(file.name)
  }
  files.value = chosen
}
const missing = computed(() =>
  TABLE_FILE_KEYS.filter((key) => key !== 'food_portion' && !files.value.has(key)),
)
const ready = computed(() => source.value.trim().length > 1 && who.value.trim() && !missing.value.length)
const badRows = computed(() => state.value?.files.reduce((sum, file) => sum + file.badRows, 0) ?? 0)
const rows = computed(() => state.value?.files.reduce((sum, file) => sum + file.rows, 0) ?? 0)
const sent = computed(() => {
  const ended = new Set(state.value?.files.filter((file) => file.ended).map((file) => file.file))
  return ['nutrient', 'food', 'food_nutrient'].every((file) => ended.has(file as TableFile))
})
const percent = computed(() => (allBytes.value ? Math.round((100 * sentBytes.value) / allBytes.value) : 0))

async function start() {
  if (!(await send(source.value.trim(), who.value.trim(), files.value))) return
  if (!badRows.value) await merge(false)
}
async function merge(withoutBadRows: boolean) {
  if ((await finish(withoutBadRows)) && state.value?.state === 'done') emit('done')
}
async function takeUp(one: Pick<StoredImport, 'id' | 'source'>) {
  await resume(one.id)
  source.value = one.source
}
</script>

<template>
  <section aria-labelledby="import-title">
    <h2 id="import-title">Take in an open table</h2>
    <p class="small soft">
      CSV files in the column layout that USDA FoodData Central publishes:
      {{ TABLE_FILE_KEYS.map((key) => `${key}.csv (${TABLE_FILES[key].columns.join(', ')})`).join('; ') }}.
      The last may be missing. Nothing is stored until all rows are in.
    </p>
    <p v-for="one in open" v-show="!state" :key="one.id" class="small">
      “{{ one.source }}” was begun and not finished.
      <button type="button" class="opens" @click="takeUp(one)">Go on with it</button>
    </p>
    <form @submit.prevent="start">
      <label>Name of the table <input v-model="source" class="field" maxlength="120" /></label>
      <label>Taken in by <input v-model="who" class="field" maxlength="80" autocomplete="nickname" /></label>
      <label
        >Files
        <input type="file" multiple accept=".csv,text/csv" @change="choose" />
      </label>
      <p v-if="strangers.length" class="small" role="status">
        <span class="sign watch">passed over</span> {{ strangers.join(', ') }}: not one of the four names
      </p>
      <p v-if="files.size && missing.length" class="small" role="status">
        <span class="sign watch">missing</span> {{ missing.map((key) => `${key}.csv`).join(', ') }}
      </p>
      <p class="end">
        <Button
          type="submit"
          size="small"
          :label="state?.state === 'open' ? 'Send what is missing' : 'Take it in'"
          :disabled="!ready || busy || state?.state === 'merging'"
        />
        <Button
          v-if="state?.state === 'open'"
          label="Throw it away"
          size="small"
          severity="secondary"
          outlined
          @click="drop"
        />
      </p>
    </form>
    <div v-if="state" role="status">
      <p v-if="busy && state.state === 'open'">
        <progress :value="percent" max="100" aria-label="Sent" /> {{ percent }} % sent,
        {{ rows.toLocaleString() }} rows read
      </p>
      <p v-else-if="state.state === 'merging'">
        <progress aria-label="Storing" /> {{ state.foods.toLocaleString() }} foods made
      </p>
      <p v-else-if="state.state === 'done'">
        <span class="sign fits">✓ done</span> {{ state.foods.toLocaleString() }} foods from
        {{ rows.toLocaleString() }} rows. They are searched with the others.
      </p>
      <p v-else-if="rows">{{ rows.toLocaleString() }} rows read, {{ badRows.toLocaleString() }} unusable.</p>
    </div>
    <div v-if="badRows && state?.state === 'open' && !busy">
      <p>
        <span class="sign stop">✕ {{ badRows.toLocaleString() }}</span>
        {{ badRows === 1 ? 'row' : 'rows' }} cannot be used. Nothing is stored yet.
      </p>
      <ul class="small">
        <li v-for="row in state.badRows" :key="`${row.file} ${row.rowNumber}`">
          {{ row.file }}.csv row {{ row.rowNumber.toLocaleString() }}: {{ row.reason }}
        </li>
      </ul>
      <Button v-if="sent" label="Go on without them" size="small" @click="merge(true)" />
    </div>
    <p v-if="trouble" role="alert"><span class="sign stop">✕</span> {{ trouble }}</p>
  </section>
</template>

<style scoped>
section,
form {
  display: grid;
  align-content: start;
  gap: 0.6rem;
}
label {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
}
.end {
  display: flex;
  gap: 0.75rem;
}
ul {
  max-height: 14rem;
  margin: 0.4rem 0;
  overflow-y: auto;
}
progress {
  accent-color: var(--beet);
}
</style>
