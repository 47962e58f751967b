import { computed, reactive, ref, toRaw, watch, type Ref } from 'vue'
import type { Catalogue, Liquid, Plan, Product, Request } from '@/api/client'
import type { OwnSource } from '@/api/sources'

/** Until the kitchen has said how a batch starts. */
const unsaid: Request = { product: 'peaches', pack: 'hot', jar: 'quart', amount: '7 jars' }

/** Liquids whose figures stand in the sentence after them. */
const openNames: Record<string, string> = {
  ratio: 'a syrup of parts',
  gallon: 'a syrup by the gallon',
  brix: 'a syrup of exact °Brix',
  'in-jar': 'hot water over sugar,',
  'per-quart': 'sugar,',
}

/** The sentence that a cook edits, and what it may say next. */
export function useSentence(
  catalogue: Ref<Catalogue | undefined>,
  plan: Ref<Plan | undefined>,
  first: Ref<Request | undefined>,
  sources: Ref<OwnSource[] | null | undefined>,
) {
  const request = ref<Request>(unsaid)
  const begun = ref(false)
  const typing = ref(false)
  /** Varieties are to be blended, though none is typed yet. */
  const blending = ref(false)
  const product = computed<Product | undefined>(() =>
    request.value.source ? undefined : catalogue.value?.products.find((p) => p.id === request.value.product),
  )

  /** What is poured over goes by the fruit, by whatever source it is canned. */
  const poured = computed(() => {
    const own = sources.value?.find((s) => s.id === request.value.source)
    return own ? catalogue.value?.products.find((p) => p.id === own.product) : product.value
  })

  /** Starts a new sentence, as the kitchen starts one. */
  function restart() {
    if (first.value) put(structuredClone(toRaw(first.value)), true)
  }
  watch(first, () => !begun.value && restart(), { immediate: true })

  function put(change: Partial<Request>, whole = false) {
    typing.value = false
    begun.value = true
    if (whole) request.value = unsaid
    request.value = { ...request.value, ...change }
  }

  /** An own source says what it is and how it is packed. */
  function putSource(id: string, name: string) {
    put({ source: id, product: name, kind: '', blend: '', form: '', thickener: '', acid: '' })
  }

  /** A kind, form or thickener belongs to its product, so a new product starts with its own. */
  function putProduct(id: string) {
    const next = catalogue.value?.products.find((p) => p.id === id)
    const kept = next?.kinds.some((k) => k.id === request.value.kind) ? request.value.kind : next?.kind
    put({ source: '', product: id, kind: kept ?? '', blend: '', form: '', thickener: '', acid: '' })
  }

  function putLiquid(change: Partial<Liquid>) {
    put({ liquid: { ...request.value.liquid, ...change } })
  }

  /** The liquid as an option's id: a named strength by its name, all else by its kind. */
  const liquidID = (l: Liquid | undefined) => (l?.kind === 'syrup' ? `syrup ${l.strength}` : (l?.kind ?? ''))
  const liquids = computed(
    () =>
      poured.value?.liquids.map(({ name, liquid }) => ({
        id: liquidID(liquid),
        name: openNames[liquid.kind ?? ''] ?? name,
        liquid,
      })) ?? [],
  )
  function putLiquidID(id: string) {
    const found = liquids.value.find((l) => l.id === id)
    if (found) put({ liquid: { ...found.liquid, sweetener: request.value.liquid?.sweetener ?? 'sugar' } })
  }

  /** What the plan filled in, for words that were left unsaid. */
  const filled = computed(() =>
    plan.value?.request.product === request.value.product &&
    (plan.value.request.source ?? '') === (request.value.source ?? '')
      ? plan.value.request
      : request.value,
  )
  const liquid = computed(() => {
    const asked = request.value.liquid
    return liquids.value.some((l) => l.liquid.kind === asked?.kind) ? asked : filled.value.liquid
  })

  return reactive({
    request,
    begun,
    restart,
    typing,
    blending,
    product,
    filled,
    liquid,
    liquids,
    liquidID,
    put,
    putProduct,
    putSource,
    putLiquid,
    putLiquidID,
  })
}

export type Sentence = ReturnType<typeof useSentence>
