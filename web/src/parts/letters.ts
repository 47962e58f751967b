import { useEventListener, useLocalStorage } from '@vueuse/core'
import { useRouter } from 'vue-router'
import { stations } from '@/stations/stations'

/** Whether single letters go to stations; kept on this device. */
export const lettersOn = useLocalStorage('mellisca.letters', true)

function typing(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) ||
      target.getAttribute('role') === 'option' ||
      target.getAttribute('role') === 'listbox')
  )
}

/** Goes to a station on its letter, and shows the keys on "?". */
export function useLetters(showKeys: () => void) {
  const router = useRouter()
  useEventListener(document, 'keydown', (e: KeyboardEvent) => {
    if (!lettersOn.value || e.ctrlKey || e.metaKey || e.altKey || typing(e.target)) return
    if (e.key === '?') return showKeys()
    const station = stations.find((s) => s.letter === e.key)
    if (station) {
      e.preventDefault()
      void router.push({ name: station.name })
    }
  })
}
