import { ref } from 'vue'
import { CoreRefusal } from '~/kitchen/core'
import type { Version } from '~/kitchen/database'
import { useShelf } from '~/stores/shelf'

const problem = ref('')
const reading = ref(false)
/** How many recipes came last, where there were several. */
const arrived = ref(0)

/** Files taken at once. */
const MOST_FILES = 200

/** Brings text or files to the shelf and opens the bench on what was read. */
export function useBringing() {
  const shelf = useShelf()
  const router = useRouter()

  async function guarded(work: () => Promise<string | undefined>): Promise<boolean> {
    problem.value = ''
    arrived.value = 0
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

  /** One recipe opens the bench; many go to the shelf, where they are seen. */
  const shown = (brought: Version[]): string | undefined => {
    if (brought.length > 1) arrived.value = brought.length
    return brought.length === 1 ? brought[0]!.id : undefined
  }
  const bringText = (text: string) => guarded(async () => shown(await shelf.bring(text)))
  /** Files one by one: what one cannot give takes nothing from the others. */
  const bringFiles = (files: File[]) =>
    guarded(async () => {
      const brought: Version[] = []
      const troubles: string[] = []
      for (const file of files.slice(0, MOST_FILES)) {
        try {
          brought.push(...(await shelf.bringFile(file)))
        } catch (error) {
          troubles.push(files.length > 1 ? `${file.name}: ${(error as Error).message}` : (error as Error).message)
        }
      }
      if (files.length > MOST_FILES) troubles.push(`${files.length - MOST_FILES} files were left: ${MOST_FILES} are taken at once.`)
      if (troubles.length) problem.value = `${brought.length ? `${brought.length} recipes were taken. ` : ''}${troubles.join(' ')}`
      return troubles.length && brought.length < 2 ? undefined : shown(brought)
    })

  return { problem, arrived, reading, bringText, bringFiles }
}
