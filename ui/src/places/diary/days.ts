import type { DiaryEntry, DiaryView } from "../../api/types";
import { dayLocale } from "../../text/shownIn";

export interface Day {
  day: number;
  /** Monday begins a week. */
  monday: boolean;
  label: string;
  lanes: { who: string; from: number; to: number; overtime: boolean; entries: DiaryEntry[] }[];
  stops: DiaryView["stops"];
}

const MS_A_DAY = 86_400_000;

/** The day so many days after another one, in words. */
const MONDAY = 1;

/** A day of the diary as a date, at noon so that no clock change moves it. */
const dateOf = (from: string, day: number) => new Date(Date.parse(`${from}T12:00:00`) + day * MS_A_DAY);

const weekday = (from: string, day: number) => dateOf(from, day).getDay();

export function dayWord(from: string, day: number): string {
  const date = dateOf(from, day);
  return date.toLocaleDateString(dayLocale(), { weekday: "short", day: "numeric", month: "short" });
}

export const clockWord = (minute: number) =>
  `${String(Math.floor(minute / 60)).padStart(2, "0")}:${String(minute % 60).padStart(2, "0")}`;

/** The days on which somebody works or a line stands still, a lane for each who is there. */
export function workDays(diary: DiaryView): Day[] {
  const days: Day[] = [];
  for (let day = 0; day < diary.days; day++) {
    const lanes = diary.people.flatMap((p) => {
      const hours = p.hours.filter((h) => h.day === day);
      const entries = diary.entries.filter((e) => e.day === day && e.who === p.who);
      if (hours.length === 0 && entries.length === 0) return [];
      return [
        {
          who: p.who,
          from: Math.min(...hours.map((h) => h.from), ...entries.map((e) => e.from)),
          to: Math.max(...hours.map((h) => h.to), ...entries.map((e) => e.to)),
          overtime: hours.some((h) => h.overtime),
          entries,
        },
      ];
    });
    const stops = diary.stops.filter((s) => s.day === day);
    if (lanes.length === 0 && stops.length === 0) continue;
    const label = dayWord(diary.from, day);
    days.push({ day, monday: days.length > 0 && weekday(diary.from, day) === MONDAY, label, lanes, stops });
  }
  return days;
}
