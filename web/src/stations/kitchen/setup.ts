import { computed, reactive, ref, toRefs, watch } from 'vue'
import { useKitchen, useSetKitchen } from '@/api/kitchen'
import { useProblems } from '@/parts/problems'

/** The kitchen's set-up while it is being changed. */
export function useSetup() {
  const { data: kitchen } = useKitchen()
  const set = useSetKitchen()
  const now = reactive({ name: '', altitude: '', units: 'us' as 'us' | 'metric', jars: [] as string[] })
  const said = ref('')
  const { problems, trying } = useProblems()

  function show() {
    if (!kitchen.value) return
    const { name, altitude, units, jars } = kitchen.value
    Object.assign(now, { name, altitude, units, jars: [...(jars ?? [])] })
  }
  let filled = false
  watch(
    kitchen,
    (k) => {
      if (!k || filled) return
      filled = true
      show()
    },
    { immediate: true },
  )

  const changed = computed(() => {
    const k = kitchen.value
    if (!k) return false
    const jars = [...now.jars].sort().join() !== [...(k.jars ?? [])].sort().join()
    return jars || now.name !== k.name || now.altitude !== k.altitude || now.units !== k.units
  })

  /** Keeps it; false where something was not understood. */
  async function save(): Promise<boolean> {
    if (!kitchen.value) return false
    said.value = ''
    const version = kitchen.value.version
    return trying(async () => {
      await set.mutateAsync({ ...now, jars: [...now.jars], version })
      show()
      said.value = 'Saved.'
    })
  }

  return { kitchen, ...toRefs(now), said, problems, changed, save }
}
