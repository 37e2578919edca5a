<script setup lang="ts">
import type { ListedDinner, StoredDinner } from '~~/shared/api/dinners'
import { call } from '~/logic/api'

/** Dinners that were saved, to be opened again or forgotten. */
const { current } = defineProps<{ current: string }>()
const emit = defineEmits<{ open: [stored: StoredDinner] }>()
const tell = useTold()
const listed = shallowRef<ListedDinner[] | null>(null)
const others = computed(() => (listed.value ?? []).filter(({ id }) => id !== current))

const load = () =>
  tell(async () => {
    listed.value = (await call<{ dinners: ListedDinner[] }>('GET', '/api/dinners')).dinners
  })
const open = (id: string) =>
  tell(async () => emit('open', await call<StoredDinner>('GET', `/api/dinners/${id}`)))
const forget = (id: string) =>
  tell(async () => {
    await call('DELETE', `/api/dinners/${id}`)
    await load()
  })
const nameOf = ({ serveAt, titles }: ListedDinner) =>
  `${serveAt.replace('T', ', ')}: ${titles.join(', ') || 'no dish'}`
</script>

<template>
  <details @toggle="($event.target as HTMLDetailsElement).open && load()">
    <summary>Earlier dinners</summary>
    <ul v-if="others.length">
      <li v-for="one in others" :key="one.id">
        <button type="button" class="opens" @click="open(one.id)">{{ nameOf(one) }}</button>
        <button type="button" class="opens small" @click="forget(one.id)">
          Forget<span class="visually-hidden"> {{ nameOf(one) }}</span>
        </button>
      </li>
    </ul>
    <p v-else-if="listed" class="small soft">
      None is kept: a dinner is when it goes into a calendar, or another is begun.
    </p>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
}
ul {
  display: grid;
  gap: 0.4rem;
  margin-top: 0.4rem;
}
</style>
