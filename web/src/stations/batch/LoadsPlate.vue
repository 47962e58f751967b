<script setup lang="ts">
import type { Plan, Request } from '@/api/client'
import PotDrawing from '@/drawings/PotDrawing.vue'
import PotSide from '@/drawings/PotSide.vue'
import WhyKey from './WhyKey.vue'

defineProps<{ plan: Plan; tint: string }>()
defineEmits<{ choose: [request: Request] }>()
</script>

<template>
  <section class="plate" aria-label="Canner loads">
    <WhyKey :plan="plan" about="loads" />
    <h2>{{ plan.canner.id ? `In ${plan.canner.name}` : 'In the canner' }}</h2>
    <p v-if="plan.canner.text" class="figure" data-loads>{{ plan.canner.text }}</p>
    <p v-if="plan.canner.note" class="note" data-canner-note>{{ plan.canner.note }}</p>
    <p v-else class="quiet small">
      {{ plan.canner.id ? 'It' : `The usual ${plan.canner.size} canner` }} takes {{ plan.canner.capacity
      }}<template v-if="plan.jars && plan.jars.sizes.length > 1"> of the {{ plan.jar.many }}</template
      >.
      <template v-if="plan.time && plan.canner.loads.length > 1 && !plan.jars?.sizes.length"
        >Each load runs its {{ plan.time.minutes }} min.</template
      >
    </p>
    <div class="pots" :class="{ one: plan.canner.loads.length === 1 }">
      <figure v-for="(load, i) in plan.canner.loads" :key="i">
        <template v-for="(tier, n) in load.tiers" :key="n">
          <PotDrawing
            :canner="plan.canner"
            :placed="tier.jars"
            :label="`Load ${i + 1}: ${load.text}`"
            :tint="tint"
          />
          <figcaption v-if="load.tiers.length > 1" class="quiet">
            {{ n ? 'above' : 'below' }}
          </figcaption>
        </template>
        <figcaption v-if="plan.jars?.sizes.length" data-load>
          {{ load.text }}<strong v-if="load.minutes">, {{ load.minutes }} min</strong>
        </figcaption>
      </figure>
    </div>
    <p v-for="o in plan.canner.offers" :key="o.text" class="small" data-offer>
      {{ o.text }}
      <button
        v-if="o.request"
        type="button"
        class="plain"
        data-take-offer
        @click="$emit('choose', o.request)"
      >
        Plan it so
      </button>
    </p>
    <template v-if="plan.canner.water">
      <h3>Water</h3>
      <PotSide class="side" :canner="plan.canner" :water="plan.canner.water" :tint="tint" />
      <p class="small" data-water>
        <strong>{{ plan.canner.water.pour }}</strong> at {{ plan.canner.water.fillAt }}:
        {{ plan.canner.water.before }} deep before the jars, {{ plan.canner.water.after }} with them.
      </p>
      <p v-if="plan.canner.water.heating" class="small" data-heating>{{ plan.canner.water.heating }}</p>
    </template>
    <p v-if="plan.time" class="small">{{ plan.canner.after }}</p>
  </section>
</template>

<style scoped>
.figure {
  margin: 0;
  font-size: 1.2rem;
  font-weight: 700;
  line-height: 1.2;
}
h3 {
  margin: 8px 0 0;
  font-size: 1rem;
  color: var(--color-rim-text);
}
.small {
  margin: 2px 0 6px;
  line-height: 1.3;
}
.note {
  color: var(--color-wait);
  font-weight: 600;
}
.pots {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
  gap: 8px;
}
.pots.one {
  grid-template-columns: minmax(0, 190px);
  justify-content: center;
}
figure {
  margin: 0;
}
figcaption {
  line-height: 1.2;
  text-align: center;
}
.plain {
  min-height: 40px;
  color: var(--color-rim-text);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.side {
  max-width: 210px;
  margin: 0 auto;
}
</style>
