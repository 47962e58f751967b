import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { answered, api, type Kitchen } from './client'

export function useKitchen() {
  return useQuery({ queryKey: ['kitchen'], queryFn: () => answered(api.GET('/api/kitchen')) })
}

export function useSetKitchen() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (k: Pick<Kitchen, 'name' | 'altitude' | 'units' | 'jars' | 'version'>) =>
      answered(api.PUT('/api/kitchen', { body: k as Kitchen })),
    onSuccess: (k) => {
      queries.setQueryData(['kitchen'], k)
      void queries.invalidateQueries({ queryKey: ['plan'] })
      void queries.invalidateQueries({ queryKey: ['batches'] })
      void queries.invalidateQueries({ queryKey: ['first'] })
    },
  })
}
