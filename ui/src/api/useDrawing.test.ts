import { expect, test } from "vitest";
import type { BenchView, Rail } from "./types";
import { standing } from "./useDrawing";

const part = { id: "ball", where: "in-place", state: "unknown", word: "left shut", subWord: "", reached: false };
const drawing = [
  { id: "wet", title: "Wet end", inPlan: false, lines: [{ id: "a", parts: [part] }] },
] as unknown as Rail[];

test("a part stands as the view says, and its line is in the plan once it is reached", () => {
  const parts = [{ ...part, where: "off", state: "sound", word: "sound", reached: true }] as BenchView["parts"];
  const [rail] = standing(drawing, parts);
  expect(rail?.lines[0]?.parts[0]).toMatchObject({ where: "off", state: "sound", word: "sound" });
  expect(rail?.inPlan).toBe(true);
  expect(standing(drawing, [])[0]?.inPlan).toBe(false);
});
