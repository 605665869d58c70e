import type { Session } from "../api/types";

type ShownIn = Session["shownIn"];
export type ShownUnit = ShownIn["torque"];

/** In what the shop is shown what it has; said with every session, before anything of it is drawn. */
let now: ShownIn = {
  ...{ sign: "£", dayOrder: "day-first" },
  ...{ torque: "newton-metre", temperature: "celsius", pressure: "bar", volume: "litre" },
};

export function show(said: ShownIn): void {
  now = said;
}

export const shownIn = (): ShownIn => now;

/** Days as the shop writes them; the month is a word, so no day is taken for another. */
export function dayLocale(): string {
  return now.dayOrder === "month-first" ? "en-US" : "en-GB";
}

export const isMonthFirst = (): boolean => now.dayOrder === "month-first";
