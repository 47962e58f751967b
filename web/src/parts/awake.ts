import { useWakeLock } from '@vueuse/core'
import { computed, watch, type Ref } from 'vue'

/** Keeps the screen awake while something is wanted of it, and says where it cannot. */
export function useAwake(wanted: Ref<boolean>) {
  const lock = useWakeLock()
  watch(
    wanted,
    (on) => {
      if (on) void lock.request('screen').catch(() => undefined)
      else void lock.release()
    },
    { immediate: true },
  )
  return computed(() => {
    if (!wanted.value) return ''
    if (lock.isActive.value) return 'The screen stays on.'
    return 'This browser does not keep the screen on: set the device so that it does not sleep.'
  })
}
