<script setup lang="ts">
import { ApiProblem, call } from '~/logic/api'
import { DELETE_WORDS } from '~~/shared/api/copies'

const words = ref('')
const copies = ref(false)
const busy = ref(false)
const trouble = ref('')
const sure = computed(() => words.value.trim().toLowerCase() === DELETE_WORDS)

async function remove() {
  busy.value = true
  trouble.value = ''
  try {
    await call('DELETE', '/api/data', { confirm: DELETE_WORDS, copies: copies.value })
    for (const name of Object.keys(localStorage))
      if (name.startsWith('swap-pocket:')) localStorage.removeItem(name)
    for (const { name } of await indexedDB.databases())
      if (name?.startsWith('swap-pocket')) indexedDB.deleteDatabase(name)
    window.location.assign('/')
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    trouble.value = error.message
    busy.value = false
  }
}
</script>

<template>
  <section aria-label="Delete everything" class="by-hand">
    <h2>Delete everything</h2>
    <p class="soft">
      Recipes with all their saved states, own and imported foods, prices, dinners, records and pictures, on
      the server and in this browser. It cannot be undone; what other browsers keep is not reached from here.
    </p>
    <label><input v-model="copies" type="checkbox" /> The copies above as well</label>
    <label>
      Type “{{ DELETE_WORDS }}”
      <input v-model="words" class="field" autocomplete="off" spellcheck="false" />
    </label>
    <p v-if="trouble" role="alert" class="problem">{{ trouble }}</p>
    <p><button type="button" :disabled="!sure || busy" @click="remove">Delete everything</button></p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 0.6rem;
}
p {
  margin: 0;
}
input.field[autocomplete] {
  display: block;
  width: 14rem;
  margin-top: 0.2rem;
}
</style>
