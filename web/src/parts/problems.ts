import { ref } from 'vue'
import { Problem } from '@/api/client'

/** What was wrong with a form, by field; under all what belongs to none. */
export function useProblems() {
  const problems = ref<Record<string, string>>({})

  /** Does it, and says whether it was understood. What was typed stays as it is. */
  async function trying(act: () => Promise<unknown>): Promise<boolean> {
    problems.value = {}
    try {
      await act()
      return true
    } catch (e) {
      const named = e instanceof Problem && Object.keys(e.fields).length > 0
      problems.value = named ? e.fields : { all: e instanceof Error ? e.message : String(e) }
      return false
    }
  }

  return { problems, trying }
}
