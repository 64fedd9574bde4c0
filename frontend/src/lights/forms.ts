/**
 * What the forms of a light's parts look like (docs/games.md, A1), in a box of 40 by 64: lines, what is filled, and what
 * shines. Their order is that of the figures in a light.
 */
export const PARTS = ['roof', 'top', 'glass', 'panes', 'flame', 'pattern', 'foot', 'sides'] as const
export type Part = (typeof PARTS)[number]

interface Form {
  lines?: string
  solid?: string
  /** Light, with a line around it. */
  lit?: string
}

const disc = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`

/** A star of so many points, around a place. */
function star(x: number, y: number, points: number, outer: number, inner: number): string {
  const corners = Array.from({ length: 2 * points }, (_, index) => {
    const angle = (index * Math.PI) / points - Math.PI / 2
    const r = index % 2 ? inner : outer
    return `${(x + r * Math.cos(angle)).toFixed(2)} ${(y + r * Math.sin(angle)).toFixed(2)}`
  })
  return `M${corners.join('L')}Z`
}

/** The same on both sides; of a path that is made of M, L, Q, C and Z alone. */
function mirrored(path: string): string {
  let isX = true
  const other = path.replace(/-?[\d.]+|[A-Z]/g, (token) => {
    if (/[A-Z]/.test(token)) {
      isX = true
      return token
    }
    const value = isX ? `${40 - Number(token)}` : token
    isX = !isX
    return value
  })
  return path + other
}

const FORMS: Record<Part, Form[]> = {
  roof: [
    { lines: 'M7 20L20 10L33 20Z' },
    { lines: 'M7 20Q7 10 20 10Q33 10 33 20Z' },
    { lines: 'M7 20V14H33V20Z M17 14V10H23V14' },
    { lines: 'M6 20V17H11V13.5H16V10H24V13.5H29V17H34V20Z' },
    { lines: 'M11 20C3 17 8 12.5 15 13C18 13 19.5 12 20 10C20.5 12 22 13 25 13C32 12.5 37 17 29 20Z' },
    { lines: 'M4 20H36 M11 20L14 10H26L29 20' },
    { lines: 'M5 20C13 19 11 10 20 10C29 10 27 19 35 20Z' },
    {
      lines:
        'M7 17L20 10L33 17 M7 17q2.17 5 4.33 0q2.17 5 4.33 0q2.17 5 4.34 0q2.17 5 4.33 0q2.17 5 4.33 0q2.17 5 4.34 0',
    },
    { lines: 'M7 20V18L33 10.5V20Z M20 14V10' },
    { lines: 'M12 15L20 10L28 15Z M5 20L12 15H28L35 20Z' },
  ],
  top: [
    {},
    { solid: disc(20, 6.5, 3.3) },
    { lines: disc(20, 6, 3.6) },
    { lines: 'M20 10V1 M17 7H23' },
    { solid: star(20, 5.2, 5, 5, 2.1) },
    { lines: 'M20 10V3 M11 4H29 M29 4L25.5 1.5M29 4L25.5 6.5 M11 2V6' },
    { lines: 'M20 10V0.8', solid: 'M20 1L31 3.8L20 6.6Z' },
    { lines: 'M20 10V7 M10 4.5Q15 0.5 20 6Q25 0.5 30 4.5' },
    { solid: 'M23.5 1A4.8 4.8 0 1 0 23.5 9.8A5.6 5.6 0 0 1 23.5 1Z' },
    { lines: 'M14 10L12 3.5L17 6.5L20 1.5L23 6.5L28 3.5L26 10Z' },
  ],
  glass: [
    { lines: 'M12 20V42H28V20Z' },
    { lines: 'M14 20C4 25 4 37 14 42H26C36 37 36 25 26 20Z' },
    { lines: 'M15 20L9 42H31L25 20Z' },
    { lines: 'M9 20L15 42H25L31 20Z' },
    { lines: 'M14 20L8.5 31L14 42H26L31.5 31L26 20Z' },
    { lines: 'M9 20C9 26 14 28 14 31C14 34 9 36 9 42H31C31 36 26 34 26 31C26 28 31 26 31 20Z' },
    { lines: 'M10 42V30Q10 20 20 20Q30 20 30 30V42Z' },
    { lines: 'M17 20C16 26 9 29 9 35Q9 42 16 42H24Q31 42 31 35C31 29 24 26 23 20Z' },
    { lines: 'M14 20V26H9V42H31V26H26V20Z' },
    {
      lines:
        'M13 20q-7 3.67 0 7.33q-7 3.67 0 7.33q-7 3.67 0 7.34H27q7 -3.67 0 -7.34q7 -3.67 0 -7.33q7 -3.67 0 -7.33Z',
    },
  ],
  panes: [
    {},
    { lines: 'M15 21V41M25 21V41' },
    { lines: 'M14 25H26M14 37.5H26' },
    { lines: 'M20 20.5V41.5M12 31H28' },
    { lines: 'M14 27L21 21M14 34L26 23M14.5 41L26 31M20 41.5L26 37' },
    { lines: 'M14 28L21 21M14 36L26 24M17 41L26 32M26 28L19 21M26 36L14 24M23 41L14 32' },
    { lines: 'M14.5 23H25.5V39.5H14.5Z' },
    { lines: 'M20 41.5L13.5 25M20 41.5V21M20 41.5L26.5 25' },
  ],
  flame: [
    { lit: 'M20 23.5C24 28 25.5 30 25.5 33.2A5.5 5.5 0 0 1 14.5 33.2C14.5 30 16 28 20 23.5Z' },
    { lit: disc(20, 31, 5.4) },
    { lit: 'M20 24L26.5 31L20 38L13.5 31Z' },
    {
      lit: 'M16.4 25C18.5 28.5 19.4 30.5 19.4 33a3 3 0 0 1 -6 0C13.4 30.5 14.3 28.5 16.4 25Z M23.6 25C25.7 28.5 26.6 30.5 26.6 33a3 3 0 0 1 -6 0C20.6 30.5 21.5 28.5 23.6 25Z',
    },
    { lit: star(20, 31, 5, 7, 3) },
    { lit: `${disc(20, 31, 6.2)}${disc(20, 31, 2.8)}` },
    { lit: 'M20 22.5C22.6 26 22.6 28.5 20 30C17.4 28.5 17.4 26 20 22.5Z M17 31.5H23V40.5H17Z' },
    { lit: star(20, 31, 10, 7.4, 4) },
    { lit: `${disc(20, 27, 2.9)}${disc(16, 34, 2.9)}${disc(24, 34, 2.9)}` },
    { lit: 'M23.5 24.2A7 7 0 1 0 23.5 37.8A8.4 8.4 0 0 1 23.5 24.2Z' },
  ],
  pattern: [
    {},
    { lines: 'M13.5 42V49M17.8 42V49M22.2 42V49M26.5 42V49' },
    { lines: 'M9.5 45.5H30.5' },
    { solid: [12.6, 17.5, 22.5, 27.4].map((x) => disc(x, 45.5, 1.6)).join('') },
    { lines: 'M9.5 48L13 43L16.5 48L20 43L23.5 48L27 43L30.5 48' },
    { lines: 'M9.5 45.5q2.62 -4.5 5.25 0t5.25 0t5.25 0t5.25 0' },
    { solid: 'M9.5 42H14.7V45.5H20V42H25.2V45.5H30.5V49H25.2V45.5H20V49H14.7V45.5H9.5Z' },
    { lines: 'M9.5 42q2.62 9 5.25 0q2.62 9 5.25 0q2.62 9 5.25 0q2.62 9 5.25 0' },
    { solid: 'M9.5 49L13 43L16.5 49L20 43L23.5 49L27 43L30.5 49Z' },
    {
      lines: 'M9.5 42L16.5 49M16.5 42L9.5 49M16.5 42L23.5 49M23.5 42L16.5 49M23.5 42L30.5 49M30.5 42L23.5 49',
    },
  ],
  foot: [
    { lines: 'M14 49V58M26 49V58M5 58H35V62H5Z' },
    { lines: 'M13 49L7 62.5M20 49V62.5M27 49L33 62.5' },
    { lines: 'M17 49V62M23 49V62M12 62H28' },
    { lines: 'M13 49V53.3H9V57.6H5V62H35V57.6H31V53.3H27V49' },
    { lines: 'M11 49C5 51 2 57 4 62H36C38 57 34 51 29 49M11 57L16 54M22 59L28 54.5' },
    { lines: 'M20 49V53M3 53H37L31 62H9Z' },
    { lines: 'M14 49V52.5M26 49V52.5M4 55q4 -4.5 8 0t8 0t8 0t8 0M4 61q4 -4.5 8 0t8 0t8 0t8 0' },
    { lines: 'M14 49L7 57M26 49L33 57M3 57H37M7 57Q20 70 33 57' },
    { lines: 'M20 49V62M14 53H26M8 55Q9 62 20 62Q31 62 32 55M5.5 57.5L8 55L11 57M34.5 57.5L32 55L29 57' },
    {
      lines:
        'M7 53a13 3.4 0 1 0 26 0a13 3.4 0 1 0 -26 0M7 53V60a13 3.4 0 0 0 26 0V53M7 56.5a13 3.4 0 0 0 26 0M20 49V53',
    },
  ],
  sides: [
    {},
    { lines: `${disc(4.2, 31, 2.9)}${disc(35.8, 31, 2.9)}` },
    { lines: mirrored('M7 24L3 24L3 38L7 38') },
    { lines: mirrored('M6 19C1 27 8 34 3 43') },
    { lines: mirrored('M5 43L5 22M5 39Q0 38 1 33M5 34Q9 33 7.5 28M5 30Q0 29 1.5 24') },
    { lines: mirrored('M4.5 17L4.5 34'), solid: mirrored('M4.5 33Q8 38 4.5 44Q1 38 4.5 33Z') },
    { solid: mirrored('M7 22L1 41L7 41Z') },
    { lines: mirrored('M4 19L4 28'), lit: `${disc(4, 31, 2.9)}${disc(36, 31, 2.9)}` },
  ],
}

/** How many forms each part has. */
export const FORMS_OF = Object.fromEntries(PARTS.map((part) => [part, FORMS[part].length])) as Record<
  Part,
  number
>

/** Each part of a light, with the form that it has. */
export const partsOf = (light: string): [Part, number][] =>
  PARTS.map((part, index) => [part, Number(light[index] ?? 0)])

/** A light in which one part has another form. */
export const withForm = (light: string, part: Part, form: number): string =>
  PARTS.map((one, index) => (one === part ? String(form) : (light[index] ?? '0'))).join('')

export interface Drawn {
  glass: string
  lines: string
  thin: string
  solid: string
  lit: string
}

const BAND = 'M9.5 42H30.5V49H9.5Z'

/** What is drawn for a light: what shines through its glass, its lines, thinner ones, what is filled, and its flame. */
export function drawnOf(light: string): Drawn {
  const drawn: Drawn = { glass: '', lines: BAND, thin: '', solid: '', lit: '' }
  for (const [part, number] of partsOf(light)) {
    const form = FORMS[part][number] ?? {}
    if (part === 'glass') drawn.glass = form.lines ?? ''
    if (part === 'panes' || part === 'pattern') drawn.thin += form.lines ?? ''
    else drawn.lines += form.lines ?? ''
    drawn.solid += form.solid ?? ''
    drawn.lit += form.lit ?? ''
  }
  return drawn
}
