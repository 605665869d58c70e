import { describe, expect, it } from "vitest";
import signatures from "./shapes/signatures.json";
import symptoms from "./shapes/symptoms.json";

const TABLES = import.meta.glob<string>("../../../library/diagnosis/s*.csv", {
  eager: true,
  query: "?raw",
  import: "default",
});

const table = (name: string): string => TABLES[`../../../library/diagnosis/${name}.csv`] ?? "";

/** First column of a shipped table. */
const ids = (name: string): string[] =>
  table(name)
    .trim()
    .split("\n")
    .slice(1)
    .map((line) => line.split(",")[0] ?? "");

const DRAWN = Object.entries(signatures as Record<string, string[][]>);
const RHYTHMS = Object.entries(symptoms as Record<string, string[][]>);

describe("drawn signatures", () => {
  it("has one drawing for each signature of the tables, and no other", () => {
    expect(DRAWN.map(([id]) => id).sort()).toEqual(ids("signatures").sort());
  });

  it("has a rhythm for each symptom of the tables", () => {
    const asked = new Set([...table("symptoms").matchAll(/,([a-z]+),0?\.\d+,[a-z|-]*$/gm)].map((m) => m[1]));
    expect(asked.size).toBe(RHYTHMS.length);
  });

  it.each([...DRAWN, ...RHYTHMS])("%s shows what is wrong in red, and something that is not", (_, strokes) => {
    const kinds = strokes.map(([kind]) => kind);
    expect(kinds.some((k) => k === "damage" || k === "wound")).toBe(true);
    for (const [, path = ""] of strokes) expect(path).toMatch(/^M-?[\d.]/);
  });

  it.each(DRAWN)("%s differs from every other signature", (id, strokes) => {
    const same = DRAWN.filter(([other, s]) => other !== id && JSON.stringify(s) === JSON.stringify(strokes));
    expect(same).toEqual([]);
  });

  it.each(DRAWN)("%s stays within its box", (_, strokes) => {
    // Absolute coordinates only: arcs and relative parts start from one of these.
    for (const [, path = ""] of strokes) {
      for (const [, x, y] of path.matchAll(/[ML](-?[\d.]+),(-?[\d.]+)/g)) {
        expect(Number(x)).toBeGreaterThanOrEqual(-1);
        expect(Number(x)).toBeLessThanOrEqual(111);
        expect(Number(y)).toBeGreaterThanOrEqual(-1);
        expect(Number(y)).toBeLessThanOrEqual(65);
      }
    }
  });
});
