<script setup lang="ts">
import { bytesOf } from '~/logic/copyWords'

const { copies, folder, making, trouble, loaded, load, make, remove } = useCopies()
const { dark, toggle } = useAppearance()
const told = ref('')
const restore = useTemplateRef('restore')
const nights = computed(() => copies.value.filter(({ kind }) => kind === 'night'))
onMounted(load)

async function makeCopy() {
  told.value = ''
  const made = await make()
  if (made && !made.wrong)
    told.value = `Copied: ${made.rows} rows, ${bytesOf(made.bytes)}, read back and checked.`
}
useHead({ title: 'Settings · Swap Pocket' })
</script>

<template>
  <main class="settings">
    <h1>Settings</h1>
    <section aria-label="Copies" class="by-hand">
      <h2>Copies of everything</h2>
      <p class="soft">
        One is made each night after three, or soon after the next start; 14 are kept, and 5 that you asked
        for. Each is read back and held against its checksum.
        <template v-if="loaded && !nights.length">None has been made by night yet.</template>
      </p>
      <p class="row">
        <button type="button" class="main" :disabled="!!making" @click="makeCopy">Make a copy now</button>
        <span v-if="making" role="status">
          <progress
            :value="making.total ? making.done : undefined"
            :max="making.total || 1"
            aria-label="Rows copied"
          />
          {{ making.done }} of {{ making.total || '…' }} rows
        </span>
        <span v-else-if="told" role="status">{{ told }}</span>
      </p>
      <p v-if="trouble" role="alert" class="problem">{{ trouble }}</p>
      <Skeleton v-if="!loaded" height="6rem" />
      <CopyList :copies="copies" @restore="(name) => restore?.look(name)" @remove="remove" />
      <p v-if="loaded" class="small soft">
        They lie in {{ folder }}. Save one as a file and keep it on another machine: a copy beside the
        original is lost with it. Drafts that were never saved are in no copy.
      </p>
    </section>
    <RestorePanel ref="restore" @restored="load" />
    <div class="aside">
      <section aria-label="Look" class="by-hand">
        <h2>Look</h2>
        <p class="row">
          <button type="button" :aria-pressed="dark" @click="toggle">
            {{ dark ? 'Light' : 'Dark' }} colours
          </button>
        </p>
      </section>
      <DeletePanel />
    </div>
  </main>
</template>

<style scoped>
.settings {
  display: grid;
  gap: 2rem;
  align-content: start;
  grid-template-columns: minmax(0, 52rem);
  padding: 1.25rem 1.25rem 3rem;
}
.aside {
  display: grid;
  gap: 2rem;
  align-content: start;
}
@media (min-width: 1100px) {
  .settings {
    grid-template-columns: minmax(0, 52rem) minmax(16rem, 22rem);
    column-gap: 3rem;
  }
  h1,
  .settings > section {
    grid-column: 1;
  }
  .aside {
    grid-area: 2 / 2 / span 2;
  }
}
section {
  display: grid;
  gap: 0.6rem;
}
p {
  margin: 0;
}
progress {
  width: 12rem;
  accent-color: var(--beet);
}
</style>
