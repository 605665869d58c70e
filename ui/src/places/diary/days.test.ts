import { expect, test } from "vitest";
import type { DiaryView } from "../../api/types";
import { clockWord, dayWord, workDays } from "./days";

const diary = {
  from: "2026-03-17",
  days: 9,
  people: [
    { who: "RT", hours: [0, 1, 2, 6].map((day) => ({ day, from: 360, to: 840, overtime: false })) },
    { who: "KO", hours: [{ day: 4, from: 360, to: 720, overtime: true }] },
  ],
  stops: [{ line: "Press", title: "cloth change", day: 7, from: 360, to: 840 }],
  entries: [{ pump: "EFF-02", who: "RT", day: 1, from: 480, to: 570 }],
} as unknown as DiaryView;

test("only days on which somebody works or a line stands still are shown", () => {
  expect(workDays(diary).map((d) => d.day)).toEqual([0, 1, 2, 4, 6, 7]);
  expect(workDays(diary)[3]?.lanes).toMatchObject([{ who: "KO", overtime: true }]);
});

test("a job lies in the lane of who does it, and a week begins on Monday", () => {
  const days = workDays(diary);
  expect(days[1]?.lanes[0]?.entries.map((e) => e.pump)).toEqual(["EFF-02"]);
  expect(days.filter((d) => d.monday).map((d) => d.label)).toEqual(["Mon 23 Mar"]);
});

test("days and minutes in words", () => {
  expect(dayWord("2026-03-17", 14)).toBe("Tue 31 Mar");
  expect(clockWord(485)).toBe("08:05");
});
