import { day } from "../../text/numbers";
import { dayLocale } from "../../text/shownIn";

/** A day of the year as it is said. */
export const shownMonth = (iso: string): string => day(iso);

/** The weeks in which a month begins, with its name. */
export function months(weeks: readonly { from: string }[]): { week: number; name: string }[] {
  return weeks.flatMap((w, i) => {
    const before = weeks[i - 1];
    const month = w.from.slice(0, 7);
    return before && before.from.slice(0, 7) !== month
      ? [{ week: i, name: new Date(`${w.from}T12:00:00`).toLocaleDateString(dayLocale(), { month: "short" }) }]
      : [];
  });
}
