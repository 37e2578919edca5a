import { useToast } from 'primevue/usetoast'
import { ApiProblem } from '~/logic/api'

/** Does what asks the server, and tells the cook what the server refused. */
export function useTold() {
  const toast = useToast()
  return async (act: () => Promise<unknown>): Promise<void> => {
    try {
      await act()
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      toast.add({ severity: 'warn', summary: error.problem.title, detail: error.problem.detail, life: 4000 })
    }
  }
}
