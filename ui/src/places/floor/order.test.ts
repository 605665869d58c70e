import { expect, test } from "vitest";
import type { Area, Brief } from "../../api/types";
import { ordered } from "./order";

const pump = (tag: string, risk30: number, dueDays: number, rebuild: number | null = null) =>
  ({ tag, risk30, dueDays, hours: 100 * risk30, rebuild }) as Brief;

const areas = [
  { name: "Dye", say: "", pumps: [pump("DYE-11", 0.1, 5), pump("DYE-2", 0.3, 50)] },
  { name: "Scour", say: "", pumps: [pump("SCR-1", 0.2, 9), pump("SCR-3", 0.9, 1, 7)] },
] as Area[];

const tags = (order: string) => ordered(areas, order).flatMap((a) => a.pumps.map((p) => p.tag));

test("the worst leads, but one on the bench does not move its area up", () => {
  expect(tags("")).toEqual(["DYE-2", "DYE-11", "SCR-3", "SCR-1"]);
});

test("the soonest due leads, and takes its area along", () => {
  expect(tags("soonest due first")).toEqual(["SCR-3", "SCR-1", "DYE-11", "DYE-2"]);
});

test("tags count their numbers as numbers", () => {
  expect(tags("by tag")).toEqual(["DYE-2", "DYE-11", "SCR-1", "SCR-3"]);
});
