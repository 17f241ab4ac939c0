/** The aircraft's name with the number after the highest in use; branches without a number do not count. */
export function nextName(aircraft: string, names: readonly string[]): string {
  const used = names
    .map((n) => (n.startsWith(`${aircraft} `) ? Number(n.slice(aircraft.length + 1)) : NaN))
    .filter((n) => Number.isInteger(n) && n > 0);
  return `${aircraft} ${Math.max(0, ...used) + 1}`;
}
