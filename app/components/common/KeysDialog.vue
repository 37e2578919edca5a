<script setup lang="ts">
const visible = defineModel<boolean>('visible', { required: true })
const { active } = useKeys()
const written = (key: string) =>
  key
    .replace('mod+', 'Ctrl ')
    .replace('shift+', 'Shift ')
    .replace(/\b[a-z]$/, (letter) => letter.toUpperCase())
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Keys" dismissable-mask>
    <dl>
      <template v-for="key in active" :key="key.key">
        <dt>
          <kbd>{{ written(key.key) }}</kbd>
        </dt>
        <dd>{{ key.says }}</dd>
      </template>
      <dt><kbd>?</kbd></dt>
      <dd>Show these keys</dd>
      <dt><kbd>Esc</kbd></dt>
      <dd>Close what is open</dd>
    </dl>
  </Dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0.5rem 1.25rem;
}
kbd {
  padding: 0.05em 0.45em;
  border: 1px solid var(--rule-strong);
  border-radius: 3px;
  font-family: inherit;
  white-space: nowrap;
}
</style>
