import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, type Ref } from 'vue'
import { answered, api, type Schemas } from './client'

export type Day = Schemas['DayBody']
export type DayFields = Schemas['DayFields']
export type Step = Schemas['DayStepBody']
export type Lane = Schemas['DayLaneBody']
export type DayBatch = Schemas['DayBatchBody']
type Part = '' | 'juice' | 'jars'

/** How often a day that runs is looked at, in milliseconds. */
const often = 4_000

/** A canning day as it stands; while it runs it is looked at again and again. */
export function useDay(date: Ref<string>) {
  return useQuery({
    queryKey: ['day', date],
    queryFn: () => answered(api.GET('/api/days/{date}', { params: { path: { date: date.value } } })),
    refetchInterval: (q) => (q.state.data && q.state.data.now >= 0 ? often : 60_000),
    placeholderData: (before) => before,
  })
}

/** What can be done with a day; each answers with the day as it is then. */
export function useDayChanges(date: Ref<string>) {
  const queries = useQueryClient()
  const at = computed(() => ({ date: date.value }))
  const onSuccess = (day: Day) => {
    // The same day may be shown as today and by its date.
    queries.setQueryData(['day', date.value], day)
    queries.setQueriesData<Day>({ queryKey: ['day'] }, (old) => (old?.date === day.date ? day : old))
    void queries.invalidateQueries({ queryKey: ['season'] })
    void queries.invalidateQueries({ queryKey: ['day'], refetchType: 'none' })
  }
  const change = <T>(mutationFn: (what: T) => Promise<Day>) => useMutation({ mutationFn, onSuccess })
  return {
    set: change((body: DayFields) =>
      answered(api.PUT('/api/days/{date}', { params: { path: at.value }, body })),
    ),
    add: change((batch: string) =>
      answered(api.POST('/api/days/{date}/batches', { params: { path: at.value }, body: { batch } })),
    ),
    setBatch: change(({ batch, ...body }: { batch: string; part: Part; from: string; by: string }) =>
      answered(
        api.PUT('/api/days/{date}/batches/{batch}', { params: { path: { ...at.value, batch } }, body }),
      ),
    ),
    move: change(({ batch, ...body }: { batch: string; part: Part; to: string; load?: number }) =>
      answered(
        api.POST('/api/days/{date}/batches/{batch}/move', { params: { path: { ...at.value, batch } }, body }),
      ),
    ),
    lock: change((body: { step: string; at: string }) =>
      answered(api.POST('/api/days/{date}/locks', { params: { path: at.value }, body })),
    ),
    tell: change((body: { step: string; kind: 'begun' | 'done' | 'back'; next?: string }) =>
      answered(api.POST('/api/days/{date}/steps', { params: { path: at.value }, body })),
    ),
    order: change(() => answered(api.POST('/api/days/{date}/order', { params: { path: at.value } }))),
  }
}

/** Puts a load of a batch on the hob, in the canner that the day says. */
export const fillLoad = (batch: string, load: number, canner: string) =>
  answered(api.POST('/api/stove/loads', { body: { batch, load, canner } }))

/** How long steps take where no record says so. */
export function useStepMinutes() {
  return useQuery({ queryKey: ['step-minutes'], queryFn: () => answered(api.GET('/api/step-minutes')) })
}

export function useSetMinutes() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ step, minutes }: { step: string; minutes: number }) =>
      answered(api.PUT('/api/step-minutes/{step}', { params: { path: { step } }, body: { minutes } })),
    onSuccess: (all) => {
      queries.setQueryData(['step-minutes'], all)
      void queries.invalidateQueries({ queryKey: ['day'] })
    },
  })
}
