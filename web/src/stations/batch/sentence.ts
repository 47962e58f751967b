import { computed, reactive, ref, type Ref } from 'vue'
import type { Catalogue, Liquid, Plan, Product, Request } from '@/api/client'

const first: Request = {
  product: 'peaches',
  kind: 'freestone',
  form: 'halves',
  pack: 'hot',
  jar: 'quart',
  method: 'boiling-water',
  amount: '12 lb',
  liquid: { kind: 'syrup', strength: 'light', sweetener: 'sugar' },
}

/** The sentence that a cook edits, and what it may say next. */
export function useSentence(catalogue: Ref<Catalogue | undefined>, plan: Ref<Plan | undefined>) {
  const request = ref<Request>(structuredClone(first))
  const typing = ref(false)
  const product = computed<Product | undefined>(() =>
    request.value.source ? undefined : catalogue.value?.products.find((p) => p.id === request.value.product),
  )

  function put(change: Partial<Request>) {
    typing.value = false
    request.value = { ...request.value, ...change }
  }

  /** An own source says what it is and how it is packed. */
  function putSource(id: string, name: string) {
    put({ source: id, product: name, kind: '', form: '', thickener: '', acid: '' })
  }

  /** A kind, form or thickener belongs to its product, so a new product starts with its own. */
  function putProduct(id: string) {
    const next = catalogue.value?.products.find((p) => p.id === id)
    const kept = next?.kinds.some((k) => k.id === request.value.kind) ? request.value.kind : next?.kind
    put({ source: '', product: id, kind: kept ?? '', form: '', thickener: '', acid: '' })
  }

  function putLiquid(change: Partial<Liquid>) {
    put({ liquid: { ...request.value.liquid, ...change } })
  }

  /** The liquid as an option's id: a named strength by its name, all else by its kind. */
  const liquidID = (l: Liquid | undefined) => (l?.kind === 'syrup' ? `syrup ${l.strength}` : (l?.kind ?? ''))
  const liquids = computed(
    () =>
      product.value?.liquids.map(({ name, liquid }) => ({
        id: liquidID(liquid),
        name:
          liquid.kind === 'ratio'
            ? 'a syrup of water and sugar parts'
            : liquid.kind === 'brix'
              ? 'a syrup of exact °Brix'
              : name,
        liquid,
      })) ?? [],
  )
  function putLiquidID(id: string) {
    const found = liquids.value.find((l) => l.id === id)
    if (found) put({ liquid: { ...found.liquid, sweetener: request.value.liquid?.sweetener ?? 'sugar' } })
  }

  /** What the plan filled in, for words that were left unsaid. */
  const filled = computed(() =>
    plan.value?.request.product === request.value.product ? plan.value.request : request.value,
  )
  const liquid = computed(() => {
    const asked = request.value.liquid
    return liquids.value.some((l) => l.liquid.kind === asked?.kind) ? asked : filled.value.liquid
  })

  return reactive({
    request,
    typing,
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
