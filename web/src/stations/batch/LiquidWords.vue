<script setup lang="ts">
import { computed } from 'vue'
import type { Catalogue } from '@/api/client'
import SentenceField from '@/parts/SentenceField.vue'
import SentenceListbox from '@/parts/SentenceListbox.vue'
import type { Sentence } from './sentence'

/** The part of the sentence that says what is poured over the fruit, or stirred into the sauce. */
const props = defineProps<{ sentence: Sentence; catalogue: Catalogue; problems: Record<string, string> }>()

const s = computed(() => props.sentence)
const liquid = computed(() => s.value.liquid)
const kind = computed(() => liquid.value?.kind ?? '')
const made = computed(() => ['syrup', 'ratio', 'brix', 'gallon'].includes(kind.value))
const sauce = computed(() => ['unsweetened', 'per-quart'].includes(kind.value))
const number = (text: string) => (/^\d+(\.\d+)?$/.test(text) ? Number(text) : -1)

const coresOptions = [
  { id: 'no', name: 'no cores' },
  { id: 'yes', name: 'cores simmered in it' },
]
</script>

<template>
  <template v-if="s.liquids.length">
    {{ sauce ? 'with' : 'in' }}
    <SentenceListbox
      label="Liquid"
      field="liquid"
      :options="s.liquids"
      :model-value="s.liquidID(liquid)"
      @update:model-value="s.putLiquidID($event)"
    />
    <template v-if="kind === 'ratio'">
      of
      <SentenceField
        label="Parts of water"
        field="waterParts"
        decimal
        :model-value="String(liquid?.waterParts ?? '')"
        :wrong="'liquid.waterParts' in problems"
        @typing="s.typing = true"
        @update:model-value="s.putLiquid({ waterParts: number($event) })"
      />
      to
      <SentenceField
        label="Parts of sugar"
        field="sugarParts"
        decimal
        :model-value="String(liquid?.sugarParts ?? 0)"
        :wrong="'liquid.sugarParts' in problems"
        @typing="s.typing = true"
        @update:model-value="s.putLiquid({ sugarParts: number($event) })"
      />
    </template>
    <template v-if="kind === 'gallon'">
      with
      <SentenceField
        label="Cups of sugar to a gallon of water"
        field="gallonCups"
        decimal
        :model-value="String(liquid?.gallonCups ?? 0)"
        :wrong="'liquid.gallonCups' in problems"
        @typing="s.typing = true"
        @update:model-value="s.putLiquid({ gallonCups: number($event) })"
      />
      cups to a gallon
    </template>
    <template v-if="kind === 'brix'">
      of
      <SentenceField
        label="Degrees Brix"
        field="brix"
        decimal
        :model-value="String(liquid?.brix ?? 0)"
        :wrong="'liquid.brix' in problems"
        @typing="s.typing = true"
        @update:model-value="s.putLiquid({ brix: number($event) })"
      />
      °Brix
    </template>
    <template v-if="kind === 'in-jar' || kind === 'per-quart'">
      {{ kind === 'in-jar' ? '' : 'of' }}
      <SentenceField
        :label="kind === 'in-jar' ? 'Sugar in each jar' : 'Sugar in a quart'"
        field="jarSugar"
        :model-value="liquid?.sugar ?? ''"
        :wrong="'liquid.sugar' in problems"
        @typing="s.typing = true"
        @update:model-value="s.putLiquid({ sugar: $event })"
      />
      {{ kind === 'in-jar' ? 'a jar' : 'a quart' }}
    </template>
    <template v-if="kind === 'own-juice'">
      (I have
      <SentenceField
        label="How much juice there is; empty for as much as is needed"
        field="have"
        unsaid="enough"
        :model-value="liquid?.have ?? ''"
        :wrong="'liquid.have' in problems"
        @typing="s.typing = true"
        @update:model-value="s.putLiquid({ have: $event })"
      />
      at
      <SentenceField
        label="Degrees Brix of the juice; empty where it was not read"
        field="juiceBrix"
        decimal
        unsaid="its own"
        :model-value="liquid?.brix ? String(liquid.brix) : ''"
        :wrong="'liquid.brix' in problems"
        @typing="s.typing = true"
        @update:model-value="s.putLiquid({ brix: $event ? number($event) : 0 })"
      />
      °Brix)
    </template>
    <template v-if="made">
      made with
      <SentenceListbox
        label="Sweetener"
        field="sweetener"
        :options="catalogue.sweeteners"
        :model-value="liquid?.sweetener || 'sugar'"
        @update:model-value="s.putLiquid({ sweetener: $event })"
      />
    </template>
    <template v-if="s.product?.cores && (made || kind === 'water')">
      and
      <SentenceListbox
        label="Cores"
        field="cores"
        :options="coresOptions"
        :model-value="liquid?.cores ? 'yes' : 'no'"
        @update:model-value="s.putLiquid({ cores: $event === 'yes' })"
      />
    </template>
  </template>
  <template v-if="s.product?.juice">
    <span class="comma">,</span> to drink with
    <SentenceListbox
      label="Water in the glass"
      field="dilute"
      :options="catalogue.dilutions"
      :model-value="String(s.request.dilute ?? 0)"
      @update:model-value="s.put({ dilute: Number($event) })"
    />
  </template>
</template>

<style scoped>
.comma {
  position: relative;
  margin-left: -0.18em;
}
</style>
