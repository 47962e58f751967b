<script setup lang="ts">
import {
  Dialog,
  DialogPanel,
  DialogTitle,
  Tab,
  TabGroup,
  TabList,
  TabPanel,
  TabPanels,
} from '@headlessui/vue'
import type { Liquid } from '@/api/client'
import AdjustPanel from './AdjustPanel.vue'
import ComparePanel from './ComparePanel.vue'
import type { Sentence } from './sentence'

/** All there is to know of liquids, over the batch: which to take, and what to do with one that is there. */
defineProps<{ sentence: Sentence; tint: string }>()
const emit = defineEmits<{ close: [] }>()
const tabs = ['Which liquid', 'A syrup I have']

function choose(sentence: Sentence, liquid: Liquid) {
  sentence.put({ liquid })
  emit('close')
}
</script>

<template>
  <Dialog :open="true" class="cover" @close="$emit('close')">
    <DialogPanel class="plate bench" data-bench>
      <TabGroup>
        <div class="top">
          <DialogTitle as="h2">Syrup and juice</DialogTitle>
          <TabList class="tabs">
            <Tab v-for="t in tabs" :key="t" v-slot="{ selected }" as="template">
              <button type="button" class="tab" :class="{ here: selected }">{{ t }}</button>
            </Tab>
          </TabList>
        </div>
        <TabPanels class="panels">
          <TabPanel tabindex="-1">
            <ComparePanel :sentence="sentence" :tint="tint" @choose="choose(sentence, $event)" />
          </TabPanel>
          <TabPanel tabindex="-1"><AdjustPanel :sentence="sentence" /></TabPanel>
        </TabPanels>
      </TabGroup>
      <div class="end">
        <button type="button" class="key key-main" @click="$emit('close')">Back to the batch</button>
      </div>
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
.bench {
  display: flex;
  flex-direction: column;
  width: min(1160px, 100%);
  height: min(760px, calc(100dvh - 24px));
  padding: 10px 18px;
}
.top {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 22px;
}
h2 {
  font-size: 1.35rem;
  margin: 0;
}
.tab {
  min-height: 48px;
  padding: 0 14px;
  font-weight: 600;
  color: var(--color-rim-text);
  border-bottom: 3px solid transparent;
}
.tab.here {
  border-color: var(--color-rim);
}
.panels {
  flex: 1 1 0;
  min-height: 0;
  overflow-y: auto;
  margin-top: 4px;
}
.end {
  display: flex;
  justify-content: flex-end;
  padding-top: 8px;
}
@media (max-width: 640px) {
  .bench {
    padding: 8px 10px;
  }
}
</style>
