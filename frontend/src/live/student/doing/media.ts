/** Addresses of the pictures and sounds in questions. Videos are too large to be kept for a time without a network. */
import { fileUrl, pictureUrl } from '@/media/shown/pictures'

export function mediaIn(value: unknown): string[] {
  if (Array.isArray(value)) return value.flatMap(mediaIn)
  if (!value || typeof value !== 'object') return []
  const inner = Object.values(value).flatMap(mediaIn)
  const { media, type } = value as { media?: unknown; type?: unknown }
  if (typeof media !== 'string') return inner
  if (type === 'picture') return [pictureUrl({ media }, 960), ...inner]
  return type === 'sound' ? [fileUrl({ media }, 'sound'), ...inner] : inner
}
