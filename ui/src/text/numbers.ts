import { dayLocale } from "./shownIn";

/** How numbers are set on screen: thin spaces between thousands, no needless decimals. */

const THIN = "\u2009";

export function thousands(value: number): string {
  const [whole = "", part] = String(Math.abs(value)).split(".");
  const grouped = whole.length > 3 ? whole.replace(/\B(?=(\d{3})+(?!\d))/g, THIN) : whole;
  return (value < 0 ? "−" : "") + grouped + (part ? `.${part}` : "");
}

export function rounded(value: number, decimals = 0): string {
  return thousands(Number(value.toFixed(decimals)));
}

export function signed(value: number): string {
  return (value >= 0 ? "+" : "") + rounded(value);
}

/** Minutes as hours and minutes, 112 as 1:52. */
export function clock(minutes: number): string {
  const whole = Math.floor(minutes);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, "0")}`;
}

export function percent(share: number): string {
  return share > 0 && share < 0.01 ? "<1" : String(Math.round(share * 100));
}

export function day(iso: string): string {
  return new Date(`${iso}T12:00:00`).toLocaleDateString(dayLocale(), {
    day: "numeric",
    month: "short",
  });
}

/** A part role as people say it. */
export function roleWord(role: string): string {
  return role === "o-ring" ? "O-ring" : role.replaceAll("-", " ");
}

/** A count in millions. */
export const millions = (count: number): string => (count / 1e6).toFixed(1);

/** Numbers whose thousands do not part at the end of a line. */
export const unbroken = (text: string): string =>
  text.replaceAll("\u2009", "\u2060\u2009\u2060").replace(/ (h|mm|d)\b/g, "\u00a0$1");

/** The first letter small, for a name in the middle of a sentence. */
export const inSentence = (text: string): string => text.slice(0, 1).toLowerCase() + text.slice(1);

/** The first letter raised. */
export const sentence = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);
