import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import type { Ref } from 'vue'
import { answered, api, type Problem, type Request, type Schemas } from './client'

export type Stock = Schemas['StockBody']
export type Spread = Schemas['SpreadBody']

export function useStock() {
  return useQuery({ queryKey: ['stock'], queryFn: () => answered(api.GET('/api/stock')) })
}

export function useSetStock() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (stock: Stock) => answered(api.PUT('/api/stock', { body: stock })),
    onSuccess: (stock) => {
      queries.setQueryData(['stock'], stock)
      void queries.invalidateQueries({ queryKey: ['plan'] })
    },
  })
}

/** The fruit of the sentence put into the jars at hand. */
export function useSpread(request: Ref<Request>, sizes: Ref<number>) {
  return useQuery<Spread, Problem>({
    queryKey: ['spread', request, sizes],
    queryFn: ({ signal }) =>
      answered(api.POST('/api/spread', { body: { request: request.value, sizes: sizes.value }, signal })),
    placeholderData: (last) => last,
    retry: false,
  })
}
