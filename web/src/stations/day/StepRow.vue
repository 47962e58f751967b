<script setup lang="ts">
import type { Step } from '@/api/day'
import { tint } from '@/drawings/tints'

/** A step: when, what, how much, with what, by whom; with the keys to tell of it. */
defineProps<{ step: Step; number: number; picked: boolean; big?: boolean; pending: boolean }>()
const emit = defineEmits<{
  pick: []
  tell: [kind: 'begun' | 'done' | 'back']
  lock: [at: string]
  hob: []
}>()
const hold = (e: Event) => emit('lock', String(new FormData(e.target as HTMLFormElement).get('at')))
const words = { ahead: '', late: 'late', now: 'now', done: 'done' }
</script>

<template>
  <li class="step" :class="[step.state, { picked, big }]" :data-step="step.key" :data-state="step.state">
    <button type="button" class="open" :aria-expanded="picked" @click="$emit('pick')">
      <span class="time">{{ step.kind === 'lit' ? step.at : step.time }}</span>
      <span class="what">
        <span v-if="number" class="number" :style="{ borderColor: tint(step.product) }">{{ number }}</span>
        <strong>{{ step.title }}</strong>
        <span v-if="words[step.state]" class="state">{{ words[step.state] }}</span>
        <span v-if="step.locked" class="state">locked</span>
        <span v-if="step.moved" class="moved">{{ step.moved }}</span>
        <span class="with"
          >{{ step.of }}<template v-if="step.of && step.with">: </template>{{ step.with }}</span
        >
        <span v-if="step.who || step.where" class="who">{{
          [step.who, step.where].filter(Boolean).join(', ')
        }}</span>
      </span>
    </button>
    <div v-if="picked || big" class="more">
      <ol v-if="step.pieces.length">
        <li v-for="p in step.pieces" :key="p.from">
          <span class="time">{{ p.time }}</span> {{ p.what }}
        </li>
      </ol>
      <p v-if="step.hot && step.state === 'ahead'" class="quiet">
        It waits hot: begun no sooner than planned, it waits least.
      </p>
      <div class="keys">
        <button
          v-if="step.can.includes('begun')"
          type="button"
          class="key"
          :disabled="pending"
          data-begun
          @click="$emit('tell', 'begun')"
        >
          {{ step.kind === 'lit' ? 'It is lit' : 'Begun' }}
        </button>
        <button
          v-if="step.can.includes('done')"
          type="button"
          class="key"
          :disabled="pending"
          data-done
          @click="$emit('tell', 'done')"
        >
          Done
        </button>
        <button v-if="step.can.includes('hob')" type="button" class="key" data-hob @click="$emit('hob')">
          Fill it: onto the hob
        </button>
        <button
          v-if="!big && step.can.includes('lock')"
          type="button"
          class="key"
          :disabled="pending"
          data-lock
          @click="$emit('lock', step.at)"
        >
          Hold it at {{ step.at }}
        </button>
        <button
          v-if="!big && step.can.includes('unlock')"
          type="button"
          class="key"
          :disabled="pending"
          data-unlock
          @click="$emit('lock', '')"
        >
          Let it move
        </button>
        <form v-if="!big && step.can.includes('lock')" class="other" @submit.prevent="hold">
          <label
            >or at <input name="at" class="field" size="6" placeholder="13:30" data-field="lock-at" /></label
          ><button type="submit" class="key" data-lock-at>Hold</button>
        </form>
        <button
          v-if="step.can.includes('back')"
          type="button"
          class="key"
          :disabled="pending"
          data-back
          @click="$emit('tell', 'back')"
        >
          It was not so
        </button>
      </div>
    </div>
  </li>
</template>

<style scoped src="./step.css"></style>
