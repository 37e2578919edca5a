<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { ApiProblem } from '~/logic/api'

const bench = useBenchStore()
const seats = useTableStore()
const loading = ref(true)
onMounted(async () => {
  try {
    if (!bench.recipe) await bench.resume()
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
  } finally {
    loading.value = false
  }
})
watch(
  () => [bench.recipe, JSON.stringify(seats.coming), JSON.stringify(seats.wish), loading.value],
  () => !loading.value && void seats.set(),
  { immediate: true },
)
/** Only what takes longer than the eye waits is said. */
const slow = refDebounced(
  computed(() => seats.setting),
  300,
)
const nameOf = (id: string) => seats.guests.find((one) => one.id === id)?.name ?? id
const pieces = computed(() => (seats.table?.kinds ?? []).reduce((sum, one) => sum + one.pieces, 0))
const allergic = computed(() => seats.coming.filter((one) => one.strength === 'allergy'))
const router = useRouter()
/** The dinner as it is eaten here goes to the clock, dough by dough, kept apart; from then on it follows the guests. */
async function toClock() {
  seats.send()
  await router.push('/clock')
}
const print = () => window.print()
useHead({ title: 'Table · Swap Pocket' })
usePlaceKeys([
  { key: 'mod+z', says: 'Undo', act: seats.undo },
  { key: 'mod+shift+z', says: 'Redo', act: seats.redo },
])
</script>

<template>
  <main v-if="loading" class="empty" aria-busy="true"><Skeleton height="12rem" /></main>
  <main v-else class="table">
    <section class="who no-print" aria-label="Who eats">
      <h1>Who eats</h1>
      <ul>
        <GuestRow
          v-for="guest in seats.guests"
          :key="guest.id"
          :guest="guest"
          @put="(fields) => seats.put(guest.id, fields)"
          @remove="seats.remove(guest.id)"
        />
      </ul>
      <p v-if="!seats.guests.length" class="soft">
        Nobody yet. Guests are kept in this browser for the next time.
      </p>
      <p class="row">
        <Button label="Add a guest" size="small" @click="seats.add" />
        <Button
          label="Undo"
          size="small"
          severity="secondary"
          text
          :disabled="!seats.canUndo"
          @click="seats.undo"
        />
        <Button
          label="Redo"
          size="small"
          severity="secondary"
          text
          :disabled="!seats.canRedo"
          @click="seats.redo"
        />
      </p>
    </section>
    <section class="plan" aria-label="The table" :aria-busy="slow">
      <p v-if="!bench.recipe">
        Put a recipe on the bench: the table is set with it. <NuxtLink to="/">To the shelf</NuxtLink>
      </p>
      <template v-else>
        <h2>{{ bench.recipe.title }}</h2>
        <p v-if="slow" role="status" class="soft">Looking for the fewest kinds that suit everybody</p>
        <p v-if="seats.trouble" role="alert" class="problem">{{ seats.trouble }}</p>
        <template v-if="seats.table">
          <div v-if="seats.table.conflict" role="alert" class="problem">
            <p>
              Nothing for {{ seats.table.conflict.guestIds.map(nameOf).join(', ') }}:
              {{ seats.table.conflict.why }}.
            </p>
            <p v-for="one in seats.table.conflict.fewer" :key="one.guestId" class="no-print">
              <button type="button" class="opens" @click="seats.put(one.guestId, { pieces: one.pieces })">
                {{ one.pieces }} {{ one.pieces === 1 ? 'piece' : 'pieces' }} for
                {{ nameOf(one.guestId) }} could be made to fit: make it so
              </button>
            </p>
          </div>
          <p v-for="text in seats.table.remarks" :key="text" role="status">{{ text }}.</p>
          <PlateTable :table="seats.table" :guests="seats.guests" class="no-print" />
          <TableWays
            v-if="seats.table.options.length > 1"
            class="no-print"
            :options="seats.table.options"
            :choice="seats.wish.choice"
            :pieces="pieces"
            :name-of="nameOf"
            @choose="(choice) => (seats.wish = { ...seats.wish, choice })"
          />
          <label class="small no-print"
            ><input
              type="checkbox"
              :checked="seats.wish.mixed"
              @change="seats.wish = { ...seats.wish, mixed: !seats.wish.mixed }"
            />
            on each plate some of every kind that suits</label
          >
          <PlateCards :table="seats.table" :guests="seats.guests" :title="bench.recipe.title" />
          <section v-if="seats.table.apart.length" class="apart">
            <h3>Kept apart</h3>
            <ol>
              <li v-for="text in seats.table.apart" :key="text">{{ text }}.</li>
            </ol>
          </section>
          <p class="row no-print">
            <Button label="To the clock" size="small" @click="toClock" />
            <Button label="Print the cards" size="small" severity="secondary" outlined @click="print" />
            <span class="small soft">{{
              seats.table.proven
                ? 'No choice of kinds is cheaper: proven.'
                : 'Not every way to put them together was tried: a cheaper one may exist.'
            }}</span>
          </p>
          <p v-if="allergic.length" class="caution">
            {{ allergic.map((one) => one.name).join(', ') }}: an allergy. Ask what reacts and to how much;
            read every packet; a home kitchen cannot promise that nothing is carried over.
          </p>
        </template>
      </template>
    </section>
  </main>
</template>

<style scoped>
.empty {
  padding: 1.5rem;
}
.table {
  display: grid;
  flex: 1;
  grid-template-columns: 23rem minmax(0, 1fr);
}
.who {
  padding: 1rem;
  border-right: 1px solid var(--rule);
}
.plan {
  display: grid;
  gap: 1rem;
  align-content: start;
  min-width: 0;
  padding: 1rem 1.25rem 2rem;
  background: var(--sheet);
}
.plan > * {
  min-width: 0;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
}
ol {
  padding-left: 1.2rem;
  list-style: decimal;
}
.caution {
  padding-left: 0.6rem;
  border-left: 4px solid var(--watch);
}
.problem {
  color: var(--stop);
}
@media (max-width: 860px) {
  .table {
    grid-template-columns: minmax(0, 1fr);
  }
  .who {
    border-right: 0;
    border-bottom: 1px solid var(--rule);
  }
}
</style>
