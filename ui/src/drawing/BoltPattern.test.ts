import { describe, expect, it } from "vitest";
import { boltPlaces } from "./BoltPattern";

const distance = (a: [number, number], b: [number, number]) => Math.hypot(a[0] - b[0], a[1] - b[1]);

describe("where fasteners lie", () => {
  it("puts a single one in the middle", () => {
    expect(boltPlaces(1, "circle")).toEqual([[101, 101]]);
  });

  it.each([3, 4, 6, 8, 12, 16])("spaces %i evenly round a circle", (count) => {
    const places = boltPlaces(count, "circle");
    expect(places).toHaveLength(count);
    const gaps = places.map((p, i) => distance(p, places[(i + 1) % count] ?? p));
    for (const gap of gaps) expect(gap).toBeCloseTo(gaps[0] ?? 0, 6);
  });

  it("numbers a circle clockwise from the top", () => {
    const [first = [0, 0], second = [0, 0]] = boltPlaces(8, "circle");
    expect(first[0]).toBeGreaterThan(101);
    expect(first[1]).toBeLessThan(101);
    expect(second[0]).toBeGreaterThan(first[0]);
  });

  it.each([4, 6, 8])("numbers a rectangle of %i clockwise along its long sides", (count) => {
    const places = boltPlaces(count, "rectangle");
    const top = places.slice(0, count / 2);
    const bottom = places.slice(count / 2);
    expect(top.every(([, y]) => y < 101)).toBe(true);
    expect(bottom.every(([, y]) => y > 101)).toBe(true);
    expect(top.map(([x]) => x)).toEqual([...top.map(([x]) => x)].sort((a, b) => a - b));
    expect(bottom.map(([x]) => x)).toEqual([...bottom.map(([x]) => x)].sort((a, b) => b - a));
  });

  it.each([
    [2, 10],
    [5, 12],
    [10, 24],
  ])("keeps %i to %i fasteners apart from each other", (from, to) => {
    for (let count = from; count <= to; count++) {
      const places = boltPlaces(count, "circle");
      const closest = Math.min(...places.slice(1).map((p, i) => distance(p, places[i] ?? p)));
      expect(closest).toBeGreaterThan(18);
    }
  });
});
