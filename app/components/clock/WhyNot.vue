<script setup lang="ts">
import type { Conflict } from '~~/core/schedule/conflict'
import { wallOf } from '~/logic/evening'

const { conflict, serve, zone, past, searching } = defineProps<{
  conflict: Conflict
  /** Moment of serving, in minutes since 1970. */
  serve: number
  zone: string
  /** It has gone by. */
  past: boolean
  searching: boolean
}>()
const emit = defineEmits<{ giveUp: [wish: string]; serveAt: [wall: string] }>()

const earliest = computed(() =>
  conflict.laterMinutes === null ? null : wallOf(serve + conflict.laterMinutes, zone),
)
/** "19:48", and the day where it is another. */
const when = computed(() => {
  const [day, time] = (earliest.value ?? '').split('T')
  return day === wallOf(serve, zone).slice(0, 10) ? time : `${time} on ${day}`
})
</script>

<template>
  <section class="conflict" role="alert">
    <h2>It cannot be done like this</h2>
    <template v-if="conflict.wishes.length">
      <p>These are in each other’s way; without any one of them the rest can be:</p>
      <ul>
        <li v-for="wish in conflict.wishes" :key="wish.id">
          {{ wish.says }}
          <button type="button" class="opens small" @click="emit('giveUp', wish.id)">
            Do without<span class="visually-hidden">: {{ wish.says }}</span>
          </button>
        </li>
      </ul>
    </template>
    <p v-else-if="!searching">
      {{ past ? 'The time of serving has gone by.' : 'There is not enough time left until then.' }}
    </p>
    <p v-if="earliest">
      The earliest dinner with all of it is at <strong>{{ when }}</strong>.
      <Button :label="`Serve at ${when}`" size="small" @click="emit('serveAt', earliest)" />
    </p>
  </section>
</template>

<style scoped>
.conflict {
  position: sticky;
  top: 0;
  z-index: 4;
  display: grid;
  gap: 0.5rem;
  padding: 0.7rem;
  border-left: 4px solid var(--stop);
  background: var(--stop-tint);
}
ul {
  padding-left: 1.1rem;
  list-style: disc;
}
</style>
