<script setup lang="ts">
import { HandRaisedIcon } from '@heroicons/vue/24/outline'
import type { Plan, Request } from '@/api/client'
import WhyKey from './WhyKey.vue'

defineProps<{ plan: Plan }>()
defineEmits<{ choose: [request: Request] }>()
</script>

<template>
  <section class="plate refusal" aria-label="Process time" data-verdict="refused">
    <WhyKey :plan="plan" about="refusal" />
    <p class="no"><HandRaisedIcon class="icon" />No tested time</p>
    <ul class="reasons">
      <li v-for="r in plan.reasons" :key="r.code" :data-reason="r.code">{{ r.text }}</li>
    </ul>
    <template v-if="plan.alternatives.length">
      <h2>Tested, and near to it</h2>
      <ul class="ways">
        <li v-for="(a, i) in plan.alternatives" :key="i">
          <button type="button" class="key way" data-alternative @click="$emit('choose', a.request)">
            <span>{{ a.label }}</span>
            <strong>{{ a.minutes }} min</strong>
          </button>
        </li>
      </ul>
    </template>
    <template v-if="plan.instead.length">
      <h2>{{ plan.alternatives.length ? 'Or without this process' : 'What to do instead' }}</h2>
      <ul class="instead">
        <li v-for="i in plan.instead" :key="i.way">{{ i.text }}</li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.refusal {
  border-color: var(--color-stop);
  background: var(--color-stop-wash);
}
.no {
  display: flex;
  align-items: center;
  gap: 10px;
  margin: 0 0 6px;
  font-family: var(--font-title);
  font-size: 1.9rem;
  font-weight: 600;
  color: var(--color-stop);
}
.icon {
  width: 36px;
}
h2 {
  margin-top: 12px;
}
.reasons {
  margin: 0;
  padding: 0;
  list-style: none;
  max-width: 62ch;
}
.reasons li {
  margin-bottom: 6px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}
.way {
  display: flex;
  gap: 14px;
  align-items: baseline;
  text-align: left;
}
.instead {
  margin: 0;
  list-style: disc;
  padding-left: 20px;
  max-width: 62ch;
}
</style>
