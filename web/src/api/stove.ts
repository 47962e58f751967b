import { useQuery } from '@tanstack/vue-query'
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { onScopeDispose, ref, shallowRef } from 'vue'
import { answered, api, Problem, type Schemas } from './client'

export type Stove = Schemas['StoveBody']
export type LoadNow = Schemas['LoadNowBody']
export type Tell = Omit<Schemas['TellFields'], 'after'>

/** How long without a word until the page says so, in milliseconds. */
const silence = 5000

/** Puts the next load of a saved batch on the hob; throws a Problem that says why not. */
export const ontoHob = (batch: string) => answered(api.POST('/api/stove/loads', { body: { batch } }))

/** What the stove remembers of a batch, for closing it. */
export function useRan(id: string) {
  return useQuery({
    queryKey: ['ran', id],
    queryFn: () => answered(api.GET('/api/batches/{id}/ran', { params: { path: { id } } })),
    staleTime: 0,
  })
}

/** What kitchen scales read, looked at every few seconds. */
export function useScales() {
  return useQuery({
    queryKey: ['scales'],
    queryFn: () => answered(api.GET('/api/scales')),
    refetchInterval: 4000,
  })
}

/**
 * The hob as the server tells it, live: in practice or in the kitchen. The page holds no
 * clock of its own; what it shows is what was told last.
 */
export function useStove(practice: boolean) {
  const path = practice ? '/api/practice' : '/api/stove'
  const stove = shallowRef<Stove>()
  const silent = ref(false)
  const problem = ref('')
  let source: EventSource | undefined
  let heard = Date.now()

  function take(next: Stove) {
    stove.value = next
    heard = Date.now()
    silent.value = false
  }
  function listen() {
    source?.close()
    source = new EventSource(`${path}/events`)
    source.addEventListener('now', (e: MessageEvent<string>) => take(JSON.parse(e.data) as Stove))
  }
  async function look() {
    const seen = await answered(practice ? api.GET('/api/practice') : api.GET('/api/stove')).catch(
      () => undefined,
    )
    if (seen) take(seen)
  }
  void look()
  listen()
  useIntervalFn(() => {
    silent.value = Date.now() - heard > silence
    if (source?.readyState === EventSource.CLOSED && !silent.value) listen()
    else if (silent.value) {
      heard = Date.now() - silence + 1500 // tried again soon
      void look()
      listen()
    }
  }, 1000)
  useEventListener(document, 'visibilitychange', () => document.hidden || void look())
  onScopeDispose(() => source?.close())

  /** Does what may be refused, and shows why it was. */
  async function trying(does: Promise<Stove>) {
    problem.value = ''
    try {
      take(await does)
      return true
    } catch (e) {
      problem.value =
        e instanceof Problem ? Object.values(e.fields).join(' ') || e.message : 'That did not work.'
      return false
    }
  }
  const at = (id: string) => ({ params: { path: { id } } })
  const tell = (load: LoadNow, what: Tell) => {
    const body = { ...what, after: load.seq }
    return trying(
      answered(
        practice
          ? api.POST('/api/practice/loads/{id}/tell', { ...at(load.id), body })
          : api.POST('/api/stove/loads/{id}/tell', { ...at(load.id), body }),
      ),
    )
  }
  const open = (batch: string) => trying(ontoHob(batch))
  const startPractice = async (times: number) => {
    const begun = await trying(answered(api.POST('/api/practice', { body: { times } })))
    listen()
    return begun
  }
  const startClock = (body: { kind: string; name?: string; minutes?: number }) =>
    trying(
      answered(
        practice ? api.POST('/api/practice/clocks', { body }) : api.POST('/api/stove/clocks', { body }),
      ),
    )
  const heardClock = (id: string) =>
    trying(
      answered(
        practice
          ? api.POST('/api/practice/clocks/{id}/heard', at(id))
          : api.POST('/api/stove/clocks/{id}/heard', at(id)),
      ),
    )
  const stopClock = (id: string) =>
    trying(
      answered(
        practice
          ? api.POST('/api/practice/clocks/{id}/stopped', at(id))
          : api.POST('/api/stove/clocks/{id}/stopped', at(id)),
      ),
    )
  /** Hears an alarm: of a load, or of a clock. */
  function hear(alarm: Stove['alarms'][number]) {
    const load = stove.value?.loads.find((l) => l.id === alarm.load)
    return load
      ? tell(load, { kind: 'silenced', what: alarm.id })
      : heardClock(alarm.id.replace('clock ', ''))
  }
  return { stove, silent, problem, tell, open, startPractice, startClock, stopClock, hear }
}

export type Hob = ReturnType<typeof useStove>
