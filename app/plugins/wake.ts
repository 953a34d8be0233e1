import { wake } from '~/kitchen/core'

/** The core is read in beside everything else that opening a kitchen takes: started last, it would be waited for. */
export default defineNuxtPlugin({ name: 'wake', enforce: 'pre', parallel: true, setup: () => wake() })
