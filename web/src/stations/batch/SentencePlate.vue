<script setup lang="ts">
import { ExclamationTriangleIcon } from '@heroicons/vue/24/outline'
import { computed } from 'vue'
import type { Catalogue, Kitchen } from '@/api/client'
import type { OwnSource } from '@/api/sources'
import SentenceField from '@/parts/SentenceField.vue'
import SentenceListbox from '@/parts/SentenceListbox.vue'
import SentenceManyBox from '@/parts/SentenceManyBox.vue'
import ConditionsLine from './ConditionsLine.vue'
import JarWords from './JarWords.vue'
import LiquidWords from './LiquidWords.vue'
import LotWords from './LotWords.vue'
import ProductBox from './ProductBox.vue'
import type { Sentence } from './sentence'

const props = defineProps<{
  sentence: Sentence
  catalogue: Catalogue
  kitchen?: Kitchen
  problems: Record<string, string>
  sources: OwnSource[]
  plannedIn: string
  plannedJars: string
}>()

const s = computed(() => props.sentence)
const needsAcid = computed(
  () =>
    s.value.product?.needsAcid ??
    props.sources.find((o) => o.id === s.value.request.source)?.needsAcid ??
    false,
)
</script>

<template>
  <section class="plate sentence" aria-label="The batch">
    <p>
      I pack
      <SentenceField
        label="How much fruit, or how many jars"
        field="amount"
        :model-value="s.request.amount"
        :wrong="'amount' in problems"
        @typing="s.typing = true"
        @update:model-value="s.put({ amount: $event })"
      />
      of
      <SentenceListbox
        v-if="s.product?.kinds.length"
        label="Kind"
        field="kind"
        unsaid="which fruit?"
        :options="s.product.kinds"
        :model-value="s.request.kind ?? ''"
        @update:model-value="s.put({ kind: $event })"
      />
      {{ ' ' }}
      <ProductBox
        :products="catalogue.products"
        :sources="sources"
        :model-value="s.request.source ? `own:${s.request.source}` : s.request.product"
        :wrong="'product' in problems"
        @source="(id, name) => s.putSource(id, name)"
        @update:model-value="s.putProduct($event)"
      />
      <template v-if="s.request.varieties || s.blending">
        from
        <SentenceField
          label="Varieties by their parts"
          field="varieties"
          unsaid="2 of one, 1 of another"
          :model-value="s.request.varieties ?? ''"
          :wrong="'varieties' in problems"
          @typing="s.typing = true"
          @update:model-value="s.put({ varieties: $event })"
        />
      </template>
      <template v-if="s.product?.blends.length">
        with
        <SentenceManyBox
          label="Blended with"
          field="blend"
          none="no other fruit"
          note="refused"
          :options="s.product.blends"
          :model-value="s.request.blend ?? ''"
          @update:model-value="s.put({ blend: $event })"
        />
      </template>
      <template v-if="s.product?.forms.length">
        {{ ' ' }}
        <SentenceListbox
          label="Cut"
          field="form"
          :options="s.product.forms"
          :model-value="s.filled.form ?? ''"
          @update:model-value="s.put({ form: $event })"
        />
      </template>
      <template v-if="!s.request.source">
        <span class="comma">,</span> packed
        <SentenceListbox
          label="Pack"
          field="pack"
          :options="
            s.product?.packs.map((p) => ({ ...p, tested: s.product?.tested ? p.tested : undefined })) ?? []
          "
          :model-value="s.request.pack"
          @update:model-value="s.put({ pack: $event })"
        />
      </template>
      <template v-if="s.product?.thickeners.length">
        with
        <SentenceListbox
          label="Thickener"
          field="thickener"
          :options="s.product.thickeners"
          :model-value="s.filled.thickener ?? ''"
          @update:model-value="s.put({ thickener: $event })"
        />
      </template>
      <LotWords :sentence="sentence" />
      {{ ' ' }}<LiquidWords :sentence="sentence" :catalogue="catalogue" :problems="problems" />
      <JarWords
        :sentence="sentence"
        :catalogue="catalogue"
        :kitchen="kitchen"
        :problems="problems"
        :planned-in="plannedIn"
        :planned-jars="plannedJars"
      />
      at
      <SentenceField
        label="Altitude"
        field="altitude"
        :model-value="s.request.altitude || kitchen?.altitude || ''"
        :wrong="'altitude' in problems || !(s.request.altitude || kitchen?.altitude)"
        @typing="s.typing = true"
        @update:model-value="s.put({ altitude: $event === kitchen?.altitude ? '' : $event })"
      />.
    </p>
    <ConditionsLine :sentence="sentence" :catalogue="catalogue" :needs-acid="needsAcid" />
    <div v-if="Object.keys(problems).length" role="alert">
      <ul class="problems">
        <li v-for="(text, field) in problems" :key="field" :data-problem="field">
          <ExclamationTriangleIcon class="icon" />{{ text }}
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
.sentence {
  padding: 10px 20px 12px;
}
p {
  margin: 0;
  font-size: 1.42rem;
  line-height: 2.25;
}
.comma {
  position: relative;
  margin-left: -0.18em;
}
.problems {
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
  color: var(--color-stop);
}
.problems li {
  display: flex;
  gap: 8px;
}
.icon {
  width: 24px;
  flex: none;
}
@media (max-width: 640px) {
  p {
    font-size: 1.12rem;
    line-height: 2.95;
  }
  .sentence {
    padding: 6px 12px 10px;
  }
}
</style>
