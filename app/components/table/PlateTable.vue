<script setup lang="ts">
import type { TableAnswer } from '~~/shared/api/table'
import type { KnownGuest } from '~/stores/table'

/** Which piece is whose, and what each has on the plate, against what they asked for. */
const { table, guests } = defineProps<{ table: TableAnswer; guests: readonly KnownGuest[] }>()
const guestOf = (id: string) => guests.find((one) => one.id === id)
const kindOf = (id: string) => table.kinds.find((one) => one.id === id)!
const madeFor = (id: string) => kindOf(id).madeFor.join(', ') || 'as it is'
</script>

<template>
  <div class="ruled-wide">
    <table class="ruled plates">
      <caption class="soft small">
        On each plate, dip and all
      </caption>
      <thead>
        <tr>
          <th scope="col">Who</th>
          <th scope="col" class="text">Pieces</th>
          <th scope="col" class="text">Against what was asked</th>
          <th scope="col">kcal</th>
          <th scope="col">Protein</th>
          <th scope="col">Carbohydrate</th>
          <th scope="col">Fat</th>
          <th scope="col">Salt</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="plate in table.plates" :key="plate.guestId">
          <th scope="row">{{ guestOf(plate.guestId)?.name ?? plate.guestId }}</th>
          <td class="text">
            <span v-for="one in plate.kinds" :key="one.id" class="own">
              {{ one.pieces }} × {{ madeFor(one.id) }}
              <PieceMark v-if="kindOf(one.id).mark" :mark="kindOf(one.id).mark!" />
            </span>
          </td>
          <td class="text small">
            <ul>
              <li v-for="wish in plate.wishes" :key="wish.text">
                <span class="sign" :class="wish.kept ? 'fits' : wish.kept === null ? 'watch' : 'stop'">{{
                  wish.kept ? 'fits' : wish.kept === null ? 'cannot tell' : 'does not fit'
                }}</span>
                {{ wish.text }}
              </li>
              <li v-for="text in plate.passedOver" :key="text">
                <span class="sign stop">passed over</span> {{ text }}
              </li>
              <li v-for="text in plate.toCheck" :key="text" class="soft">{{ text }}</li>
              <li v-if="plate.liked.length">With {{ plate.liked.join(', ').toLowerCase() }}, as liked</li>
              <li v-else-if="guestOf(plate.guestId)?.likes.length" class="soft">Nothing of what is liked</li>
            </ul>
          </td>
          <td>{{ Math.round(plate.perPlate.energyKcal) }}</td>
          <td>{{ plate.perPlate.proteinG.toFixed(0) }} g</td>
          <td>{{ plate.perPlate.carbohydrateG.toFixed(0) }} g</td>
          <td>{{ plate.perPlate.fatG.toFixed(0) }} g</td>
          <td>{{ plate.perPlate.saltG.toFixed(1) }} g</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
td.small {
  min-width: 15rem;
}
.own {
  display: block;
  white-space: nowrap;
}
</style>
