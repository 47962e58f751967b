<script setup lang="ts">
import type { DoneWith, TrayJar } from '@/api/tray'

/** A jar of a load: what was found of it, what that means, and what may be done with it. */
defineProps<{ jar: TrayJar; early: boolean }>()
defineEmits<{ found: [seal: 'sealed' | 'unsealed']; other: []; make: [choice: DoneWith['choice']] }>()
</script>

<template>
  <li :class="`is-${jar.fate}`" :data-tray-jar="jar.n">
    <div class="words">
      <p>
        <strong>Jar {{ jar.n }}</strong> {{ jar.text }}
        <strong v-if="jar.left" class="left">{{ jar.left }} left</strong>
      </p>
      <template v-if="jar.seal && !jar.done">
        <p class="why">{{ jar.why }}</p>
        <p v-for="c in jar.causes" :key="c.text" class="cause" :class="{ own: c.own }">
          {{ c.own ? 'This load: ' : '' }}{{ c.text }}
        </p>
      </template>
    </div>
    <div v-if="!jar.done" class="keys">
      <template v-if="!jar.seal">
        <button v-if="!early" type="button" class="key" data-sealed @click="$emit('found', 'sealed')">
          Sealed
        </button>
        <button type="button" class="key" data-unsealed @click="$emit('found', 'unsealed')">
          Not sealed
        </button>
      </template>
      <template v-else>
        <button
          v-for="d in jar.do"
          :key="d.choice"
          type="button"
          class="key"
          :data-do="d.choice"
          @click="$emit('make', d.choice as DoneWith['choice'])"
        >
          {{ d.text }}
        </button>
      </template>
      <button type="button" class="key plain" data-other @click="$emit('other')">
        {{ jar.seal ? 'Look again' : 'Something else' }}
      </button>
    </div>
  </li>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid var(--color-line);
}
.words {
  flex: 1 1 260px;
}
p {
  margin: 0;
  line-height: 1.35;
}
.left {
  color: var(--color-wait);
}
.is-discard .why,
.is-choose .why {
  font-weight: 600;
}
.is-discard .why {
  color: var(--color-stop);
}
.cause {
  color: var(--color-quiet);
}
.cause.own {
  font-weight: 600;
  color: var(--color-ink);
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.key {
  min-height: 56px;
}
.plain {
  border-color: transparent;
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
