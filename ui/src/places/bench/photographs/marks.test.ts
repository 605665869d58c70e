import { describe, expect, it } from "vitest";
import { drawn, path } from "./marks";

const SIZE = { width: 1000, height: 500 };

describe("a mark on a photograph", () => {
  it("is kept as shares of the picture and ends at its edge", () => {
    expect(drawn("arrow", { x: 100, y: 50 }, { x: 1200, y: -20 }, SIZE)).toEqual({
      shape: "arrow",
      fromX: 0.1,
      fromY: 0.1,
      toX: 1,
      toY: 0,
      label: "",
    });
  });
  it("is none where a finger only touched", () => {
    expect(drawn("ring", { x: 100, y: 50 }, { x: 110, y: 55 }, SIZE)).toBeNull();
  });
  it("is drawn the same whichever corner it began at", () => {
    const ring = drawn("ring", { x: 100, y: 100 }, { x: 300, y: 200 }, SIZE);
    const back = drawn("ring", { x: 300, y: 200 }, { x: 100, y: 100 }, SIZE);
    if (!ring || !back) throw new Error("both are marks");
    expect(path(ring, 1000, 500)).toBe(path(back, 1000, 500));
    expect(path(ring, 1000, 500)).toContain("M100,150a100,50");
  });
});
