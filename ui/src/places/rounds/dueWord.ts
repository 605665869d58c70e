/** When a round is due, in words: days over, today, or days to come. */
export function dueWord(days: number | null): string {
  if (days === null) return "not recorded yet";
  if (days === 0) return "due today";
  const n = Math.abs(days);
  const word = n === 1 ? "day" : "days";
  return days < 0 ? `${n} ${word} over` : `in ${n} ${word}`;
}
