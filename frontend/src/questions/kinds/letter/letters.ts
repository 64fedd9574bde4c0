/** The letters that there are. */
export const ALL = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'] as const
