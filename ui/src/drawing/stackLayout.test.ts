import { describe, expect, it } from "vitest";
import type { Rail, RailPart } from "../api/types";
import { glyph } from "./glyphs";
import { stackLayout } from "./stackLayout";

const part = (id: string, name: string, at: number, side = ""): RailPart => ({
  id,
  name: id,
  glyph: name,
  at,
  side,
  count: 1,
  facing: "",
  faces: "",
  toward: "in",
  angle: 0,
  care: [],
  where: "in-place",
  state: "sound",
  word: "",
  subWord: "",
  reached: true,
});
const rail: Rail = {
  id: "wet",
  title: "Wet end",
  inPlan: true,
  lines: [
    {
      id: "outlet",
      axes: 2,
      note: "on top",
      mirrored: false,
      view: "axis",
      parts: [part("manifold", "manifold", 1), part("seals", "o-rings", 1), part("balls", "balls", 2)],
    },
    {
      id: "main",
      axes: 1,
      note: "",
      mirrored: false,
      view: "axis",
      parts: [
        part("cap-a", "fluid-cap", 1, "A"),
        part("block", "centre-block", 5),
        part("shaft", "shaft", 5),
        part("cap-b", "fluid-cap", 9, "B"),
      ],
    },
  ],
};

describe("the stack", () => {
  const { columns, turns } = stackLayout(rail, 1280, 20);

  it("puts parts of one place into one column, in the order of the sheet", () => {
    expect(columns.map((c) => c.parts.map((p) => p.id))).toEqual([
      ["manifold", "seals"],
      ["balls"],
      ["cap-a"],
      ["block", "shaft"],
      ["cap-b"],
    ]);
  });

  it("never lets columns overlap or leave the drawing", () => {
    columns.forEach((c, i) => {
      expect(c.to).toBeGreaterThan(c.from);
      expect(c.from).toBeGreaterThanOrEqual(columns[i - 1]?.to ?? 20);
    });
    expect(columns.at(-1)?.to).toBeLessThanOrEqual(1260.001);
  });

  it("keeps every glyph inside its column, side B mirrored", () => {
    for (const c of columns) {
      const shape = glyph(c.parts[0]?.glyph ?? "");
      const left = c.mirrored ? -shape.right : shape.left;
      const right = c.mirrored ? -shape.left : shape.right;
      expect(c.x + left).toBeGreaterThanOrEqual(c.from - 0.001);
      expect(c.x + right).toBeLessThanOrEqual(c.to + 0.001);
    }
    expect(columns.map((c) => c.mirrored)).toEqual([false, false, false, false, true]);
  });

  it("turns the axis where a line forks, and says which end is up", () => {
    expect(turns).toHaveLength(1);
    expect(turns[0]).toMatchObject({ forkLeft: true, note: "on top" });
  });

  it("squeezes rather than overflows on a narrow drawing", () => {
    const narrow = stackLayout(rail, 300, 10);
    expect(narrow.columns.at(-1)?.to).toBeLessThanOrEqual(290.001);
  });
});
