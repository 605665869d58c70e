import { describe, expect, it } from "vitest";
import { density, outline } from "./density";

describe("density of years", () => {
  it("is highest where most years lie and nothing where none does", () => {
    const shape = density([50, 50, 50, 51, 80], 0, 100);
    expect(shape.indexOf(1)).toBe(32);
    expect(shape[51]).toBeGreaterThan(0.2);
    expect(shape[5]).toBe(0);
    expect(density([], 0, 1).every((v) => v === 0)).toBe(true);
  });

  it("is drawn to both sides of its line", () => {
    const path = outline(density([50], 0, 100), 0, 640, 20, 10);
    expect(path).toContain("320.0,10.0");
    expect(path).toContain("320.0,30.0");
    expect(outline([0, 0], 0, 10, 0, 1)).toBe("");
  });
});
