/** How many beacons are lit whole. */
export const lit = (light: number): number => Math.floor(light + 1e-6)
