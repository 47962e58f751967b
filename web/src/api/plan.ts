import { useQuery } from '@tanstack/vue-query'
import type { Ref } from 'vue'
import { answered, api, type Plan, type Problem, type Request } from './client'

/** What the sentence may say; it does not change while the program runs. */
export function useCatalogue() {
  return useQuery({
    queryKey: ['catalogue'],
    queryFn: () => answered(api.GET('/api/catalogue')),
    staleTime: Infinity,
  })
}

/** The sentence that a new batch starts from, by the kitchen's schools and jars, or from a lot. */
export function useFirst(product: string | undefined, lot: string | undefined) {
  return useQuery({
    queryKey: ['first', product ?? '', lot ?? ''],
    queryFn: () => answered(api.GET('/api/first', { params: { query: { product, lot } } })),
  })
}

/**
 * The plan for a sentence. The last plan stays in sight while the next is on its way, and goes as soon as
 * the sentence is not understood: a time never stands under a sentence that it was not made for.
 */
export function usePlan(request: Ref<Request>, begun: Ref<boolean>) {
  return useQuery<Plan, Problem>({
    queryKey: ['plan', request],
    queryFn: ({ signal }) => answered(api.POST('/api/plan', { body: request.value, signal })),
    placeholderData: (last) => last,
    enabled: begun,
    retry: false,
    gcTime: 60_000,
  })
}
