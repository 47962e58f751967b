<script setup lang="ts">
import { HandRaisedIcon, QuestionMarkCircleIcon } from '@heroicons/vue/20/solid'
import { RouterLink } from 'vue-router'
import type { BatchLine } from '@/api/client'
import { tint } from '@/drawings/tints'

defineProps<{ batches: BatchLine[]; open?: string }>()
defineEmits<{ fresh: [] }>()
</script>

<template>
  <aside class="plate saved" aria-label="Saved batches">
    <div class="top">
      <h2>Saved</h2>
      <button v-if="open" type="button" class="key new" @click="$emit('fresh')">New</button>
    </div>
    <p v-if="!batches.length" class="quiet">Nothing is saved yet. Batches you save stand here.</p>
    <ul>
      <li v-for="b in batches" :key="b.id">
        <RouterLink
          :to="{ name: 'batch', params: { id: b.id } }"
          class="line"
          :class="{ here: b.id === open }"
          :aria-current="b.id === open ? 'page' : undefined"
          :data-batch="b.id"
        >
          <span class="dot" :style="{ background: tint(b.product, b.kind) }" />
          <span class="text">
            <span class="name">{{ b.headline }}</span>
            <span class="sub quiet">
              <template v-if="b.status === 'tested' || b.status === 'own-source'"
                >{{ b.jars ? `${b.jars}, ` : '' }}{{ b.minutes }} min{{
                  b.status === 'own-source' ? ', own source' : ''
                }}</template
              >
              <template v-else-if="b.status === 'refused'"><HandRaisedIcon class="icon" />refused</template>
              <template v-else><QuestionMarkCircleIcon class="icon" />to be completed</template>
            </span>
          </span>
        </RouterLink>
      </li>
    </ul>
  </aside>
</template>

<style scoped>
.saved {
  padding: 10px 10px;
}
.top {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: 0 8px;
  min-height: 40px;
}
.new {
  padding: 0 16px;
}
p {
  margin: 0;
  padding: 4px 8px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
.line {
  display: flex;
  gap: 10px;
  padding: 7px 8px;
  min-height: 48px;
  border-radius: 12px;
  text-decoration: none;
  color: inherit;
  line-height: 1.25;
}
.line:hover {
  background: var(--color-wash);
}
.line.here {
  background: var(--color-wash);
  outline: 2px solid var(--color-rim);
  outline-offset: -2px;
}
.dot {
  flex: none;
  width: 16px;
  height: 20px;
  margin-top: 2px;
  border-radius: 4px 4px 6px 6px;
  border: 2px solid var(--color-rim);
}
.text {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.name {
  overflow-wrap: anywhere;
}
.name::first-letter {
  text-transform: uppercase;
}
.sub {
  display: flex;
  gap: 4px;
  align-items: center;
  font-size: 0.92rem;
}
.icon {
  width: 18px;
}
</style>
