const ALPHABET = 'abcdefghijklmnopqrstuvwxyz0123456789'

/** A random id, made on the device: safe to send twice. 36^16 of them. */
export function newId(length = 16): string {
  const bytes = crypto.getRandomValues(new Uint8Array(length))
  return Array.from(bytes, (byte) => ALPHABET[byte % ALPHABET.length]).join('')
}
