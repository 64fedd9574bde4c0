/** What can be printed on. */
export const PAPERS = { a4: 'A4', 'us-letter': 'Letter' } as const
export const ON_A_PAGE = [8, 24] as const
