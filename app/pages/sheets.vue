<script setup lang="ts">
import type { ListedRecipe, RecipePage, StoredWithParent } from '~~/shared/api/answers'
import { ApiProblem, call } from '~/logic/api'

// A printed sheet of a recipe, or a booklet of several: what is ticked here is what comes out of the printer.

const route = useRoute()
const router = useRouter()
const shelf = shallowRef<ListedRecipe[] | null>(null)
const stored = shallowReactive(new Map<string, StoredWithParent>())
const trouble = ref('')
const chosen = computed(() =>
  String(route.query.ids ?? '')
    .split(',')
    .filter(Boolean)
    .slice(0, MOST),
)
/** More pages than these are a book. */
const MOST = 60
const sheets = computed(() => chosen.value.flatMap((id) => stored.get(id) ?? []))
const waiting = computed(() => chosen.value.length - sheets.value.length)

async function attempt(work: () => Promise<void>) {
  try {
    await work()
    trouble.value = ''
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    trouble.value = error.message
  }
}
onMounted(() =>
  attempt(async () => {
    shelf.value = (await call<RecipePage>('GET', '/api/recipes')).recipes
  }),
)
watch(
  chosen,
  (ids) =>
    void attempt(async () => {
      for (const id of ids)
        if (!stored.has(id))
          stored.set(id, await call<StoredWithParent>('GET', `/api/recipes/${encodeURIComponent(id)}`))
    }),
  { immediate: true },
)
const choose = (ids: string[]) => router.replace({ query: ids.length ? { ids: ids.join(',') } : {} })
const toggle = (id: string) =>
  choose(chosen.value.includes(id) ? chosen.value.filter((one) => one !== id) : [...chosen.value, id])
const print = () => window.print()
useHead({ title: 'Recipes to print · Swap Pocket' })
</script>

<template>
  <main class="page">
    <section class="choose no-print by-hand" aria-label="Which recipes">
      <h1>To print</h1>
      <p v-if="trouble" role="alert" class="problem">{{ trouble }}</p>
      <p class="row">
        <button type="button" class="main" :disabled="!sheets.length || waiting > 0" @click="print">
          {{ sheets.length > 1 ? `Print a booklet of ${sheets.length}` : 'Print the sheet' }}
        </button>
        <button v-if="chosen.length" type="button" @click="choose([])">Choose none</button>
      </p>
      <p class="small soft">
        Each recipe begins on a page of its own, and no step is torn in two. For a PDF let the browser print
        into a file.
      </p>
      <Skeleton v-if="!shelf && !trouble" height="12rem" />
      <ul>
        <li v-for="one in shelf" :key="one.id">
          <label>
            <input type="checkbox" :checked="chosen.includes(one.id)" @change="toggle(one.id)" />
            {{ one.title }}
          </label>
        </li>
      </ul>
    </section>
    <section class="sheets" aria-label="The sheets" :aria-busy="waiting > 0">
      <p v-if="!chosen.length" class="soft no-print">
        Tick a recipe: it is shown here as it will be printed.
      </p>
      <nav v-if="sheets.length > 1" class="contents" aria-label="Contents">
        <h2>Contents</h2>
        <ol>
          <li v-for="{ id, recipe } in sheets" :key="id">
            <a :href="`#sheet-${id}`">{{ recipe.title }}</a>
          </li>
        </ol>
      </nav>
      <RecipeSheet
        v-for="{ id, recipe, parent } in sheets"
        :id="`sheet-${id}`"
        :key="id"
        :recipe="recipe"
        :original="parent?.recipe ?? null"
      />
    </section>
  </main>
</template>

<style scoped>
.page {
  display: grid;
  flex: 1;
  grid-template-columns: 20rem minmax(0, 1fr);
}
.choose {
  display: grid;
  gap: 0.6rem;
  align-content: start;
  padding: 1rem 1.25rem;
  border-right: 1px solid var(--rule);
}
.choose ul {
  display: grid;
  gap: 0.35rem;
  padding: 0;
  list-style: none;
}
h1,
h2,
p,
ul {
  margin: 0;
}
.sheets {
  display: grid;
  gap: 1.25rem;
  align-content: start;
  padding: 1.25rem;
}
@media (max-width: 800px) {
  .page {
    grid-template-columns: minmax(0, 1fr);
  }
  .choose {
    border-right: 0;
    border-bottom: 1px solid var(--rule);
  }
}
@media print {
  .page,
  .sheets {
    display: block;
    padding: 0;
  }
  .contents {
    break-after: page;
  }
  .contents a {
    color: inherit;
    text-decoration: none;
  }
}
</style>
