<script setup lang="ts">
import { BellAlertIcon, ClockIcon, HandThumbUpIcon } from '@heroicons/vue/24/outline'
import { RouterLink } from 'vue-router'
import type { Lot } from '@/api/fruit'
import CrateDrawing from '@/drawings/CrateDrawing.vue'
import { tint } from '@/drawings/tints'

/** One lot: how much is left, how ripe it is, what to make of it. */
defineProps<{ lot: Lot }>()
defineEmits<{ tap: [ripeness: 'hard' | 'nearly' | 'ready' | 'past']; change: []; gone: [] }>()

const stages = [
  { id: 'hard', name: 'hard' },
  { id: 'nearly', name: 'nearly' },
  { id: 'ready', name: 'ready' },
  { id: 'past', name: 'past' },
] as const
const icons = { stop: BellAlertIcon, wait: ClockIcon, go: HandThumbUpIcon }
</script>

<template>
  <section class="plate lot" :class="`is-${lot.urgent}`" :aria-label="lot.name" :data-lot="lot.name">
    <div class="top">
      <div class="words">
        <h2>{{ lot.name }}</h2>
        <p>
          <strong data-left>{{ lot.left }}</strong> of {{ lot.weight }} {{ lot.kindName
          }}<template v-if="lot.variety">, {{ lot.variety }}</template
          ><template v-if="lot.guess"> (weight guessed)</template>
        </p>
        <p class="quiet small">
          {{ lot.bought }}<template v-if="lot.from"> from {{ lot.from }}</template
          >, {{ lot.came }}<template v-if="lot.perUnit">, {{ lot.perUnit }}</template
          ><template v-if="lot.bargain">: {{ lot.bargain }}</template>
        </p>
      </div>
      <CrateDrawing
        class="crate"
        :tint="tint(lot.kind)"
        :left="lot.leftPart"
        :name="lot.name"
        :text="lot.left"
      />
    </div>
    <p class="fit" data-fit><component :is="icons[lot.urgent]" class="icon" />{{ lot.fit }}</p>
    <div class="taps" role="group" :aria-label="`How ripe ${lot.name} is today`">
      <button
        v-for="s in stages"
        :key="s.id"
        type="button"
        class="tap"
        :class="{ now: lot.seen === s.id, likely: lot.now === s.id && lot.seen !== s.id }"
        :aria-pressed="lot.seen === s.id"
        :data-tap="s.id"
        @click="$emit('tap', s.id)"
      >
        {{ s.name }}<span v-if="lot.now === s.id && lot.seen !== s.id" class="guess">likely now</span>
      </button>
    </div>
    <p v-if="lot.make.length" class="make">
      Make
      <RouterLink
        v-for="m in lot.make"
        :key="m.product"
        :to="{ name: 'batch', query: { product: m.product, lot: lot.id } }"
        class="key make-key"
        :data-make="m.product"
        >{{ m.name }}</RouterLink
      >
    </p>
    <p v-for="o in lot.over" :key="o.lot" class="make" data-over>
      {{ o.text }} is over:
      <RouterLink
        v-for="m in o.make"
        :key="m.product"
        :to="{ name: 'batch', query: { product: m.product, lot: o.lot } }"
        class="key make-key"
        :data-make-over="m.product"
        >{{ m.name }}</RouterLink
      >
    </p>
    <p v-if="lot.uses.length" class="quiet small">Taken: {{ lot.uses.join(', ') }}</p>
    <p v-if="lot.note" class="small">{{ lot.note }}</p>
    <div class="keys">
      <button type="button" class="plain" @click="$emit('change')">Change</button>
      <button type="button" class="plain" data-gone @click="$emit('gone')">It is gone</button>
    </div>
  </section>
</template>

<style scoped>
.lot {
  display: flex;
  flex-direction: column;
}
.lot.is-stop {
  border-color: var(--color-stop);
}
.lot.is-wait {
  border-color: var(--color-wait-fill);
}
.top {
  display: flex;
  gap: 10px;
}
.words {
  flex: 1 1 0;
  min-width: 0;
}
.crate {
  width: 84px;
  flex: none;
}
h2 {
  font-size: 1.2rem;
}
p {
  margin: 0 0 4px;
  line-height: 1.3;
}
.small {
  font-size: 0.92rem;
}
.fit {
  display: flex;
  gap: 8px;
  font-weight: 600;
}
.is-stop .fit {
  color: var(--color-stop);
}
.is-wait .fit {
  color: var(--color-wait);
}
.icon {
  width: 24px;
  height: 24px;
  flex: none;
}
.taps {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  margin: 6px 0;
  border: 2px solid var(--color-rim);
  border-radius: 14px;
  overflow: hidden;
}
.tap {
  min-height: 52px;
  line-height: 1.1;
  font-weight: 600;
  color: var(--color-rim-text);
}
.tap + .tap {
  border-left: 2px solid var(--color-rim);
}
.tap.now {
  background: var(--color-rim);
  color: var(--color-on-rim);
}
.tap.likely {
  background: var(--color-wash);
}
.guess {
  display: block;
  font-size: 0.75rem;
  font-weight: 400;
}
.make {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
.make-key {
  display: inline-flex;
  align-items: center;
  padding: 4px 12px;
  text-decoration: none;
}
.keys {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
  margin-top: auto;
}
.plain {
  min-height: 48px;
  padding: 0 8px;
  color: var(--color-rim-text);
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
