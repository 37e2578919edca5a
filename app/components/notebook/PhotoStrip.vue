<script setup lang="ts">
import { ApiProblem, call, sendBytes } from '~/logic/api'
import { smallPhoto } from '~/logic/photo'

const { recordId, photos } = defineProps<{ recordId: string; photos: readonly string[] }>()
const emit = defineEmits<{ changed: [] }>()
const trouble = ref('')
async function add(event: Event) {
  const input = event.target as HTMLInputElement
  trouble.value = ''
  try {
    for (const file of input.files ?? [])
      await sendBytes(`/api/records/${recordId}/photos/${crypto.randomUUID()}`, await smallPhoto(file), 'PUT')
  } catch (error) {
    trouble.value = error instanceof ApiProblem ? error.problem.detail : (error as Error).message
  }
  input.value = ''
  emit('changed')
}
async function remove(id: string) {
  try {
    await call('DELETE', `/api/records/${recordId}/photos/${id}`)
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    trouble.value = error.problem.detail
  }
  emit('changed')
}
</script>

<template>
  <section class="photos" aria-label="Pictures">
    <figure v-for="(id, n) in photos" :key="id">
      <img
        :src="`/api/records/${recordId}/photos/${id}`"
        :alt="`Picture ${n + 1} of this session`"
        loading="lazy"
      />
      <button type="button" class="opens" :aria-label="`Remove picture ${n + 1}`" @click="remove(id)">
        Remove
      </button>
    </figure>
    <label class="opens">Add a picture <input type="file" accept="image/*" multiple @change="add" /></label>
    <p class="small soft">Made small here, without what the camera writes into it.</p>
    <p v-if="trouble" class="problem" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
.photos {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.75rem;
}
figure {
  display: grid;
}
img {
  max-width: 11rem;
  max-height: 8rem;
}
input[type='file'] {
  max-width: 12rem;
}
.problem {
  color: var(--stop);
}
</style>
