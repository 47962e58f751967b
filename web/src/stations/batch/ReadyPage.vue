<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import { useBatches } from '@/api/batches'
import { useReady, useTick } from '@/api/ready'

/** Everything to have ready for one batch or several, ticked as it is laid out. */
const route = useRoute()
const router = useRouter()
const chosen = computed(() => String(route.query.batches ?? ''))
const { data: list, error } = useReady(chosen)
const tick = useTick(chosen)
const { data: batches } = useBatches()

const ids = computed(() => chosen.value.split(',').filter(Boolean))
const others = computed(() =>
  (batches.value ?? []).filter((b) => b.status === 'tested' || b.status === 'own-source'),
)
function toggle(id: string) {
  const next = ids.value.includes(id) ? ids.value.filter((i) => i !== id) : [...ids.value, id]
  void router.replace({ query: { batches: next.join(',') } })
}
const print = () => window.print()
</script>

<template>
  <div class="ready" data-ready>
    <h1>Get ready</h1>
    <p v-if="error" class="problem" role="alert">
      {{ Object.values(error.fields ?? {})[0] || error.message }}
    </p>
    <p v-else-if="!chosen">Choose one batch or several.</p>
    <p v-else-if="list" role="status" data-ready-left>
      {{ list.left ? `${list.left} to lay out.` : 'Everything is laid out.' }}
    </p>
    <div class="columns">
      <div v-if="list && chosen" class="groups">
        <section v-for="g in list.groups" :key="g.name" class="plate" :aria-label="g.name">
          <h2>{{ g.name }}</h2>
          <label v-for="i in g.items" :key="i.id" class="item" :class="{ done: i.ticked }" :data-item="i.id">
            <input
              type="checkbox"
              :checked="i.ticked"
              @change="tick.mutate({ item: i.id, ticked: !i.ticked })"
            />
            <span
              >{{ i.text }}<strong v-if="i.short" class="short">{{ i.short }}</strong></span
            >
          </label>
        </section>
      </div>
      <section class="plate no-print" aria-label="For which batches">
        <h2>For which batches</h2>
        <label v-for="b in others" :key="b.id" class="item">
          <input type="checkbox" :checked="ids.includes(b.id)" :data-for="b.id" @change="toggle(b.id)" />
          <span class="first">{{ b.headline }}</span>
        </label>
      </section>
    </div>
    <footer class="foot no-print">
      <RouterLink v-if="ids.length === 1" :to="{ name: 'batch', params: { id: ids[0] } }" class="key link"
        >To the batch</RouterLink
      >
      <a
        v-if="ids.length === 1"
        class="key link"
        :href="`/api/files/batches/${ids[0]}/card.pdf`"
        target="_blank"
        data-card
        >Its card as PDF</a
      >
      <a v-if="list" class="key link" :href="`/api/ready.txt?batches=${chosen}`" data-text>As plain text</a>
      <button v-if="list" type="button" class="key key-main" @click="print">Print the list</button>
    </footer>
  </div>
</template>

<style scoped>
.ready {
  padding-bottom: 92px;
}
h1 {
  margin: 2px 0 4px;
  font-size: 1.6rem;
}
p {
  margin: 0 0 10px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 2.6fr) minmax(0, 1fr);
  gap: 14px;
  align-items: start;
}
.groups {
  columns: 2 340px;
  column-gap: 14px;
}
.groups > section {
  break-inside: avoid;
  margin-bottom: 14px;
}
.item {
  display: flex;
  gap: 12px;
  align-items: flex-start;
  min-height: 48px;
  padding: 9px 0;
  line-height: 1.3;
}
.item input {
  width: 26px;
  height: 26px;
  flex: none;
  accent-color: var(--color-go);
}
.done span {
  color: var(--color-quiet);
  text-decoration: line-through;
}
.short {
  display: block;
  color: var(--color-wait);
}
.first::first-letter {
  text-transform: uppercase;
}
.link {
  display: inline-flex;
  align-items: center;
  text-decoration: none;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .columns {
    display: block;
  }
  .item {
    min-height: 0;
    padding: 3px 0;
  }
}
</style>
