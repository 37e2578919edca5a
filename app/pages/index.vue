<script setup lang="ts">
import { useToast } from 'primevue/usetoast'
import type { ListedRecipe, ProblemDocument, RecipePage } from '~~/shared/api/answers'
import { ApiProblem, call } from '~/logic/api'
import { familiesOf, filterFamilies } from '~/logic/families'

const toast = useToast()
const router = useRouter()
const recipes = shallowRef<ListedRecipe[] | null>(null)
/** Where the next page begins; null when everything is here. */
const next = ref<string | null>(null)
const failure = ref<ProblemDocument | null>(null)
const query = ref('')
const removed = ref<ListedRecipe | null>(null)

const families = computed(() => familiesOf(recipes.value ?? []))
const shown = computed(() => filterFamilies(families.value, query.value))

async function attempt<T>(work: () => Promise<T>): Promise<T | null> {
  try {
    failure.value = null
    return await work()
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    failure.value = error.problem
    return null
  }
}

async function load() {
  const page = await attempt(() => call<RecipePage>('GET', '/api/recipes'))
  if (!page) return
  recipes.value = page.recipes
  next.value = page.next
}

/** The next page of a long shelf. */
async function more() {
  if (next.value === null) return
  const after = encodeURIComponent(next.value)
  const page = await attempt(() => call<RecipePage>('GET', `/api/recipes?after=${after}`))
  if (!page) return
  recipes.value = [...(recipes.value ?? []), ...page.recipes]
  next.value = page.next
}

async function remove(recipe: ListedRecipe) {
  if (!(await attempt(() => call('DELETE', `/api/recipes/${recipe.id}`)))) return
  removed.value = recipe
  await load()
}

async function putBack() {
  if (!removed.value) return
  if (!(await attempt(() => call('POST', `/api/recipes/${removed.value!.id}/restore`)))) return
  toast.add({ severity: 'info', summary: 'Back on the shelf', life: 2500 })
  removed.value = null
  await load()
}

onMounted(load)
useHead({ title: 'Shelf · Swap Pocket' })
const search = useTemplateRef<HTMLElement>('search')
usePlaceKeys([
  { key: 'p', says: 'Paste a recipe', act: () => router.push('/paste') },
  { key: '/', says: 'Search the shelf', act: () => search.value?.querySelector('input')?.focus() },
  { key: 'mod+z', says: 'Put back what was taken off', act: putBack },
])
</script>

<template>
  <main>
    <header>
      <h1>Shelf</h1>
      <div ref="search" class="search">
        <InputText v-model="query" size="small" placeholder="Title or diet" aria-label="Search the shelf" />
      </div>
      <Button label="Paste a recipe" @click="router.push('/paste')" />
      <NuxtLink v-if="recipes?.length" to="/sheets" :prefetch="false" class="small">Print a booklet</NuxtLink>
    </header>
    <p v-if="removed" class="undo" role="status">
      {{ removed.title }} was taken off the shelf.
      <Button label="Put it back" size="small" severity="secondary" outlined @click="putBack" />
    </p>
    <div v-if="failure" class="trouble" role="alert">
      <p>
        <strong>{{ failure.title }}.</strong> {{ failure.detail }}.
      </p>
      <Button label="Try again" size="small" @click="load" />
    </div>
    <DraftList />
    <div
      v-if="recipes === null && !failure"
      class="families"
      aria-busy="true"
      aria-label="The shelf is loading"
    >
      <Skeleton v-for="n in 6" :key="n" height="10.500rem" />
    </div>
    <div v-else-if="recipes && !families.length" class="empty">
      <p>The shelf is empty. Paste a recipe as you have it; every line is read into grams.</p>
    </div>
    <p v-else-if="recipes && !shown.length" class="empty">Nothing on the shelf fits “{{ query }}”.</p>
    <div v-else class="families">
      <RecipeFamily v-for="family in shown" :key="family.root.id" :family="family" @remove="remove" />
    </div>
    <p v-if="next" class="empty">
      <Button label="Show older recipes" severity="secondary" outlined @click="more" />
    </p>
    <p v-if="shown.length" class="soft small foot">Each piece is drawn cut open, to scale, raw.</p>
  </main>
</template>

<style scoped>
main {
  padding: 0.9rem 1.25rem 2rem;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.75rem;
  margin-bottom: 0.9rem;
}
.search {
  margin-left: auto;
}
.families {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(21rem, 1fr));
  gap: 1.4rem 2.25rem;
}
.undo,
.trouble {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.75rem;
  margin-bottom: 0.75rem;
  padding: 0.4rem 0.6rem;
  border-left: 3px solid var(--beet);
  background: var(--sheet);
}
.trouble {
  border-color: var(--stop);
  background: var(--stop-tint);
}
.empty {
  padding: 3rem 0;
  text-align: center;
}
.foot {
  margin-top: 1.25rem;
}
</style>
