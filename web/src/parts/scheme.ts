import { useLocalStorage, usePreferredDark } from '@vueuse/core'
import { watchEffect } from 'vue'

export type Scheme = 'light' | 'dim' | 'device'

/** The scheme of colours; kept on this device. */
export const scheme = useLocalStorage<Scheme>('mellisca.scheme', 'light')

/** Puts the scheme on the page. */
export function useScheme() {
  const dark = usePreferredDark()
  watchEffect(() => {
    const dim = scheme.value === 'dim' || (scheme.value === 'device' && dark.value)
    document.documentElement.dataset.scheme = dim ? 'dim' : 'light'
  })
}
