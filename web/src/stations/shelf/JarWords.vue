<script setup lang="ts">
import type { JarPage } from '@/api/shelf'

/** What a jar is, how it stands, and what to know before it is opened. */
defineProps<{ jar: JarPage }>()
</script>

<template>
  <div>
    <p class="where" :class="jar.urgent">{{ jar.text }}</p>
    <dl>
      <dt>Canned</dt>
      <dd>
        {{ jar.canned }}<template v-if="jar.madeBy">, by {{ jar.madeBy }}</template>
      </dd>
      <dt>Best by</dt>
      <dd>{{ jar.bestBy }} <span class="quiet">its taste and colour, not its safety</span></dd>
      <dt>In a</dt>
      <dd>
        {{ jar.size }}<template v-if="jar.strength">, {{ jar.strength }}</template>
      </dd>
      <template v-if="jar.mark || jar.source">
        <dt>Process</dt>
        <dd>
          <strong v-if="jar.mark" class="mark">{{ jar.mark }}</strong> {{ jar.source }}
        </dd>
      </template>
      <template v-if="jar.allergens">
        <dt>Allergens</dt>
        <dd>{{ jar.allergens }}</dd>
      </template>
      <template v-if="jar.note">
        <dt>Note</dt>
        <dd>{{ jar.note }}</dd>
      </template>
    </dl>
    <p v-if="jar.useFirst" class="caution">To be used first.</p>
    <p v-if="jar.caution" class="caution" data-caution>{{ jar.caution }}</p>
  </div>
</template>

<style scoped>
p {
  margin: 0 0 6px;
  line-height: 1.35;
}
.where {
  font-size: 1.2rem;
  font-weight: 600;
}
.where.wait,
.caution {
  color: var(--color-wait);
}
.where.stop,
.mark {
  color: var(--color-stop);
}
.caution {
  font-weight: 600;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 16px;
  margin: 0 0 8px;
  line-height: 1.3;
}
dt {
  color: var(--color-quiet);
}
dd {
  margin: 0;
  overflow-wrap: anywhere;
}
</style>
