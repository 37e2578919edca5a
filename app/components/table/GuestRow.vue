<script setup lang="ts">
import { table } from '~~/data/table'
import { STRENGTHS, type Strength } from '~~/core/table/guest'
import type { KnownGuest } from '~/stores/table'

const { guest } = defineProps<{ guest: KnownGuest }>()
const emit = defineEmits<{ put: [fields: Partial<KnownGuest>]; remove: [] }>()
const STRENGTH_WORDS: Readonly<Record<Strength, string>> = {
  preference: 'a preference',
  intolerance: 'has to be',
  allergy: 'an allergy',
}
const shelves = useLarderStore()
const open = ref(false)
const foodName = (id: string) => shelves.reference.foods.get(id)?.name.toLowerCase() ?? id
const told = computed(() => {
  const parts = [
    guest.avoid.length ? `without ${guest.avoid.map(foodName).join(', ')}` : '',
    guest.likes.length ? `likes ${guest.likes.map(foodName).join(', ')}` : '',
  ].filter(Boolean)
  return parts.join('; ') || 'Foods left out or liked'
})
const text = (event: Event) => (event.target as HTMLInputElement).value
const free = computed(() => table.diets.filter(({ id }) => !guest.diets.includes(id)))
const nameOf = (id: string) => table.diets.find((one) => one.id === id)?.name ?? id
function addDiet(event: Event) {
  const select = event.target as HTMLSelectElement
  if (select.value) emit('put', { diets: [...guest.diets, select.value] })
  select.value = ''
}
const pieces = (event: Event) => {
  const number = Number(text(event))
  if (Number.isInteger(number) && number >= 1 && number <= 60) emit('put', { pieces: number })
}
</script>

<template>
  <li class="guest" :class="{ away: !guest.comes }">
    <p class="row">
      <label class="comes"
        ><input
          type="checkbox"
          :checked="guest.comes"
          :aria-label="`${guest.name} comes`"
          @change="emit('put', { comes: !guest.comes })"
      /></label>
      <input
        class="field name"
        :value="guest.name"
        aria-label="Name"
        @change="emit('put', { name: text($event) })"
      />
      <label
        ><input
          class="field number"
          inputmode="numeric"
          :value="guest.pieces"
          :aria-label="`Pieces for ${guest.name}`"
          @change="pieces"
        />
        pieces</label
      >
      <button type="button" class="opens small" :aria-label="`Remove ${guest.name}`" @click="emit('remove')">
        Remove
      </button>
    </p>
    <p class="row">
      <button
        v-for="id in guest.diets"
        :key="id"
        type="button"
        class="diet"
        :aria-label="`${nameOf(id)}: take away from ${guest.name}`"
        @click="emit('put', { diets: guest.diets.filter((one) => one !== id) })"
      >
        {{ nameOf(id).toLowerCase() }} ×
      </button>
      <select class="field" :aria-label="`A diet for ${guest.name}`" @change="addDiet">
        <option value="">add a diet …</option>
        <option v-for="diet in free" :key="diet.id" :value="diet.id">{{ diet.name }}</option>
      </select>
      <select
        v-if="guest.diets.length || guest.avoid.length"
        class="field small"
        :value="guest.strength"
        :aria-label="`How much hangs on it for ${guest.name}`"
        @change="emit('put', { strength: text($event) as Strength })"
      >
        <option v-for="one in STRENGTHS" :key="one" :value="one">{{ STRENGTH_WORDS[one] }}</option>
      </select>
    </p>
    <details :open="open" @toggle="open = ($event.target as HTMLDetailsElement).open">
      <summary class="small">{{ told }}</summary>
      <div v-if="open" class="foods">
        <FoodList
          label="Leaves out"
          :who="guest.name"
          :ids="guest.avoid"
          @put="(avoid) => emit('put', { avoid })"
        />
        <FoodList
          label="Likes"
          :who="guest.name"
          :ids="guest.likes"
          @put="(likes) => emit('put', { likes })"
        />
      </div>
    </details>
  </li>
</template>

<style scoped>
.guest {
  display: grid;
  gap: 0.35rem;
  padding: 0.6rem 0;
  border-top: 1px solid var(--rule);
}
.away {
  opacity: 0.6;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.45rem;
}
.name {
  flex: 1;
  min-width: 7rem;
  font-weight: 640;
}
.number {
  width: 2.6rem;
}
.diet {
  padding: 0.1rem 0.5rem;
  border: 1px solid var(--beet);
  border-radius: 4px;
  background: var(--beet-tint);
  color: var(--ink);
  cursor: pointer;
}
select {
  max-width: 11rem;
}
summary {
  color: var(--ink-soft);
  cursor: pointer;
}
.foods {
  display: grid;
  gap: 0.5rem;
  padding-top: 0.4rem;
}
</style>
