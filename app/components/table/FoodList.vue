<script setup lang="ts">
/** A guest's foods: what is left out, or what is liked. */
const { label, who, ids } = defineProps<{ label: string; who: string; ids: readonly string[] }>()
const emit = defineEmits<{ put: [ids: string[]] }>()

const shelves = useLarderStore()
const inputId = useId()
const nameOf = (id: string) => shelves.reference.foods.get(id)?.name ?? id
/** The field is emptied for the next food. */
const round = ref(0)
function add(id: string) {
  emit('put', [...new Set([...ids, id])])
  round.value++
}
</script>

<template>
  <div>
    <p class="small">
      <label :for="inputId"
        >{{ label }}<span class="visually-hidden">: {{ who }}</span></label
      >
      <button
        v-for="id in ids"
        :key="id"
        type="button"
        class="food"
        :aria-label="`${nameOf(id)}: take away from ${who}`"
        @click="
          emit(
            'put',
            ids.filter((one) => one !== id),
          )
        "
      >
        {{ nameOf(id) }} ×
      </button>
    </p>
    <FoodPicker :key="round" :input-id="inputId" @choose="(food) => add(food.id)" />
  </div>
</template>

<style scoped>
p {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  margin-bottom: 0.2rem;
}
.food {
  padding: 0 0.4rem;
  border: 1px solid var(--rule-strong);
  border-radius: 4px;
  background: var(--sheet);
  color: var(--ink);
  cursor: pointer;
}
</style>
