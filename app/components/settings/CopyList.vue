<script setup lang="ts">
import { bytesOf, whenOf } from '~/logic/copyWords'
import type { CopyAnswer } from '~~/shared/api/copies'

defineProps<{ copies: CopyAnswer[] }>()
defineEmits<{ restore: [name: string]; remove: [name: string] }>()
</script>

<template>
  <table v-if="copies.length" class="ruled copies">
    <caption class="visually-hidden">
      Copies
    </caption>
    <thead>
      <tr>
        <th scope="col">Made</th>
        <th scope="col">Size</th>
        <th scope="col">Rows</th>
        <th scope="col">Read back</th>
        <th scope="col"><span class="visually-hidden">What to do with it</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="copy in copies" :key="copy.name">
        <th scope="row">
          {{ whenOf(copy.madeAt) }}
          <span class="small soft">{{ copy.kind === 'night' ? 'by night' : 'asked for' }}</span>
        </th>
        <td>{{ bytesOf(copy.bytes) }}</td>
        <td>{{ copy.rows ?? '–' }}</td>
        <td>
          <span v-if="copy.wrong" class="sign stop">damaged: {{ copy.wrong }}</span>
          <span v-else-if="copy.checkedAt" class="sign fits">checked</span>
          <span v-else class="sign watch">not read back yet</span>
        </td>
        <td class="do">
          <a :href="`/api/copies/${copy.name}`" :download="copy.name">Save as a file</a>
          <button type="button" @click="$emit('restore', copy.name)">Restore…</button>
          <button
            type="button"
            :aria-label="`Remove the copy of ${whenOf(copy.madeAt)}`"
            @click="$emit('remove', copy.name)"
          >
            Remove
          </button>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.copies {
  width: 100%;
}
.do {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 0.6rem;
  align-items: center;
  justify-content: flex-end;
  padding-block: 0.25rem;
}
.do :is(a, button[type]) {
  min-height: 0;
  padding: 0.15rem 0.5rem;
  border: 1px solid var(--rule-strong);
  border-radius: 4px;
  color: var(--ink);
  font-size: 0.9rem;
  text-decoration: none;
}
@media (max-width: 720px) {
  .copies :is(th, td):nth-child(3) {
    display: none;
  }
}
</style>
