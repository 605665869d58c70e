import { rounded, signed } from "./numbers";
import { shownIn, type ShownUnit } from "./shownIn";
import { typedNumber } from "./typedNumber";

/** An amount with the sign of the shop's currency before it. */
export function money(amount: number, decimals = 0): string {
  return shownIn().sign + rounded(amount, decimals);
}

/** The sign of the shop's currency, as a unit over a field or a column. */
export function currency(): string {
  return shownIn().sign.trim();
}

/** Stands for the currency where a unit stands. */
export const MONEY = "\u00a4";

interface Scale {
  word: string;
  /** As the server reads it behind a number. */
  typed: string;
  /** Of this unit for one of the records, what the zero of the records is here, decimals it needs more. */
  factor: number;
  zero: number;
  moreDecimals: number;
}

const SCALES: Record<ShownUnit, Scale> = {
  "newton-metre": { word: "N·m", typed: "N·m", factor: 1, zero: 0, moreDecimals: 0 },
  "pound-foot": { word: "ft·lbf", typed: "ft·lbf", factor: 1 / 1.3558179483314, zero: 0, moreDecimals: 1 },
  celsius: { word: "°C", typed: "degC", factor: 1, zero: 0, moreDecimals: 0 },
  fahrenheit: { word: "°F", typed: "degF", factor: 1.8, zero: 32, moreDecimals: 0 },
  bar: { word: "bar", typed: "bar", factor: 1, zero: 0, moreDecimals: 0 },
  psi: { word: "psi", typed: "psi", factor: 1 / 0.06894757293168, zero: 0, moreDecimals: -1 },
  litre: { word: "L", typed: "L", factor: 1, zero: 0, moreDecimals: 0 },
  "us-gallon": { word: "gal", typed: "gal", factor: 1 / 3.785411784, zero: 0, moreDecimals: 2 },
};

/** Units of the records that a shop may be shown in others. */
const SHOWN: Record<string, () => Scale> = {
  degC: () => SCALES[shownIn().temperature],
  "°C": () => SCALES[shownIn().temperature],
  bar: () => SCALES[shownIn().pressure],
  L: () => SCALES[shownIn().volume],
  Nm: () => SCALES[shownIn().torque],
  "N·m": () => SCALES[shownIn().torque],
};

const PLAIN: Record<string, string> = { ml: "mL" };

export const wordOf = (unit: ShownUnit): string => SCALES[unit].word;

/** The torque unit of the shop, which a device may show otherwise. */
export const torqueUnit = (): "N·m" | "ft·lbf" => (shownIn().torque === "pound-foot" ? "ft·lbf" : "N·m");

/** A torque in the unit the device is set to; only shown, never recorded from. */
export function torque(nm: number, unit: "N·m" | "ft·lbf"): string {
  return (nm * SCALES[unit === "N·m" ? "newton-metre" : "pound-foot"].factor).toFixed(1);
}

/** The word of a unit as the shop is shown it. */
export function unitWord(unit: string): string {
  if (unit === MONEY) return currency();
  return SHOWN[unit]?.().word ?? PLAIN[unit] ?? unit;
}

/** The unit that goes with a reading typed under {@link unitWord}; empty where it is that of the records. */
export function typedUnit(unit: string): string {
  const scale = SHOWN[unit]?.();
  return scale && (scale.factor !== 1 || scale.zero !== 0) ? scale.typed : "";
}

/** A value of the records in the unit the shop is shown. */
export function inShown(value: number, unit: string): number {
  const scale = SHOWN[unit]?.();
  return scale ? value * scale.factor + scale.zero : value;
}

/** A value typed in the unit the shop is shown, in that of the records. */
export function ofShown(value: number, unit: string): number {
  const scale = SHOWN[unit]?.();
  return scale ? (value - scale.zero) / scale.factor : value;
}

/** A value of the records in the shop's unit, without the word. */
export function shownNumber(value: number, unit: string, decimals = 0): string {
  const scale = SHOWN[unit]?.();
  return rounded(inShown(value, unit), Math.max(0, decimals + (scale?.moreDecimals ?? 0)));
}

/** A value of the records with its unit, both as the shop is shown them. */
export function quantity(value: number, unit: string, decimals = 0): string {
  return `${shownNumber(value, unit, decimals)} ${unitWord(unit)}`;
}

/** How far two temperatures of the records are apart, with its sign: kelvin, or degrees Fahrenheit. */
export function apart(kelvin: number): string {
  const scale = SCALES[shownIn().temperature];
  return scale.factor === 1 ? `${signed(kelvin)} K` : `${signed(kelvin * scale.factor)} ${scale.word}`;
}

/** What is typed in the shop's unit, as the records would hold it; null where it is no number yet. */
export function typedInRecords(typed: string, unit: string): number | null {
  const value = typedNumber(typed);
  return value == null ? null : ofShown(value, unit);
}

const TYPED = /^([-+−]?[\d.,\s]*\d)\s*(\D*)$/;

/**
 * A reading as somebody types it, in the unit of the records: a number, alone or with a unit that
 * the shop may be shown. Null where it is none; the server reads more than that.
 */
export function typedReading(text: string, unit: string): number | null {
  const [, number = "", word = ""] = TYPED.exec(text.trim()) ?? [];
  const value = typedNumber(number);
  const named = word.trim() || unit;
  const scale = Object.values(SCALES).find((s) => named === s.typed || named === s.word);
  if (value == null || (named && !scale)) return null;
  return scale ? (value - scale.zero) / scale.factor : value;
}
