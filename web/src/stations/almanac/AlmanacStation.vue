<script setup lang="ts">
import { computed, ref } from 'vue'
import { useAlmanac } from '@/api/almanac'
import LossBars from '@/drawings/LossBars.vue'
import YearJars from '@/drawings/YearJars.vue'
import { tint } from '@/drawings/tints'
import NextList from './NextList.vue'
import SeasonCalendar from './SeasonCalendar.vue'
import VowsPlate from './VowsPlate.vue'

/** What the seasons taught. */
const { data: almanac } = useAlmanac()
const ways = [
  { id: 'product', name: 'What it was' },
  { id: 'pack', name: 'How it was packed' },
  { id: 'pot', name: 'Which pot' },
  { id: 'year', name: 'Which year' },
] as const
const by = ref<(typeof ways)[number]['id']>('product')
const rows = computed(() => almanac.value?.by[by.value] ?? [])
const most = computed(() => Math.max(0.1, ...rows.value.flatMap((r) => r.losses.map((l) => l.high))))
</script>

<template>
  <div v-if="almanac" class="almanac" data-almanac>
    <header>
      <h1>Almanac</h1>
      <p class="quiet">{{ almanac.jars }} jars put up so far</p>
    </header>
    <div class="columns">
      <div class="stack">
        <section class="plate" aria-label="What was given and lost">
          <div class="ways" role="radiogroup" aria-label="By">
            <button
              v-for="w in ways"
              :key="w.id"
              type="button"
              class="key"
              :class="{ 'key-main': by === w.id }"
              role="radio"
              :aria-checked="by === w.id"
              :data-by="w.id"
              @click="by = w.id"
            >
              {{ w.name }}
            </button>
          </div>
          <p v-if="!rows.length" data-empty>
            Nothing here yet. Close a batch in Batch when it is done, type earlier seasons in Fruit, and look
            at the seals in Tray: then this page can tell what your fruit gave.
          </p>
          <ul>
            <li v-for="r in rows" :key="r.key" class="row" :data-row="r.key">
              <div>
                <p class="name">
                  <strong>{{ r.name }}</strong> <span>{{ r.text }}</span>
                </p>
                <div class="bar" aria-hidden="true">
                  <span
                    :style="{
                      width: `${r.part * 100}%`,
                      background: r.product ? tint(r.product) : 'var(--color-rim)',
                    }"
                  ></span>
                </div>
                <p v-if="r.yield">
                  <strong>{{ r.yield }}</strong> of fruit<template v-if="r.range">; {{ r.range }}</template>
                </p>
                <p v-if="r.cost">
                  <strong>{{ r.cost }}</strong>
                </p>
              </div>
              <div>
                <p class="quiet">{{ r.looked }}</p>
                <LossBars v-if="r.losses.length" :losses="r.losses" :most="most" />
              </div>
            </li>
          </ul>
          <p v-if="rows.length" class="hint">{{ almanac.explain }}</p>
        </section>
        <section v-if="almanac.years.length" class="plate" aria-label="Year beside year" data-beside>
          <h2>Year beside year</h2>
          <ul class="beside">
            <li v-for="c in almanac.beside" :key="c.product">
              <YearJars :row="c" />
              <p>
                <strong>{{ c.name }}</strong><template v-if="c.change">: {{ c.change }}</template>
              </p>
            </li>
          </ul>
        </section>
      </div>
      <div class="stack">
        <VowsPlate />
        <SeasonCalendar :almanac="almanac" />
        <NextList />
      </div>
    </div>
  </div>
</template>

<style scoped src="./almanac.css"></style>
