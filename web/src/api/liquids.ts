import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import type { Ref } from 'vue'
import { answered, api, type Problem, type Request, type Schemas } from './client'

export type LiquidChoice = Schemas['ChoiceOfLiquid']
export type Liquids = Schemas['LiquidsBody']
export type Prices = Schemas['PricesBody']
export type Adjust = Schemas['AdjustBody']
export type Adjusted = Schemas['AdjustedBody']

/** Every liquid of the sentence's fruit, side by side. */
export function useLiquids(request: Ref<Request>, fruitBrix: Ref<number>) {
  return useQuery<Liquids, Problem>({
    queryKey: ['liquids', request, fruitBrix],
    queryFn: ({ signal }) =>
      answered(
        api.POST('/api/liquids', { body: { request: request.value, fruitBrix: fruitBrix.value }, signal }),
      ),
    placeholderData: (last) => last,
    retry: false,
  })
}

export function usePrices() {
  return useQuery({ queryKey: ['prices'], queryFn: () => answered(api.GET('/api/prices')) })
}

export function useSetPrices() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (prices: Prices) => answered(api.PUT('/api/prices', { body: prices })),
    onSuccess: (prices) => {
      queries.setQueryData(['prices'], prices)
      for (const key of ['liquids', 'plan']) void queries.invalidateQueries({ queryKey: [key] })
    },
  })
}

export const adjust = (body: Adjust) => answered(api.POST('/api/syrup/adjust', { body }))
