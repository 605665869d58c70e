import { shownNumber } from "./shop";

/** The limits of a reading in words, the least first, in the unit the shop is shown; nothing where there is none. */
export function limitWords(
  { min, max }: { min: number | null; max: number | null },
  digits: number,
  unit: string,
): string[] {
  const words = [];
  if (min !== null) words.push(`at least ${shownNumber(min, unit, digits)}`);
  if (max !== null) words.push(`at most ${shownNumber(max, unit, digits)}`);
  return words;
}
