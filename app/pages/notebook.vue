<script setup lang="ts">
import type { CookRecord } from '~~/core/log/record'
import type { FieldProblem } from '~~/core/recipe/problem'
import { newNote } from '~/logic/experimentNote'

const stove = useStoveStore()
const bench = useBenchStore()
const route = useRoute()
const router = useRouter()
const tell = useTold()
onMounted(() => void stove.load())

const finished = computed(() => stove.all.filter(({ record }) => record.finishedAt !== null))
const chosen = computed(
  () => stove.all.find(({ id }) => id === route.query.record) ?? finished.value[0] ?? stove.all[0] ?? null,
)
const select = (id: string) => void router.replace({ query: { record: id } })
const sameRecipe = computed(() =>
  finished.value.filter(({ record }) =>
    chosen.value?.record.recipeId
      ? record.recipeId === chosen.value.record.recipeId
      : record.title === chosen.value?.record.title,
  ),
)
const others = computed(() => finished.value.filter(({ id }) => id !== chosen.value?.id))
const problems = shallowRef<FieldProblem[]>([])
const write = (fields: Partial<CookRecord>) => {
  if (chosen.value) problems.value = stove.write(fields, chosen.value.id)
}
/** A remedy for next time becomes a new revision of the recipe, marked as an experiment. */
const tryNext = (remedy: string, cause: string) =>
  tell(async () => {
    const { recipeId } = chosen.value!.record
    if (recipeId && bench.slot.id !== recipeId) await bench.open(recipeId)
    if (!bench.recipe) return
    bench.change({ ...bench.recipe, notes: [...bench.recipe.notes, newNote(remedy, cause)] })
    await bench.save()
    await router.push('/bench')
  })
const remove = (id: string) => tell(() => stove.remove(id))
const when = (moment: number) =>
  new Date(moment).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })
useHead({ title: 'Notebook · Swap Pocket' })
</script>

<template>
  <main v-if="!stove.loaded && !stove.all.length" class="empty" aria-busy="true">
    <Skeleton height="12rem" />
  </main>
  <main v-else-if="!chosen" class="empty">
    <h1>Nothing is written yet</h1>
    <p>
      Cook a recipe at the stove: what you weighed, measured and thought of it stands here, and what it
      teaches.
    </p>
    <p v-if="stove.away" class="soft">
      The server cannot be reached; records of this device would stand here all the same.
    </p>
    <p><NuxtLink to="/stove">To the stove</NuxtLink> <NuxtLink to="/">To the shelf</NuxtLink></p>
  </main>
  <main v-else class="notebook">
    <nav aria-label="Sessions" class="no-print">
      <h2>Sessions</h2>
      <ul>
        <li v-for="one in stove.all" :key="one.id">
          <button type="button" :aria-current="one.id === chosen.id" @click="select(one.id)">
            <b>{{ one.record.title }}</b><br />
            <span class="small"
              >{{ when(one.record.startedAt)
              }}<template v-if="one.record.finishedAt === null">, not finished</template></span
            >
          </button>
        </li>
      </ul>
      <p v-if="stove.unsent" class="small" role="status">
        {{ stove.unsent }} kept here, sent when the server answers.
      </p>
    </nav>
    <div class="page">
      <header>
        <h1>{{ chosen.record.title }}</h1>
        <p class="soft">
          {{ when(chosen.record.startedAt)
          }}<template v-if="chosen.record.revision">, revision {{ chosen.record.revision }}</template>
          <button type="button" class="opens no-print forget" @click="remove(chosen.id)">
            Forget this session
          </button>
        </p>
      </header>
      <div class="columns">
        <div>
          <JudgeForm
            :key="chosen.id"
            class="no-print"
            :record="chosen.record"
            :problems="problems"
            @write="write"
          />
          <PhotoStrip class="no-print" :record-id="chosen.id" :photos="chosen.photos" @changed="stove.load" />
          <PlannedAndDone :record="chosen.record" />
          <HowItDeveloped class="no-print" :records="sameRecipe" @select="select" />
        </div>
        <div>
          <WhatWentWrong class="no-print" :record="chosen.record" @write="write" @try-next="tryNext" />
          <WhatWasLearnt v-model:off="stove.off" class="no-print" :calibrations="stove.calibrations" />
          <ExperimentPair :key="chosen.id" :record="chosen.record" :others="others" @write="write" />
        </div>
      </div>
    </div>
  </main>
</template>

<style scoped>
.empty {
  display: grid;
  gap: 0.75rem;
  max-width: 46rem;
  padding: 1.5rem 1.25rem;
}
.notebook {
  display: grid;
  flex: 1;
  grid-template-columns: 14rem minmax(0, 1fr);
}
nav {
  padding: 1rem 0.75rem;
  border-right: 1px solid var(--rule);
}
nav button {
  width: 100%;
  padding: 0.4rem 0.5rem;
  border: 0;
  border-left: 4px solid transparent;
  background: none;
  color: var(--ink);
  text-align: left;
  cursor: pointer;
}
nav button[aria-current='true'] {
  border-color: var(--beet);
  background: var(--beet-tint);
}
.page {
  display: grid;
  gap: 1rem;
  align-content: start;
  padding: 1rem 1.25rem 2rem;
  background: var(--sheet);
}
.columns {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 1.75rem;
}
.columns > div {
  display: grid;
  gap: 1.5rem;
  align-content: start;
}
.forget {
  margin-left: 1rem;
}
@media (max-width: 980px) {
  .notebook,
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
  nav {
    border-right: 0;
    border-bottom: 1px solid var(--rule);
  }
  nav ul {
    max-height: 9rem;
    overflow-y: auto;
  }
}
@media print {
  .columns {
    display: block;
  }
}
</style>
