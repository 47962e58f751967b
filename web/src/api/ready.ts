import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import type { Ref } from 'vue'
import { answered, api, type Problem, type Schemas } from './client'

/** What to have ready for saved batches, named by their ids joined by commas. */
export function useReady(batches: Ref<string>) {
  return useQuery<Schemas['ReadyBody'], Problem>({
    queryKey: ['ready', batches],
    queryFn: () =>
      answered(api.GET('/api/ready', { params: { query: { batches: batches.value } } }), 'query.'),
    enabled: () => batches.value !== '',
    retry: false,
  })
}

export function useTick(batches: Ref<string>) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ item, ticked }: { item: string; ticked: boolean }) =>
      answered(api.POST('/api/ready/ticks', { body: { batches: batches.value, item, ticked } })),
    onSuccess: (list) => queries.setQueryData(['ready', batches.value], list),
  })
}
