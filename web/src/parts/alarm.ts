import { useIntervalFn, useLocalStorage } from '@vueuse/core'
import { onScopeDispose, watch, type Ref } from 'vue'

/** Whether alarms sound on this device. */
export const soundOn = useLocalStorage('mellisca.sound', true)

let audio: AudioContext | undefined

/** Three rising tones, and a shake where the device can. */
export function ring() {
  navigator.vibrate?.([300, 150, 300, 150, 300])
  audio ??= new AudioContext()
  void audio.resume()
  const from = audio.currentTime
  for (const [i, hertz] of [660, 880, 1175].entries()) {
    const tone = audio.createOscillator()
    const loud = audio.createGain()
    tone.frequency.value = hertz
    tone.type = 'triangle'
    loud.gain.setValueAtTime(0.0001, from + i * 0.28)
    loud.gain.exponentialRampToValueAtTime(0.6, from + i * 0.28 + 0.03)
    loud.gain.exponentialRampToValueAtTime(0.0001, from + i * 0.28 + 0.26)
    tone.connect(loud).connect(audio.destination)
    tone.start(from + i * 0.28)
    tone.stop(from + i * 0.28 + 0.28)
  }
}

/** Rings every few seconds while something does, and says so in the page's title. */
export function useAlarm(text: Ref<string>) {
  let title = ''
  let turn = false
  const { pause, resume } = useIntervalFn(
    () => {
      turn = !turn
      document.title = turn ? `! ${text.value}` : title
      if (turn && soundOn.value) ring()
    },
    1600,
    { immediate: false, immediateCallback: true },
  )
  const quiet = () => {
    pause()
    if (title) document.title = title
    title = ''
  }
  watch(
    () => !!text.value,
    (rings) => {
      if (!rings) return quiet()
      title = document.title
      turn = false
      resume()
    },
    { immediate: true },
  )
  onScopeDispose(quiet)
}
