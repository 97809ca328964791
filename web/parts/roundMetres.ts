/** The largest of 1, 2 or 5 times a power of ten that is not longer. */
export function roundMetres(roughM: number): number {
  const power = 10 ** Math.floor(Math.log10(roughM))
  return [5, 2, 1].map((k) => k * power).find((m) => m <= roughM) ?? power
}
