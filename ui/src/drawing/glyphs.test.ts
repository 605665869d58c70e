import { describe, expect, it } from "vitest";
import sheet from "../../../library/sheets/aodd-bolted-plastic-25.yaml?raw";
import { glyph, loose, type Stroke } from "./glyphs";

const NAMES = [...new Set([...sheet.matchAll(/glyph: ([a-z-]+)/g)].map((m) => m[1] ?? ""))];

/** Every absolute number pair of a path that only uses absolute commands. */
function numbers(stroke: Stroke): number[] {
  return (stroke.d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
}

describe("the part vocabulary", () => {
  it("has a glyph of its own for every part of the shipped sheet", () => {
    const plain = glyph("no-such-glyph");
    for (const name of NAMES) expect(glyph(name), name).not.toEqual(plain);
  });

  it("draws something sensible for a glyph it does not know", () => {
    const g = glyph("no-such-glyph");
    expect(g.strokes.length).toBeGreaterThan(0);
    expect(g.right).toBeGreaterThan(g.left);
  });

  it.each(NAMES)("keeps %s within its stated bounds", (name) => {
    const g = glyph(name);
    expect(g.right).toBeGreaterThan(g.left);
    expect(g.radius).toBeGreaterThan(0);
    const reach = Math.max(Math.abs(g.left), Math.abs(g.right), g.radius) + 30;
    for (const s of g.strokes) {
      for (const n of numbers(s)) expect(Math.abs(n)).toBeLessThanOrEqual(Math.max(150, reach));
    }
  });

  it("shows O-rings as rings once they are out of their grooves", () => {
    expect(loose("o-rings")).toBe("o-rings-loose");
    expect(loose("o-rings-on-sleeve")).toBe("o-rings-loose");
    expect(loose("shaft")).toBe("shaft");
    expect(glyph("o-rings-loose").radius).toBeLessThan(glyph("o-rings").radius);
  });

  it.each(NAMES)("gives %s a closed outline for its ghost", (name) => {
    expect(glyph(name).outline).toMatch(/^M.*Z$/s);
  });
});
