<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import { useStove } from '@/api/stove'
import HobPage from './HobPage.vue'

/** The same station on a simulated pot, where things go wrong. */
const hob = useStove(true)
const times = ref(60)
const practice = computed(() => hob.stove.value?.practice)
</script>

<template>
  <HobPage :hob="hob" title="Practice">
    <template #banner>
      <div class="banner" data-practice>
        <strong>Practice</strong>
        <template v-if="practice">
          <span>{{ practice.times }} times as fast, and nothing of it is kept.</span>
          <span v-for="s in practice.sees" :key="s" class="sees" role="status" data-sees>{{ s }}</span>
        </template>
        <RouterLink :to="{ name: 'stove' }" class="key link">To the real stove</RouterLink>
      </div>
      <section v-if="practice?.over" class="plate account" data-account>
        <h2>How it went</h2>
        <ul>
          <li v-for="w in practice.well" :key="w" class="well">{{ w }}</li>
          <li v-for="b in practice.better" :key="b" class="better">{{ b }}</li>
        </ul>
        <button type="button" class="key key-main" data-again @click="hob.startPractice(times)">
          Practise again
        </button>
      </section>
    </template>
    <template #empty>
      <section class="plate start">
        <h2>A load to practise on</h2>
        <p>
          Seven pints of peaches in a pot that is only drawn. You check the jars, tell what happens, and
          things go wrong as they do: say so when you see it. Afterwards you read what you did right. Nothing
          of it is kept among your records.
        </p>
        <fieldset>
          <legend>How fast</legend>
          <label v-for="n in [20, 60, 120]" :key="n" class="choice-row"
            ><input v-model="times" type="radio" name="times" :value="n" /> {{ n }} times</label
          >
        </fieldset>
        <button type="button" class="key key-main big" data-start @click="hob.startPractice(times)">
          Begin
        </button>
      </section>
    </template>
  </HobPage>
</template>

<style scoped>
.banner {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  margin-bottom: 10px;
  padding: 4px 16px;
  border-radius: 14px;
  background: var(--color-wash);
}
.sees {
  font-weight: 700;
  font-size: 1.15rem;
  color: var(--color-wait);
}
.link {
  margin-left: auto;
  display: inline-flex;
  align-items: center;
  text-decoration: none;
}
.account {
  margin-bottom: 12px;
}
ul {
  margin: 4px 0 10px;
  padding-left: 22px;
  list-style: disc;
  line-height: 1.4;
}
.better {
  color: var(--color-wait);
  font-weight: 600;
}
.start {
  max-width: 640px;
}
fieldset {
  display: flex;
  gap: 20px;
  align-items: center;
  border: 0;
  padding: 0;
  margin: 8px 0 12px;
}
legend {
  float: left;
  margin-right: 16px;
  font-weight: 600;
}
.big {
  min-height: 64px;
  min-width: 220px;
}
</style>
