<script setup lang="ts">
import type { Photo } from '~/kitchen/database'
import { useBook } from '~/stores/book'

/** Pictures of a bake, made small, without place or time in them. */
const props = defineProps<{ trialId: string }>()
const book = useBook()
const photos = shallowRef<(Photo & { url: string })[]>([])
const problem = ref('')
watch(() => props.trialId, showPhotos, { immediate: true })
async function showPhotos() {
  const found = await book.photosOf(props.trialId)
  for (const p of photos.value) URL.revokeObjectURL(p.url)
  photos.value = found.map((p) => ({ ...p, url: URL.createObjectURL(p.blob) }))
}
onBeforeUnmount(() => photos.value.forEach((p) => URL.revokeObjectURL(p.url)))

async function pick(event: Event) {
  const input = event.target as HTMLInputElement
  problem.value = ''
  for (const file of [...(input.files ?? [])].slice(0, 8))
    if (!(await book.addPhoto(props.trialId, file)))
      problem.value = `“${file.name}” is no picture that this browser can read. Nothing was changed.`
  input.value = ''
  await showPhotos()
}
async function drop(id: string) {
  await book.removePhoto(id)
  await showPhotos()
}
</script>

<template>
  <div>
    <div class="photos">
      <figure v-for="p in photos" :key="p.id">
        <img :src="p.url" :width="p.width" :height="p.height" alt="The bake" />
        <ElButton @click="drop(p.id)">Take it out</ElButton>
      </figure>
      <label class="push">Add a photo<input type="file" accept="image/*" multiple class="visually-hidden" @change="pick" /></label>
    </div>
    <p v-if="problem" class="look small" role="alert">{{ problem }}</p>
    <p class="quiet small">Pictures are made small and stay in this browser, without place or time in them.</p>
  </div>
</template>

<style scoped>
.photos {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  margin: 12px 0 6px;
}
.photos figure {
  margin: 0;
  display: grid;
  gap: 4px;
}
.photos img {
  width: 170px;
  height: auto;
  border-radius: 10px;
  border: 2px solid var(--rim);
}
@media print {
  .photos label,
  .photos button {
    display: none;
  }
}
</style>
