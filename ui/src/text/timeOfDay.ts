/** A time of day as this device's clock shows it: 09:14. */
export function timeOfDay(ms: number): string {
  const t = new Date(ms);
  return `${String(t.getHours()).padStart(2, "0")}:${String(t.getMinutes()).padStart(2, "0")}`;
}
