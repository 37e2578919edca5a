<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { ApiProblem } from '~/logic/api'

const bench = useBenchStore()
const seats = useTableStore()
const clock = useClockStore()
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
  () => [bench.recipe, JSON.stringify(seats.coming), seats.kinds, loading.value],
  () => !loading.value && void seats.set(),
  { immediate: true },
)
/** Only what takes longer than the eye waits is said. */
const slow = refDebounced(
  computed(() => seats.setting),
  300,
)
const nameOf = (id: string) => seats.guests.find((one) => one.id === id)?.name ?? id
const kindOf = (id: string) => seats.table?.kinds.find((one) => one.id === id)
const madeFor = (diets: string[]) => (diets.length ? diets.join(', ') : 'as it is')
const router = useRouter()
/** The dinner as it is eaten here goes to the clock, kind by kind, kept apart. */
async function toClock() {
  for (const { recipe } of seats.table?.kinds ?? []) clock.addDish(recipe, null)
  if ((seats.table?.kinds.length ?? 0) > 1) clock.change({ keepApart: true })
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
          <p v-if="seats.table.conflict" role="alert" class="problem">
            Nothing for {{ seats.table.conflict.guestIds.map(nameOf).join(', ') }}:
            {{ seats.table.conflict.why }}.
          </p>
          <p v-if="seats.table.options.length > 1" class="row no-print">
            <span>Kinds</span>
            <button type="button" :aria-pressed="seats.kinds === null" @click="seats.kinds = null">
              as few and near as may be
            </button>
            <button
              v-for="option in seats.table.options"
              :key="option.kinds"
              type="button"
              :aria-pressed="seats.kinds === option.kinds"
              @click="seats.kinds = option.kinds"
            >
              {{ option.kinds }}: {{ option.madeFor.map(madeFor).join(' + ') }}
              <span class="small soft"
                >{{ option.extraMinutes ? `+${option.extraMinutes} min` : 'no more work'
                }}{{
                  option.givesUp.length ? `, otherwise for ${option.givesUp.map(nameOf).join(', ')}` : ''
                }}</span
              >
            </button>
          </p>
          <PlateCards :table="seats.table" :guests="seats.guests" :title="bench.recipe.title" />
          <table class="ruled no-print">
            <caption class="soft small">
              On each plate
            </caption>
            <thead>
              <tr>
                <th scope="col">Who</th>
                <th scope="col">What</th>
                <th scope="col">kcal</th>
                <th scope="col">Protein</th>
                <th scope="col">Carbohydrate</th>
                <th scope="col">Fat</th>
                <th scope="col">Salt</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="plate in seats.table.plates" :key="plate.guestId">
                <th scope="row">{{ nameOf(plate.guestId) }}</th>
                <td>
                  {{
                    plate.kinds
                      .map((one) => `${one.pieces} × ${madeFor(kindOf(one.id)?.madeFor ?? [])}`)
                      .join(', ')
                  }}
                </td>
                <td>{{ Math.round(plate.perPlate.energyKcal) }}</td>
                <td>{{ plate.perPlate.proteinG.toFixed(0) }} g</td>
                <td>{{ plate.perPlate.carbohydrateG.toFixed(0) }} g</td>
                <td>{{ plate.perPlate.fatG.toFixed(0) }} g</td>
                <td>{{ plate.perPlate.saltG.toFixed(1) }} g</td>
              </tr>
            </tbody>
          </table>
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
                : 'The time was up before every kind was tried.'
            }}</span>
          </p>
          <p v-if="seats.coming.some((one) => one.allergy)" class="caution">
            {{
              seats.coming
                .filter((one) => one.allergy)
                .map((one) => one.name)
                .join(', ')
            }}: an allergy. Ask what reacts and to how much; read every packet; a home kitchen cannot promise
            that nothing is carried over.
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
  padding: 1rem 1.25rem 2rem;
  background: var(--sheet);
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
}
.plan .row button[aria-pressed] {
  padding: 0.3rem 0.7rem;
  border: 1px solid var(--rule-strong);
  border-radius: 4px;
  background: var(--sheet);
  color: var(--ink);
  text-align: left;
  cursor: pointer;
}
.plan .row button[aria-pressed='true'] {
  border-color: var(--beet);
  background: var(--beet-tint);
}
caption {
  text-align: left;
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
