import { rounded } from "./numbers";

/** The limits of a reading in words, the least first; nothing where there is none. */
export function limitWords({ min, max }: { min: number | null; max: number | null }, digits: number): string[] {
  const words = [];
  if (min !== null) words.push(`at least ${rounded(min, digits)}`);
  if (max !== null) words.push(`at most ${rounded(max, digits)}`);
  return words;
}
