import { describe, expect, it } from "vitest";
import type { Rail, RailPart } from "../api/types";
import { planLabels, planParts } from "./planLayout";

const part = (id: string, glyph: string, at: number, angle = 0): RailPart => ({
  id,
  name: id,
  glyph,
  at,
  side: "",
  count: 1,
  facing: "",
  faces: "",
  toward: "in",
  angle,
  care: [],
  where: "in-place",
  state: "unknown",
  word: "",
  subWord: "",
  reached: true,
});

const head = (parts: RailPart[]): Rail => ({
  id: "head",
  title: "Head in plan",
  inPlan: true,
  lines: [{ id: "head", axes: 1, note: "", mirrored: false, view: "plan", parts }],
});

describe("a head drawn in plan", () => {
  it("draws what lies deepest first, the cover over all", () => {
    const parts = planParts(
      head([part("cover", "head-cover", 1), part("arm", "roller-arm-one", 5), part("track", "head-track", 10)]),
    );
    expect(parts.map((p) => p.part.id)).toEqual(["track", "arm", "cover"]);
    expect(parts.map((p) => p.cover)).toEqual([false, false, true]);
  });

  it("points at a roller where its angle puts it", () => {
    const [near, across] = planParts(head([part("a", "loose-roller", 3, 0), part("b", "loose-roller", 3, 180)])).map(
      (p) => p.anchor,
    );
    expect(near?.x).toBeGreaterThan(0);
    expect(across?.x).toBeCloseTo(-(near?.x ?? 0), 6);
    expect(across?.y).toBeCloseTo(-(near?.y ?? 0), 6);
  });

  it("sets no label over another and splits them left and right", () => {
    const arms = Array.from({ length: 13 }, (_, i) => part(`p${i}`, "loose-roller", 3, i * 27));
    const labels = planLabels(planParts(head(arms)), 200);
    expect(labels).toHaveLength(13);
    for (const side of ["left", "right"] as const) {
      const rows = labels.filter((l) => l.side === side).map((l) => l.y);
      expect(rows.length).toBeGreaterThanOrEqual(6);
      for (const [i, y] of rows.entries()) if (i > 0) expect(y - (rows[i - 1] ?? 0)).toBeGreaterThanOrEqual(18);
    }
  });
});
