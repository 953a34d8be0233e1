<script setup lang="ts">
import { Refusal } from '../../core/refusal'
import type { Restore } from '~/kitchen/backup'
import type { Conflict } from '~/kitchen/conflicts'
import { useDevice } from '~/stores/device'
import { useKitchen } from '~/stores/kitchen'

/** The whole kitchen in one file, and back; how much room it takes, and whether the browser promises to keep it. */
const used = ref<number | null>(null)
const kept = ref<boolean | null>(null)
const said = ref('')
const problem = ref('')
const working = ref(false)
const found = shallowRef<Restore | null>(null)
const conflicts = shallowRef<Conflict[]>([])
/** Which of them are taken from the backup. */
const taken = ref(new Set<string>())
const device = useDevice()
const kitchen = useKitchen()
async function measure() {
  const estimate = await navigator.storage?.estimate?.().catch(() => null)
  used.value = estimate?.usage ?? null
  kept.value = (await navigator.storage?.persisted?.().catch(() => null)) ?? null
}
onMounted(measure)
const size = (bytes: number) => (bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${(bytes / 1e6).toFixed(1)} MB`)

async function guarded(work: () => Promise<void>) {
  working.value = true
  said.value = problem.value = ''
  try {
    await work()
  } catch (error) {
    problem.value =
      error instanceof Refusal ? error.message : 'That did not work: the browser’s storage refused it, or is full. Nothing was changed.'
  } finally {
    working.value = false
  }
}
const backup = () =>
  guarded(async () => {
    const [{ packAll }, { download }] = await Promise.all([import('~/kitchen/backup'), import('~/kitchen/download')])
    download(`kitchen-${new Date().toISOString().slice(0, 10)}.zip`, 'application/zip', await packAll())
    said.value = 'The backup is in your downloads.'
  })
const pick = (event: Event) =>
  guarded(async () => {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    if (!file) return
    const [{ openBackup }, { conflictsOf }] = await Promise.all([import('~/kitchen/backup'), import('~/kitchen/conflicts')])
    const bytes = new Uint8Array(await file.arrayBuffer())
    input.value = ''
    found.value = null
    const restore = await openBackup(bytes)
    conflicts.value = conflictsOf(restore, kitchen.region)
    taken.value = new Set()
    found.value = restore
  })
const bring = () =>
  guarded(async () => {
    const { bringIn } = await import('~/kitchen/backup')
    await bringIn(found.value!, taken.value)
    found.value = null
    said.value = 'It is in this kitchen now.'
    // Settings and lists are read when a kitchen is opened.
    setTimeout(() => location.reload(), 600)
  })
/** Emptying asks first, and offers the backup. */
const emptying = ref(false)
const safe = ref(false)
const backupFirst = async () => {
  await backup()
  safe.value = !problem.value
}
const empty = () =>
  guarded(async () => {
    const { emptyKitchen } = await import('~/kitchen/backup')
    await emptyKitchen()
    emptying.value = false
    said.value = 'The kitchen is empty.'
    setTimeout(() => location.assign('/'), 600)
  })
const ask = () =>
  guarded(async () => {
    await navigator.storage.persist()
    await measure()
    if (!kept.value) said.value = 'The browser makes no promise yet; it may once you use this place more often.'
  })
</script>

<template>
  <section class="panel" aria-labelledby="safe-title">
    <h2 id="safe-title">Keep it safe</h2>
    <p class="small quiet">
      Everything stays in this browser<template v-if="used !== null">, {{ size(used) }} of it</template
      ><template v-if="kept === true">, and the browser has promised to keep it</template
      ><template v-else-if="kept === false">, which may clear it when room is short</template>.<template v-if="device.worksOffline">
        It opens without the net.</template
      >
    </p>
    <div class="in-line">
      <ElButton :disabled="working" @click="backup">Back up the kitchen</ElButton>
      <label class="push"
        >Bring a backup in<input type="file" accept=".zip,application/zip" class="visually-hidden" @change="pick"
      /></label>
      <ElButton v-if="kept === false" @click="ask">Ask the browser to keep it</ElButton>
      <ElButton v-if="device.invitation" @click="device.install()">Put it on this device</ElButton>
      <ElButton @click="emptying = true">Empty the kitchen</ElButton>
    </div>
    <ElDialog v-model="emptying" title="Empty the whole kitchen?" width="min(480px, 94vw)" @open="safe = false">
      <p>
        All recipes, bakes with their photos, the cupboard, tins, plans and what was learned go from this browser. There is no undo for
        this; only a backup brings them back.
      </p>
      <p v-if="safe" role="status"><strong>The backup is in your downloads.</strong></p>
      <template #footer>
        <ElButton v-if="!safe" type="primary" :disabled="working" @click="backupFirst">Back it up first</ElButton>
        <ElButton :disabled="working" @click="empty">Empty it{{ safe ? '' : ' without a backup' }}</ElButton>
        <ElButton @click="emptying = false">Leave it as it is</ElButton>
      </template>
    </ElDialog>
    <div v-if="found" class="look found">
      <p>
        From {{ found.made.replace('T', ', ') }}: {{ found.fresh }} new, {{ found.same }} the same, {{ found.conflicts }} different<template
          v-if="found.photos"
          >, {{ found.photos }} photos</template
        >.
      </p>
      <ConflictList v-if="conflicts.length" v-model="taken" :conflicts="conflicts" />
      <div class="in-line">
        <ElButton type="primary" :disabled="working" @click="bring">Bring it in</ElButton>
        <ElButton @click="found = null">Leave it</ElButton>
      </div>
    </div>
    <p v-if="problem" class="look" role="alert">{{ problem }}</p>
    <p role="status" class="small">{{ said }}</p>
  </section>
</template>

<style scoped>
.in-line {
  margin-top: 8px;
}
.found {
  margin-top: 10px;
}
</style>
