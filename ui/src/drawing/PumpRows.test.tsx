import { renderToStaticMarkup } from "react-dom/server";
import { expect, test } from "vitest";
import type { LifeView } from "../api/types";
import { FitStretches } from "./FitStretches";
import { PumpRows } from "./PumpRows";

const pump = (tag: string, wear: number, age: number | null, best: number | null) => ({
  pump: tag,
  runs: 8,
  failures: 5,
  wear,
  wearLow: wear * 0.7,
  wearHigh: wear * 1.4,
  age,
  best,
  risk30: 0.1,
  state: age !== null && best !== null && age > best ? "watch" : "sound",
  say: "320 h past",
});

const life = {
  of: { pump: "SCR-03" },
  curve: [{ age: 0 }, { age: 4000 }],
  runs: [
    { pump: "SCR-03", age: 900, failed: true },
    { pump: "SCR-03", age: 9000, failed: false },
    { pump: "SCR-02", age: 1500, failed: true },
  ],
  pumps: [pump("SCR-02", 0.9, 800, 1380), pump("SCR-03", 1.7, 1060, 740), pump("SCR-04", 1, null, null)],
  fresh: { half: 2280, low: 710, high: 5870, best: 1220 },
  fit: {
    stretches: [
      { from: 0, to: 118, failed: 3, low: 0, high: 0, agreement: "more" },
      { from: 118, to: 1600, failed: 4, low: 1, high: 10, agreement: "agrees" },
      { from: 1600, to: null, failed: 0, low: 0, high: 0, agreement: "agrees" },
    ],
  },
} as unknown as LifeView;

/** Every x of a mark, a line or a word. */
function places(svg: string): number[] {
  return [...svg.matchAll(/(?: x="|[MH])(-?[\d.]+)/g)].map((m) => Number(m[1]));
}

test.each([880, 390])("nothing of a row stands outside of %i pixels, however old a set became", (width) => {
  const svg = renderToStaticMarkup(<PumpRows life={life} width={width} />);
  expect(svg).not.toContain("NaN");
  expect(Math.max(...places(svg))).toBeLessThanOrEqual(width);
  for (const words of ["1.7", "1.2–2.4", "740 h", "no age", "A new pump", "2\u2009280"]) expect(svg).toContain(words);
});

test("a pump that surely wears faster stands out, one that may not does not", () => {
  const svg = renderToStaticMarkup(<PumpRows life={life} width={880} />);
  expect(svg).toMatch(/var\(--renew\)"[^>]*>1\.7</);
  expect(svg).toMatch(/var\(--ink\)"[^>]*>0\.9</);
});

test("a stretch where curve and facts part stands out; one where nothing was seen is left out", () => {
  const svg = renderToStaticMarkup(<FitStretches life={life} width={880} />);
  expect(svg).toMatch(/var\(--renew\)"[^>]*>3</);
  expect(svg).toContain("1–10");
  expect(svg.match(/<g>/g)).toHaveLength(2);
});
