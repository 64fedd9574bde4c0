import { ref } from 'vue'
import { csrfToken } from '@/api/http'
import { refusalFrom } from '@/api/refusal'
import { sentenceOf } from '@/told'
import type { Media } from '@/api/types'

const PLACES = { image: 'pictures', audio: 'sounds', video: 'videos' } as const

async function post<T>(place: string, file: Blob, name: string): Promise<T> {
  const body = new FormData()
  body.append('file', file, name)
  const headers = { 'X-CSRFToken': csrfToken() }
  const reply = await fetch(`/api/media/${place}`, { method: 'POST', body, headers })
  if (!reply.ok) throw refusalFrom(await reply.json().catch(() => undefined), reply.status)
  return (await reply.json()) as T
}

/** Where a file goes, by what the browser takes it for; the server looks at its content. */
function placeOf(file: Blob): string {
  return PLACES[file.type.split('/')[0] as keyof typeof PLACES] ?? 'pictures'
}

/** Sends a picture, sound or video to the server, which decides what it is. */
export function useUpload(done: (media: Media) => void) {
  const busy = ref(false)
  const error = ref('')

  async function attempt(action: () => Promise<Media>): Promise<void> {
    busy.value = true
    error.value = ''
    try {
      done(await action())
    } catch (failure) {
      error.value = sentenceOf(failure)
    } finally {
      busy.value = false
    }
  }

  const upload = (file: File): Promise<void> => attempt(() => post<Media>(placeOf(file), file, file.name))
  return { busy, error, attempt, upload }
}

/** Sends captions; resolves to their id. Refusals are thrown. */
export const uploadCaptions = async (file: File): Promise<string> =>
  (await post<{ captions: string }>('captions', file, file.name)).captions

/** The first picture, sound or video among what was pasted or dropped. */
export function mediaFileIn(data: DataTransfer | null): File | null {
  return [...(data?.files ?? [])].find((file) => /^(image|audio|video)\//.test(file.type)) ?? null
}
