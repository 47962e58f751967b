<script setup lang="ts">
import { computed } from 'vue'

/**
 * Where a liquid lies in °Brix: a drop where it goes into the jar, a line to where fruit and liquid come to
 * after two weeks, and the fruit's own as a mark across.
 */
const props = defineProps<{
  brix: number | null
  about: boolean
  cutOut: number | null
  fruit: number | null
  most: number
  tint: string
}>()

const x = (brix: number) => 2 + (brix / props.most) * 96
const said = computed(() =>
  [
    props.brix === null ? 'strength not known' : `${props.brix} °Brix into the jar`,
    props.cutOut === null ? '' : `${props.cutOut} °Brix after two weeks`,
  ]
    .filter(Boolean)
    .join(', '),
)
</script>

<template>
  <svg viewBox="0 0 100 12" class="scale" role="img" :aria-label="said" preserveAspectRatio="none">
    <line x1="2" x2="98" y1="6" y2="6" class="base" />
    <line v-if="fruit !== null" :x1="x(fruit)" :x2="x(fruit)" y1="0" y2="12" class="fruit" />
    <template v-if="brix !== null">
      <line v-if="cutOut !== null" :x1="x(brix)" :x2="x(cutOut)" y1="6" y2="6" class="way" />
      <rect :x="x(brix) - 0.7" y="2" width="1.4" height="8" rx="0.5" class="drop" :class="{ about }" />
      <rect
        v-if="cutOut !== null"
        :x="x(cutOut) - 0.9"
        y="3"
        width="1.8"
        height="6"
        rx="0.6"
        :fill="tint"
        class="jar"
      />
    </template>
  </svg>
</template>

<style scoped>
.scale {
  display: block;
  width: 100%;
  height: 26px;
}
.base {
  stroke: var(--color-line);
  stroke-width: 1.4;
}
.fruit {
  stroke: var(--color-ink);
  stroke-width: 0.3;
  stroke-dasharray: 1.6 1;
}
.way {
  stroke: var(--color-rim);
  stroke-width: 0.9;
}
.drop {
  fill: var(--color-rim);
}
.drop.about {
  fill: var(--color-plate);
  stroke: var(--color-rim);
  stroke-width: 0.35;
}
.jar {
  stroke: var(--color-rim);
  stroke-width: 0.3;
}
</style>
