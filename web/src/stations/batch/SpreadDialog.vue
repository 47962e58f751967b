<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { ref, toRef } from 'vue'
import { useSpread } from '@/api/stock'
import PotDrawing from '@/drawings/PotDrawing.vue'
import type { Sentence } from './sentence'

/** What the fruit likely gives, put into the jars at hand. */
const props = defineProps<{ sentence: Sentence; tint: string }>()
const emit = defineEmits<{ close: [] }>()
const sizes = ref(2)
const { data: spread, error } = useSpread(toRef(props.sentence, 'request'), sizes)

function take() {
  if (spread.value) props.sentence.put({ sizes: spread.value.text })
  emit('close')
}
</script>

<template>
  <Dialog :open="true" class="cover" @close="$emit('close')">
    <DialogPanel class="plate panel" data-spread>
      <DialogTitle as="h2">Into the jars you have</DialogTitle>
      <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
      <p v-else-if="spread && !spread.ok">
        There is nothing to spread: the sentence must say how much fruit there is, and jars with lids of a
        tested size must be at hand.
      </p>
      <template v-else-if="spread">
        <p class="figure" data-spread-text>{{ spread.text }}</p>
        <p>
          {{ spread.loads.length === 1 ? '1 load' : `${spread.loads.length} loads` }},
          {{ spread.minutes }} min of boiling in all<template v-if="spread.left"
            >; about <strong>{{ spread.left }}</strong> is over, for the refrigerator: no jar is filled by
            half</template
          >.
        </p>
        <div class="loads">
          <figure v-for="(l, i) in spread.loads" :key="i">
            <PotDrawing
              v-for="(tier, n) in l.tiers"
              :key="n"
              :canner="spread.canner"
              :placed="tier.jars"
              :label="`Load ${i + 1}: ${l.text}`"
              :tint="tint"
            />
            <figcaption>
              {{ l.text }}, <strong>{{ l.minutes }} min</strong
              ><template v-if="l.mixed">: the longest of them rules</template>
            </figcaption>
          </figure>
        </div>
      </template>
      <div class="keys">
        <fieldset>
          <legend>Kinds of jar at most</legend>
          <label v-for="n in [1, 2, 3]" :key="n" class="choice-row"
            ><input v-model="sizes" type="radio" :value="n" name="sizes" :data-sizes="n" /> {{ n }}</label
          >
        </fieldset>
        <button type="button" class="key" @click="$emit('close')">Back to the batch</button>
        <button v-if="spread?.ok" type="button" class="key key-main" data-take-sizes @click="take">
          Plan these jars
        </button>
      </div>
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
.panel {
  width: min(900px, 100%);
  max-height: calc(100dvh - 24px);
  overflow-y: auto;
}
h2 {
  font-size: 1.35rem;
}
.figure {
  margin: 0;
  font-size: 1.75rem;
  font-weight: 700;
  line-height: 1.15;
}
p {
  margin: 4px 0 10px;
  line-height: 1.35;
}
.loads {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 14px;
}
figure {
  margin: 0;
}
figcaption {
  line-height: 1.3;
  text-align: center;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  margin-top: 12px;
}
fieldset {
  display: flex;
  gap: 18px;
  align-items: center;
  margin: 0;
  padding: 0;
  border: 0;
}
legend {
  float: left;
  margin-right: 14px;
}
</style>
