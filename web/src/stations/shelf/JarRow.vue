<script setup lang="ts">
import type { ShelfJar } from '@/api/shelf'
import { tint } from '@/drawings/tints'

/** A jar in a list. */
defineProps<{ jar: ShelfJar }>()
defineEmits<{ take: [] }>()
</script>

<template>
  <div class="fit">
    <button type="button" class="row" :data-jar="jar.id" @click="$emit('take')">
      <span class="glass" :style="{ background: tint(jar.product, jar.kind) }" aria-hidden="true"></span>
      <span class="words">
        <strong>{{ jar.what }}</strong> <span class="quiet">{{ jar.strength }}</span>
      </span>
      <span class="size">{{ jar.size }}</span>
      <span class="when"
        >{{ jar.canned }}<span v-if="jar.mark" class="mark">{{ jar.mark }}</span></span
      >
      <span class="where" :class="jar.urgent">{{ jar.text }}</span>
      <span class="id">{{ jar.id }}</span>
    </button>
  </div>
</template>

<style scoped>
.fit {
  container-type: inline-size;
}
.row {
  display: grid;
  grid-template-columns: 18px minmax(0, 2.4fr) minmax(0, 0.9fr) minmax(0, 1.2fr) minmax(0, 2fr) 76px;
  gap: 4px 14px;
  align-items: center;
  width: 100%;
  min-height: 56px;
  padding: 4px 6px;
  border-top: 1px solid var(--color-line);
  line-height: 1.2;
  text-align: left;
}
.row:hover {
  background: var(--color-wash);
}
.row > * {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.glass {
  width: 18px;
  height: 26px;
  border: 1.5px solid var(--color-rim);
  border-radius: 3px 3px 6px 6px;
}
.row > .when,
.row > .where {
  white-space: normal;
}
.row > .where {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  line-clamp: 2;
}
.mark {
  display: block;
  font-weight: 700;
  color: var(--color-stop);
}
.where.stop {
  font-weight: 700;
  color: var(--color-stop);
}
.where.wait {
  font-weight: 700;
  color: var(--color-wait);
}
.id {
  letter-spacing: 0.06em;
}
@container (max-width: 700px) {
  .row {
    grid-template-columns: 18px minmax(0, 1fr) auto;
    grid-template-areas: 'g w s' 'g p i';
    align-content: center;
    min-height: 64px;
  }
  .glass {
    grid-area: g;
  }
  .words {
    grid-area: w;
  }
  .size {
    grid-area: s;
  }
  .where {
    grid-area: p;
  }
  .id {
    grid-area: i;
  }
  .when {
    display: none;
  }
}
</style>
