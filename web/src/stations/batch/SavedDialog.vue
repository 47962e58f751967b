<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { HandRaisedIcon, QuestionMarkCircleIcon } from '@heroicons/vue/20/solid'
import { RouterLink } from 'vue-router'
import type { BatchLine } from '@/api/client'
import { tint } from '@/drawings/tints'

/** The saved batches, over the page. */
defineProps<{ batches: BatchLine[]; open?: string }>()
defineEmits<{ close: [] }>()
</script>

<template>
  <Dialog :open="true" class="cover sheet" @close="$emit('close')">
    <DialogPanel class="plate saved">
      <div class="top">
        <DialogTitle as="h2">Saved batches</DialogTitle>
        <button type="button" class="key" @click="$emit('close')">Close</button>
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
            @click="$emit('close')"
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
              <span v-if="b.note" class="sub quiet note">{{ b.note }}</span>
            </span>
          </RouterLink>
        </li>
      </ul>
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
.saved {
  display: flex;
  flex-direction: column;
  width: min(460px, 100%);
  max-height: calc(100dvh - 32px);
  padding: 10px;
}
.top {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: 0 8px 6px;
}
h2 {
  margin: 0;
}
p {
  margin: 0;
  padding: 4px 8px;
}
ul {
  margin: 0;
  padding: 2px;
  list-style: none;
  overflow-y: auto;
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
.note {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.icon {
  width: 18px;
}
</style>
