import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { answered, api } from './client'

export function useTables() {
  return useQuery({ queryKey: ['tables'], queryFn: () => answered(api.GET('/api/tables')) })
}

/** Ticks a part as held against the printed guide, or takes that back. */
export function useTableCheck() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ part, checked }: { part: string; checked: boolean }) =>
      answered(
        checked
          ? api.POST('/api/tables/checks', { body: { part } })
          : api.POST('/api/tables/checks/undo', { body: { part } }),
      ),
    onSuccess: (tables) => queries.setQueryData(['tables'], tables),
  })
}
