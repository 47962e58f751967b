import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { answered, api, type Schemas } from './client'

export type Season = Schemas['SeasonPlanBody']
export type WeekTime = Schemas['WeekTimeBody']
export type AheadDay = Schemas['AheadDayBody']

/** Lots over the evenings and weekends that there are. */
export function useSeason() {
  return useQuery({ queryKey: ['season'], queryFn: () => answered(api.GET('/api/season')), staleTime: 0 })
}

export function useSeasonChanges() {
  const queries = useQueryClient()
  const onSuccess = (all: Season) => queries.setQueryData(['season'], all)
  const setWeek = useMutation({
    mutationFn: (week: WeekTime[]) => answered(api.PUT('/api/season/week', { body: { week } })),
    onSuccess,
  })
  const setDay = useMutation({
    mutationFn: ({ date, ...body }: { date: string; from: string; to: string; usual?: boolean }) =>
      answered(api.PUT('/api/season/days/{date}', { params: { path: { date } }, body })),
    onSuccess,
  })
  const plan = useMutation({
    mutationFn: (body: { lot: string; date: string; loads: number; all: boolean }) =>
      answered(api.POST('/api/season/plan', { body })),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['season'] })
      void queries.invalidateQueries({ queryKey: ['day'] })
      void queries.invalidateQueries({ queryKey: ['batches'] })
    },
  })
  return { setWeek, setDay, plan }
}
