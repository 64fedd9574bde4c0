/** The text inside a short piece of HTML, for names that are read aloud or stand in a list. */
export function textOf(html: string): string {
  const parsed = new DOMParser().parseFromString(html, 'text/html')
  return parsed.body.textContent?.trim() ?? ''
}
