import { renderToStaticMarkup } from "react-dom/server";
import { expect, test } from "vitest";
import type { LifeView } from "../api/types";
import { LifePlot } from "./LifePlot";

const curve = Array.from({ length: 41 }, (_, i) => ({
  age: i * 100,
  value: Math.exp(-((i / 25) ** 2.5)),
  low: Math.exp(-((i / 20) ** 2.5)),
  high: Math.exp(-((i / 32) ** 2.5)),
  alone: Math.exp(-((i / 24) ** 3)),
}));

const policy = (way: string, every: number | null, per1000h: number, chosen: boolean) => ({
  way,
  title: way,
  say: "",
  every,
  to: every === null ? null : every + 250,
  per1000h,
  perYear: 0,
  failuresPerYear: 1,
  renewalsPerYear: 1,
  bar: "none",
  chosen,
});

const life = (of: Partial<LifeView> = {}): LifeView =>
  ({
    estimate: { tells: true, runs: 6, failures: 3, sound: 1, running: 2 },
    steps: [
      { age: 1200, survival: 0.8, low: 0.5, high: 0.95 },
      { age: 2000, survival: 0.5, low: 0.2, high: 0.75 },
      { age: 2600, survival: 0, low: null, high: null },
    ],
    curve,
    runs: [
      { pump: "SCR-03", from: 0, age: 1200, failed: true, on: "2026-01-01", cause: "" },
      { pump: "SCR-03", from: 0, age: 1500, failed: false, on: "2026-01-01", cause: "" },
      { pump: "SCR-03", from: 0, age: 2000, failed: true, on: "2026-01-01", cause: "" },
    ],
    running: [
      { pump: "SCR-02", age: 600, state: "sound", say: "1 000 h to go" },
      { pump: "SCR-04", age: 2300, state: "renew", say: "700 h past" },
    ],
    costs: curve.slice(1).map((p) => ({ age: p.age, fixed: 50 + 90_000 / p.age + p.age / 50, look: 140 })),
    policies: [policy("fixed", 1600, 140, true), policy("until-it-fails", null, 200, false)],
    today: { age: 2400, per1000h: 160, overPerYear: 880, say: "today, about 2 400 h" },
    ...of,
  }) as unknown as LifeView;

const drawn = (of: Partial<LifeView> = {}) =>
  renderToStaticMarkup(<LifePlot life={life(of)} width={880} other={null} />);

test("it says what it shows to those who do not see it", () => {
  expect(drawn()).toContain("6 runs, 3 failed, 1 came out sound, 2 still running; best renewed at 1\u2009600 hours");
  expect(drawn({ policies: [] })).toContain("no age stands out");
});

test("the likelihood of the runs alone is drawn beside what is believed, where it can be", () => {
  expect(drawn()).toContain("by the runs alone, all pumps as one");
  expect(drawn({ curve: curve.map((p) => ({ ...p, alone: null })) })).not.toContain("by the runs alone");
});

test("every run that came out has its mark, every set that runs its bar", () => {
  const svg = drawn();
  expect(svg.match(/fill="var\(--renew\)"/g)?.length).toBeGreaterThanOrEqual(3);
  for (const words of ["SCR-02", "SCR-04", "700 h past"]) expect(svg).toContain(words);
  expect(svg).not.toContain("NaN");
});

test("today stands on the curve with what it costs over the best", () => {
  expect(drawn()).toContain("£880 a year over the best");
  expect(drawn({ today: null })).not.toContain("over the best");
});

test("with few failures the curve is the library's, and dotted", () => {
  const few = drawn({ estimate: { tells: false, runs: 6, failures: 1, sound: 3, running: 2 } as LifeView["estimate"] });
  expect(few).toContain("what the library expects");
  expect(few).toContain('stroke-dasharray="2 4"');
  expect(drawn()).toContain("believed; dashes: 9 times in 10");
});

test("a second group is drawn beside the first", () => {
  const svg = renderToStaticMarkup(
    <LifePlot
      life={life()}
      width={880}
      other={{ title: "EPDM in wool grease", runs: 4, failures: 4, expected: 1, steps: life().steps }}
    />,
  );
  expect(svg).toContain("EPDM in wool grease");
  expect(svg).toContain('stroke-dasharray="7 3 2 3"');
});

test("no costs known, no cost curves; nothing running, that is said", () => {
  const svg = drawn({ costs: [], policies: [], running: [], today: null });
  expect(svg).not.toContain("£ per");
  expect(svg).toContain("no pump runs with it now");
});

test("many sets that run are shown from the oldest, the others counted", () => {
  const running = Array.from({ length: 12 }, (_, i) => ({
    pump: `DYE-${i}`,
    age: 100 * i,
    state: "sound" as const,
    say: "",
  }));
  const svg = drawn({ running });
  expect(svg).toContain("and 4 younger");
  expect(svg).toContain("DYE-11");
  expect(svg).not.toContain(">DYE-3<");
});
