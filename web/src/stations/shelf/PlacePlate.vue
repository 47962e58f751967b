<script setup lang="ts">
import type { JarGroup, Place } from '@/api/shelf'
import JarOnBoard from '@/drawings/JarOnBoard.vue'

/** A place with its jars as they stand: like ones behind one another, the one to take first in front. */
defineProps<{ place: Place }>()
defineEmits<{ take: [group: JarGroup]; change: [] }>()
const kinds = { shelf: 'Board', box: 'Box', loft: 'Loft' }
</script>

<template>
  <section class="plate place" :class="place.kind" :aria-label="place.name" :data-shelf-place="place.name">
    <header>
      <h2>{{ place.name }}</h2>
      <span class="quiet">{{ kinds[place.kind] }}, {{ place.count }} jars</span>
      <button v-if="place.id" type="button" class="key plain" @click="$emit('change')">Change</button>
    </header>
    <p v-if="!place.groups.length" class="quiet">Nothing stands here.</p>
    <ul v-else class="board">
      <li v-for="g in place.groups" :key="`${g.what} ${g.strength} ${g.jar} ${g.mark}`">
        <button type="button" class="group" :data-group="g.what" @click="$emit('take', g)">
          <JarOnBoard :group="g" />
          <span class="words">
            <span class="heard">Take one of</span>
            <strong>{{ g.what }}</strong>
            <span>{{ g.text }}</span>
            <span class="quiet">{{ g.count > 1 ? 'from ' : '' }}{{ g.oldest }}</span>
            <span v-if="g.useFirst" class="mark">{{ g.useFirst }} to use first</span>
            <span v-if="g.past" class="mark">{{ g.past }} past their best</span>
            <span v-if="g.mark" class="mark stop">{{ g.mark }}</span>
          </span>
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 14px;
}
.plate h2 {
  margin: 0;
  font-size: 1.25rem;
}
h2::first-letter {
  text-transform: uppercase;
}
.plain {
  margin-left: auto;
  border-color: transparent;
  text-decoration: underline;
  text-underline-offset: 3px;
}
/* Jars and words of a row stand on the same lines, so that the board runs through. */
.board {
  display: grid;
  grid-template-columns: repeat(auto-fill, 150px);
  column-gap: 16px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.board li,
.group {
  display: grid;
  grid-row: span 2;
  grid-template-rows: subgrid;
}
.group {
  justify-items: center;
  padding: 6px 4px 0;
  border-radius: 12px;
  line-height: 1.2;
}
.group:hover {
  background: var(--color-wash);
}
.group svg {
  align-self: end;
}
.words {
  justify-self: stretch;
  display: grid;
  align-content: start;
  margin: 0 -12px;
  padding: 6px 12px 8px;
  border-top: 7px solid var(--color-rim);
  text-align: center;
}
.box .words {
  border-top-style: double;
}
.words > span,
.words > strong {
  overflow-wrap: anywhere;
}
.mark {
  font-weight: 700;
  color: var(--color-wait);
}
.mark.stop {
  color: var(--color-stop);
}
@media (max-width: 640px) {
  .board {
    grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
    column-gap: 8px;
  }
  .words {
    margin: 0 -8px;
    padding: 6px 8px 8px;
  }
}
</style>
