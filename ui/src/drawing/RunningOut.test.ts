import { describe, expect, it } from "vitest";
import { left, thickness } from "./RunningOut";

describe("the taper of a set", () => {
  const pump = { fittedDays: -100, expectedDays: 50 };

  it("is whole where it was fitted and nearly gone where it is expected to end", () => {
    expect(left(pump, -100)).toBe(1);
    expect(left(pump, 50)).toBeCloseTo(0.03);
  });

  it("thins in a straight line", () => {
    expect(left(pump, -25)).toBeCloseTo(0.5);
    expect(left(pump, 0)).toBeCloseTo(1 / 3);
  });

  it("never vanishes or swells, whatever the days", () => {
    for (const day of [-500, -100, 0, 49, 51, 900]) {
      expect(left(pump, day)).toBeGreaterThan(0);
      expect(left(pump, day)).toBeLessThanOrEqual(1);
    }
    expect(left({ fittedDays: 0, expectedDays: 0 }, 0)).toBeGreaterThan(0);
  });
});

describe("the thickness of the lens", () => {
  it("has the density for its cross-section", () => {
    expect(thickness(0.008) ** 2 / thickness(0.004) ** 2).toBeCloseTo(2);
  });

  it("is nothing without a chance and never thicker than its row", () => {
    expect(thickness(0)).toBe(0);
    expect(thickness(1)).toBe(thickness(0.5));
    expect(thickness(1)).toBeLessThan(21);
  });
});
