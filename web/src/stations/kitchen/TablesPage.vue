<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useTableCheck, useTables } from '@/api/tables'
import TablePart from './TablePart.vue'

const { data: tables } = useTables()
const check = useTableCheck()
const route = useRoute()

const search = ref('')
const shown = computed(() => {
  const wanted = search.value.trim().toLowerCase()
  return (
    tables.value?.parts.filter((p) => !wanted || `${p.title} ${p.name}`.toLowerCase().includes(wanted)) ?? []
  )
})

// A link from a time comes to its own part.
watch(
  () => tables.value && route.hash,
  (hash) =>
    hash && nextTick(() => document.getElementById(hash.slice(1))?.scrollIntoView({ block: 'center' })),
  { immediate: true },
)
const day = (at: string) => new Date(at).toLocaleDateString(undefined, { dateStyle: 'long' })
</script>

<template>
  <div v-if="tables" class="tables" data-tables>
    <header>
      <div>
        <h1>The tested times</h1>
        <p>
          {{ tables.source }}. Minutes in boiling water, from the hard boil, by altitude; the same in
          atmospheric steam up to 45.
        </p>
        <p class="ask">{{ tables.ask }}</p>
      </div>
      <div class="side">
        <label>
          <span>Find</span>
          <input v-model="search" class="field" type="search" data-field="find" autocomplete="off" />
        </label>
        <p data-checked>{{ tables.checked }} of {{ tables.parts.length }} checked</p>
      </div>
    </header>
    <p v-if="!shown.length">Nothing here is called “{{ search }}”. What has no row has no tested time.</p>
    <div class="parts">
      <TablePart
        v-for="p in shown"
        :id="p.product"
        :key="p.name"
        :part="p"
        :columns="tables.columns"
        :on="p.checked ? day(p.checked) : ''"
        :here="route.hash === `#${p.product}`"
        @check="check.mutate({ part: p.name, checked: $event })"
      />
    </div>
    <p v-if="check.isError.value" class="failed" role="alert">{{ check.error.value?.message }}</p>
  </div>
</template>

<style scoped>
.tables {
  padding-bottom: 24px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 28px;
  justify-content: space-between;
  margin-bottom: 12px;
}
header > div:first-child {
  flex: 1 1 420px;
  max-width: 78ch;
}
h1 {
  margin: 2px 0 4px;
  font-size: 1.6rem;
}
p {
  margin: 0 0 4px;
  line-height: 1.35;
}
.ask {
  color: var(--color-wait);
  font-weight: 600;
}
.side label span {
  font-weight: 600;
  margin-right: 8px;
}
.parts {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 400px), 1fr));
  gap: 12px;
  align-items: start;
}
.failed {
  color: var(--color-stop);
}
</style>
