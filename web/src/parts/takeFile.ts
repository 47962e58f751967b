import { ref } from 'vue'
import { Problem } from '@/api/client'

/** A file that a cook hands over: what came of it, or why nothing was taken. */
export function useTakeFile(take: (text: string) => Promise<string>) {
  const said = ref('')
  const problem = ref('')

  async function read(e: Event) {
    const input = e.target as HTMLInputElement
    const file = input.files?.[0]
    if (!file) return
    said.value = problem.value = ''
    try {
      said.value = await take(await file.text())
    } catch (e) {
      problem.value = e instanceof Problem ? Object.values(e.fields)[0] || e.message : String(e)
    }
    input.value = ''
  }

  return { said, problem, read }
}
