import { ref } from 'vue'
import { CoreRefusal } from '~/kitchen/core'
import { useShelf } from '~/stores/shelf'

const problem = ref('')
const reading = ref(false)

/** Brings text or files to the shelf and opens the bench on what was read. */
export function useBringing() {
  const shelf = useShelf()
  const router = useRouter()

  async function guarded(work: () => Promise<string | undefined>): Promise<boolean> {
    problem.value = ''
    reading.value = true
    try {
      const id = await work()
      if (id) await router.push(`/bench/${id}`)
      return true
    } catch (error) {
      problem.value =
        error instanceof CoreRefusal || error instanceof Error ? error.message : 'This could not be read. Nothing was changed.'
      return false
    } finally {
      reading.value = false
    }
  }

  const bringText = (text: string) => guarded(async () => (await shelf.bring(text)).id)
  const bringFiles = (files: File[]) =>
    guarded(async () => {
      let last: string | undefined
      for (const file of files.slice(0, 50)) last = (await shelf.bringFile(file)).id
      return last
    })

  return { problem, reading, bringText, bringFiles }
}
