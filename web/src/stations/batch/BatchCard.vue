<script setup lang="ts">
import type { Kitchen, Plan } from '@/api/client'

/** The card that is printed: all that is needed beside the stove, on one sheet. */
defineProps<{ plan: Plan; note: string; kitchen?: Kitchen }>()
</script>

<template>
  <article class="card print-only">
    <header>
      <h1>{{ plan.headline }}</h1>
      <p>{{ [kitchen?.name, plan.altitude].filter(Boolean).join(', ') }}</p>
    </header>
    <p v-if="note" class="note">{{ note }}</p>
    <div v-if="plan.time" class="time">
      <strong>{{ plan.time.minutes }} min</strong>
      <span>
        {{
          plan.request.method === 'steam'
            ? 'in steam, from pure steam at the vent'
            : 'in boiling water, from the hard boil'
        }}, for {{ plan.time.band }}. Headspace {{ plan.time.headspace }}.
        <template v-if="plan.time.water">{{ ' ' }}{{ plan.time.water }} of water over the jars.</template>
        <template v-if="plan.time.sterileMinutes"
          >{{ ' ' }}Jars boiled empty {{ plan.time.sterileMinutes }} min first.</template
        >
        <template v-if="plan.time.acid">{{ ' ' }}{{ plan.time.acid }}.</template>
      </span>
    </div>
    <div v-else class="time">
      <strong>No time</strong>
      <span>{{ [...plan.reasons, ...plan.missing].map((r) => r.text).join(' ') }}</span>
    </div>
    <div class="columns">
      <section v-if="plan.jars">
        <h2>Jars</h2>
        <p>
          {{ plan.jars.text }}<template v-if="plan.fruit"> from {{ plan.fruit.text }} of fruit</template>.
          {{ plan.canner.text }}.
        </p>
        <p v-if="plan.jars.range">{{ plan.jars.range }}. Have {{ plan.jars.ready }} ready.</p>
      </section>
      <section v-if="plan.liquid">
        <h2>{{ plan.liquid.name }}</h2>
        <p v-for="m in plan.liquid.measures" :key="m.name">{{ m.name }}: {{ m.amount }} ({{ m.beside }})</p>
        <p>{{ plan.liquid.total }} in all, {{ plan.liquid.perJar }} a jar.</p>
      </section>
      <section v-if="plan.recipe">
        <h2>{{ plan.recipe.title }}</h2>
        <p v-for="m in plan.recipe.ingredients" :key="m.name">{{ m.name }}: {{ m.amount }}</p>
      </section>
      <section v-if="plan.prepare.length">
        <h2>Prepare</h2>
        <p v-for="line in plan.prepare" :key="line">{{ line }}</p>
      </section>
      <section v-if="plan.inEachJar.length">
        <h2>In each jar</h2>
        <p v-for="line in plan.inEachJar" :key="line">{{ line }}</p>
      </section>
      <section v-if="plan.cautions.length">
        <h2>Good to know</h2>
        <p v-for="c in plan.cautions" :key="c.code">{{ c.text }}</p>
      </section>
    </div>
    <footer v-if="plan.time">
      {{ plan.time.own ? 'Own source of the time, not a tested row' : 'Source of the time' }}:
      {{ plan.time.source }}
    </footer>
  </article>
</template>

<style scoped>
.card {
  font-size: 11.5pt;
  line-height: 1.35;
  color: #000;
}
h1 {
  margin: 0;
  font-size: 20pt;
}
h1::first-letter,
h2::first-letter {
  text-transform: uppercase;
}
header p,
p {
  margin: 0 0 4pt;
}
.note {
  font-style: italic;
}
.time {
  display: flex;
  gap: 14pt;
  align-items: center;
  margin: 8pt 0;
  padding: 8pt 12pt;
  border: 1.5pt solid #000;
  border-radius: 10pt;
}
.time strong {
  font-size: 30pt;
  white-space: nowrap;
}
.columns {
  columns: 2;
  column-gap: 20pt;
}
section {
  break-inside: avoid;
  margin-bottom: 8pt;
}
h2 {
  margin: 0 0 2pt;
  font-size: 13pt;
}
footer {
  margin-top: 8pt;
  border-top: 1pt solid #000;
  padding-top: 4pt;
}
</style>
