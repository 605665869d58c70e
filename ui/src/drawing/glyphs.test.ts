import { describe, expect, it } from "vitest";
import { glyph, glyphNames, loose, type Stroke } from "./glyphs";

const SHEETS: Record<string, string> = import.meta.glob("../../../library/sheets/*.yaml", {
  query: "?raw",
  import: "default",
  eager: true,
});
const NAMES = [
  ...new Set(Object.values(SHEETS).flatMap((s) => [...s.matchAll(/glyph: ([a-z0-9-]+)/g)].map((m) => m[1] ?? ""))),
];

/** Every absolute number pair of a path that only uses absolute commands. */
function numbers(stroke: Stroke): number[] {
  if (stroke.as === "lettering") return [stroke.x, stroke.y];
  return (stroke.d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
}

describe("the part vocabulary", () => {
  it("ships eighteen constructions", () => expect(Object.keys(SHEETS)).toHaveLength(18));

  it("has a glyph of its own for every part of every shipped sheet", () => {
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
      if (s.as === "shape" && s.clip) continue;
      for (const n of numbers(s)) expect(Math.abs(n)).toBeLessThanOrEqual(Math.max(150, reach));
    }
  });

  it("paints with the tones and hatches of the theme only", () => {
    const tones = new Set(["ink", "card", "paper", "tray", "dust", "rubber"]);
    for (const name of glyphNames()) {
      for (const s of glyph(name).strokes) {
        if (s.as !== "shape") continue;
        for (const tone of [s.fill, s.stroke].filter((t) => t !== undefined)) {
          expect(tone.startsWith("#") || tones.has(tone), `${name}: ${tone}`).toBe(true);
        }
      }
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
