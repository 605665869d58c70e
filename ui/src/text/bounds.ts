import { NUMBERS, TEXTS } from "../api/bounds";
import { thousands } from "./numbers";
import { typedNumber } from "./typedNumber";

/** A text of a request, by the name of the request and of its field. */
export type TextBound = keyof typeof TEXTS;
/** A number of a request, likewise. */
export type NumberBound = keyof typeof NUMBERS;

/** From this share of what fits on, how much is left is shown. */
const NEAR = 0.9;

/** What is left of the room for a text, in words; empty while there is plenty. */
export function roomLeft(of: TextBound, typed: string): string {
  const most = TEXTS[of];
  if (typed.length > most) return `${thousands(typed.length - most)} characters too many; ${thousands(most)} fit`;
  if (typed.length < NEAR * most) return "";
  return `${thousands(typed.length)} of ${thousands(most)} characters`;
}

export function isTooLong(of: TextBound, typed: string): boolean {
  return typed.length > TEXTS[of];
}

export function isNumber(of: TextBound | NumberBound): of is NumberBound {
  return of in NUMBERS;
}

/** What a number may be, in words, where what was typed is not that; empty where it is, or nothing. */
export function takes(of: NumberBound, typed: string): string {
  const [least, most] = NUMBERS[of];
  const value = typedNumber(typed);
  const fits = value === null || (value !== undefined && value >= least && value <= most);
  return fits ? "" : `a number from ${thousands(least)} to ${thousands(most)}`;
}
