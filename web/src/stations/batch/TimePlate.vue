<script setup lang="ts">
import { BookOpenIcon, CheckBadgeIcon } from '@heroicons/vue/24/outline'
import { RouterLink } from 'vue-router'
import type { Plan } from '@/api/client'
import JarDrawing from '@/drawings/JarDrawing.vue'
import WhyKey from './WhyKey.vue'

defineProps<{ plan: Plan; tint: string }>()
</script>

<template>
  <section v-if="plan.time" class="plate time" aria-label="Process time" :data-verdict="plan.status">
    <div class="words">
      <p class="figure">
        <strong data-time>{{ plan.time.minutes }}</strong> min
      </p>
      <p class="tested" :class="{ own: plan.time.own }">
        <BookOpenIcon v-if="plan.time.own" class="icon" /><CheckBadgeIcon v-else class="icon" />{{
          plan.time.own ? 'Own source' : 'Tested'
        }}
        <WhyKey :plan="plan" about="time" class="beside" />
      </p>
      <p class="how">
        {{
          plan.request.method === 'steam'
            ? 'in steam, from when the vent blows pure steam'
            : 'in boiling water, from the hard boil'
        }}
      </p>
    </div>
    <JarDrawing
      :jar="plan.jar"
      :tint="tint"
      :form="plan.request.form ?? ''"
      :headspace-cm="plan.time.headspaceCm"
      :headspace="plan.time.headspace"
    />
    <ul>
      <li>
        at {{ plan.altitude }} <span class="quiet">({{ plan.time.band }})</span>
      </li>
      <li v-if="plan.time.water">{{ plan.time.water }} of water over the jars</li>
      <li v-if="plan.time.sterileMinutes" class="must">
        sterile jars: boil them empty {{ plan.time.sterileMinutes }} min first
      </li>
      <li v-if="plan.time.acid" class="must">{{ plan.time.acid }}</li>
    </ul>
    <p class="source">
      <template v-if="plan.time.own">{{ plan.time.source }}</template>
      <RouterLink v-else :to="{ name: 'tables', hash: `#${plan.request.product}` }">{{
        plan.time.source
      }}</RouterLink>
    </p>
  </section>
</template>

<style scoped>
.time {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  column-gap: 8px;
}
ul,
.source {
  grid-column: 1 / -1;
}
.how {
  margin: 0;
  line-height: 1.3;
}
.words {
  min-width: 0;
}
.figure {
  margin: 0;
  white-space: nowrap;
  font-size: 1.5rem;
  font-weight: 650;
  line-height: 1;
}
.figure strong {
  font-size: 4.2rem;
  font-weight: 750;
}
.tested {
  display: flex;
  white-space: nowrap;
  gap: 6px;
  align-items: center;
  margin: 0;
  color: var(--color-go);
  font-weight: 700;
}
.tested.own {
  flex-wrap: wrap;
  color: var(--color-wait);
}
.beside {
  float: none;
  min-width: 44px;
  margin: 0;
}
.icon {
  width: 24px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
  line-height: 1.35;
}
li {
  margin-bottom: 3px;
}
.must {
  font-weight: 700;
  color: var(--color-wait);
}
.source {
  margin: 4px 0 0;
  font-size: 0.88rem;
  line-height: 1.3;
}
.source a {
  display: block;
  padding: 6px 0;
  color: var(--color-quiet);
}
</style>
