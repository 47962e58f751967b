<script setup lang="ts">
import { ref } from 'vue'
import type { Hob, Stove } from '@/api/stove'

/** The clocks beside the pots, one tap each to start. */
const props = defineProps<{ hob: Hob; clocks: Stove['clocks'] }>()
const name = ref('')
const minutes = ref('')
const kinds = [
  { kind: 'dip', name: 'Dip, 45 s' },
  { kind: 'minute', name: 'Boil, 1 min' },
  { kind: 'simmer', name: 'Simmer' },
  { kind: 'juicer', name: 'Juicer' },
  { kind: 'stir', name: 'Slow pot' },
  { kind: 'settle', name: 'Settle, 24 h' },
  { kind: 'cool', name: 'Cool, 12 h' },
  { kind: 'reprocess', name: 'Unsealed, 24 h' },
  { kind: 'other', name: 'Other' },
]
async function start(kind: string) {
  const begun = await props.hob.startClock({
    kind,
    ...(name.value.trim() ? { name: name.value.trim() } : {}),
    ...(Number(minutes.value) > 0 ? { minutes: Number(minutes.value) } : {}),
  })
  if (begun) name.value = minutes.value = ''
}
</script>

<template>
  <section class="plate" aria-label="Clocks">
    <h2>Clocks</h2>
    <p v-for="c in clocks" :key="c.id" class="clock" :class="{ rings: c.ringing }" data-side-clock>
      <strong>{{ c.ringing ? 'now' : c.left }}</strong>
      <span>{{ c.name }}<template v-if="c.unsure">, by the wall clock: the machine was off</template></span>
      <button type="button" class="plain" :aria-label="`Stop ${c.name}`" @click="hob.stopClock(c.id)">
        stop
      </button>
    </p>
    <details>
      <summary data-add-clock>Start a clock</summary>
      <div class="words">
        <label
          >Its name <input v-model="name" class="field" maxlength="60" placeholder="second basket"
        /></label>
        <label
          >Minutes <input v-model="minutes" class="field" inputmode="decimal" placeholder="as usual"
        /></label>
      </div>
      <div class="kinds">
        <button
          v-for="k in kinds"
          :key="k.kind"
          type="button"
          class="key"
          :data-start-clock="k.kind"
          @click="start(k.kind)"
        >
          {{ k.name }}
        </button>
      </div>
    </details>
  </section>
</template>

<style scoped>
.clock {
  display: flex;
  gap: 12px;
  align-items: center;
  margin: 0;
  line-height: 1.2;
}
.clock strong {
  font-size: 1.6rem;
  min-width: 4.4ch;
}
.clock span {
  flex: 1 1 0;
}
.rings strong {
  color: var(--color-wait);
}
.plain,
summary {
  min-height: 48px;
  padding: 0 8px;
  color: var(--color-rim-text);
  text-decoration: underline;
  text-underline-offset: 3px;
}
summary {
  display: flex;
  align-items: center;
  padding: 0;
  cursor: pointer;
}
.words,
.kinds {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
  gap: 8px;
  margin-bottom: 8px;
}
.field {
  display: block;
  width: 100%;
}
.kinds .key {
  min-height: 64px;
  padding: 4px 8px;
}
</style>
