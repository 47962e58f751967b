<script setup lang="ts">
import { CheckCircleIcon } from '@heroicons/vue/24/outline'
import type { Schemas } from '@/api/client'

/** One page of the guide, as it prints it, with the place to tick it as checked. */
defineProps<{ part: Schemas['TablePart']; columns: Schemas['TableColumn'][]; on: string; here: boolean }>()
defineEmits<{ check: [checked: boolean] }>()
</script>

<template>
  <section class="plate part" :class="{ here }" :aria-label="part.name" :data-part="part.product">
    <h2>{{ part.name }}</h2>
    <table>
      <thead>
        <tr>
          <th scope="col">pack, jar</th>
          <th scope="col">space</th>
          <th v-for="c in columns" :key="c.text" scope="col" class="minutes" :class="{ own: c.own }">
            <abbr :title="c.text">{{ c.short }}</abbr><span v-if="c.own" class="yours">yours</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in part.rows" :key="r.pack + r.jar">
          <th scope="row">{{ r.pack }}, {{ r.jar }}<span v-if="r.sterile" class="sterile"> sterile</span></th>
          <td>{{ r.headspace }}</td>
          <td v-for="(m, i) in r.minutes" :key="i" class="minutes" :class="{ own: columns[i]?.own }">
            {{ m }}
          </td>
        </tr>
      </tbody>
    </table>
    <button
      type="button"
      class="tick"
      :class="{ on }"
      :aria-pressed="!!on"
      data-tick
      @click="$emit('check', !on)"
    >
      <CheckCircleIcon v-if="on" class="icon" /><span v-else class="box" />
      {{ on ? `Checked against my printed guide, ${on}` : 'Check against my printed guide' }}
    </button>
  </section>
</template>

<style scoped>
.part {
  padding: 10px 14px 6px;
}
.part.here {
  border-width: 4px;
}
table {
  width: 100%;
  border-collapse: collapse;
  line-height: 1.25;
}
th,
td {
  padding: 3px 5px;
  text-align: left;
  font-weight: 400;
}
thead th {
  font-size: 0.82rem;
  color: var(--color-quiet);
  vertical-align: bottom;
  border-bottom: 2px solid var(--color-line);
}
tbody th,
tbody td {
  white-space: nowrap;
}
abbr {
  text-decoration: none;
}
.minutes {
  text-align: right;
}
.own {
  background: var(--color-wash);
  font-weight: 700;
  color: var(--color-ink);
}
.yours {
  display: block;
  color: var(--color-rim-text);
}
.sterile {
  display: block;
  color: var(--color-wait);
  font-size: 0.88rem;
}
.tick {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 48px;
  width: 100%;
  text-align: left;
  line-height: 1.2;
  color: var(--color-rim-text);
}
.tick.on {
  color: var(--color-go);
  font-weight: 700;
}
.icon {
  width: 28px;
  flex: none;
}
.box {
  width: 24px;
  height: 24px;
  margin: 0 2px;
  flex: none;
  border: 2px solid var(--color-rim);
  border-radius: 6px;
}
@media (max-width: 640px) {
  .part {
    padding: 8px 9px 4px;
  }
  th,
  td {
    padding: 3px;
  }
}
</style>
