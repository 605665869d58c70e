import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import type { ConsumableLine, Danger, MeasureView, ProofView } from "../api/types";
import { AmountStrip } from "./AmountStrip";
import { thickness } from "./known";
import { DANGER_WORDS, MeetingPair } from "./MeetingPair";
import { BeforeAfter, Wedge } from "./BeforeAfter";
import { MeasureScale } from "./MeasureScale";
import { Rhythm, Signature } from "./Signature";
import { TestPlot } from "./TestPlot";

const BORE: MeasureView = {
  measure: "bore",
  name: "Bore",
  unit: "mm",
  asNew: 18,
  watch: 18.4,
  renew: 18.8,
  above: null,
  eitherWay: false,
  value: null,
  by: "",
  overdue: false,
  before: "",
  source: { kind: "starting", page: "" },
};

/** Where the marker of a reading stands; undefined where there is none. */
function marker(measure: MeasureView, typed: number | null): number | undefined {
  const found = renderToStaticMarkup(<MeasureScale measure={measure} typed={typed} width={200} />).match(
    /<circle cx="([\d.]+)"/,
  );
  return found ? Number(found[1]) : undefined;
}

describe("how well a row is known", () => {
  it("makes the bar thinner the less it is known, and thinnest where nothing is", () => {
    const [known, usual, thin] = (["known", "usual", "thin"] as const).map((k) => thickness(k, 14));
    expect(known).toBe(14);
    expect(usual).toBeLessThan(known ?? 0);
    expect(thin).toBeLessThan(usual ?? 0);
    expect(thickness(null, 14)).toBe(thin);
  });
});

describe("two fluids that must not meet", () => {
  it("says what comes of it, and draws each danger its own way", () => {
    const drawn = Object.keys(DANGER_WORDS).map((d) => renderToStaticMarkup(<MeetingPair gives={d as Danger} />));
    expect(new Set(drawn).size).toBe(5);
    expect(drawn[0]).toContain('aria-label="Poison gas"');
  });
});

describe("amount of a consumable", () => {
  const soap: ConsumableLine = {
    consumable: "soap",
    title: "Soap",
    unit: "ml",
    inDate: 250,
    minimum: 400,
    pack: 100,
    order: 2,
    price: 8,
    leadDays: 4,
    because: "",
    lots: [{ id: "G", amount: 60, status: "over-age", say: "", place: "", price: 8 }],
  };
  const drawn = (line: ConsumableLine) => renderToStaticMarkup(<AmountStrip line={line} />);
  const dashed = (svg: string) => svg.includes("stroke-dasharray");

  it("says what is there, what is over and how much is wanted", () => {
    expect(drawn(soap)).toContain("250 mL in date, 60 over its date, minimum 400");
  });

  it("shows what is missing to the minimum, and nothing where none is", () => {
    expect(dashed(drawn(soap))).toBe(true);
    expect(dashed(drawn({ ...soap, inDate: 400 }))).toBe(false);
  });

  it("marks each whole pack", () => {
    expect(drawn(soap).match(/var\(--card\)/g)).toHaveLength(2);
  });
});

describe("scale of a measure", () => {
  it("says its limits and its reading to those who cannot see it", () => {
    const drawn = renderToStaticMarkup(<MeasureScale measure={{ ...BORE, value: 18.5 }} typed={null} width={200} />);
    expect(drawn).toContain("Watch from 18.4, renew from 18.8 mm, reads 18.5");
    for (const word of ["new", "watch", "renew"]) expect(drawn).toContain(`>${word}<`);
  });

  it("moves the marker right as it gets worse, whichever way that is", () => {
    expect(marker(BORE, null)).toBeUndefined();
    expect(marker(BORE, 18.6)).toBeGreaterThan(marker(BORE, 18.1) ?? Infinity);
    const pin = { ...BORE, asNew: 18, watch: 17.7, renew: 17.4 };
    expect(marker(pin, 17.5)).toBeGreaterThan(marker(pin, 17.9) ?? Infinity);
  });

  it("shows what is typed before what was kept, and keeps both within the drawing", () => {
    expect(marker({ ...BORE, value: 18 }, 18.7)).toBe(marker(BORE, 18.7));
    expect(marker(BORE, 500)).toBeLessThanOrEqual(200);
    expect(marker(BORE, -500)).toBeGreaterThanOrEqual(0);
  });

  it("counts a change of hardness the same up and down", () => {
    const hardness = { ...BORE, asNew: 0, watch: 5, renew: 10, eitherWay: true };
    expect(marker(hardness, -7)).toBe(marker(hardness, 7));
  });

  it("shows both ends where too little is as bad as too much", () => {
    const coil = { ...BORE, asNew: null, watch: 46, renew: 40, above: { watch: 56, renew: 60 } };
    const at = [30, 43, 51, 58, 70].map((ohm) => marker(coil, ohm) ?? Infinity);
    expect(at).toEqual([...at].sort((a, b) => a - b));
    expect(new Set(at).size).toBe(5);
    expect(renderToStaticMarkup(<MeasureScale measure={coil} typed={null} width={200} />)).toContain(
      "Watch from 46, renew from 40 mm; watch from 56, renew from 60 mm",
    );
  });

  it("does without a size when new", () => {
    expect(
      renderToStaticMarkup(<MeasureScale measure={{ ...BORE, asNew: null }} typed={18.2} width={200} />),
    ).not.toContain(">new<");
  });
});

describe("chance before and after", () => {
  const widths = (before: number, after: number) =>
    [
      ...renderToStaticMarkup(<BeforeAfter before={before} after={after} first />).matchAll(
        /<rect[^>]*width="([\d.]+)"/g,
      ),
    ].map((m) => Number(m[1]));

  it.each([
    [0.2, 0.8],
    [0.9, 0.1],
    [0, 1],
    [0.5, 0.5],
  ])("from %d to %d: two bars as long as their chances", (before, after) => {
    const [now = 0, then = 0] = widths(before, after);
    expect(Math.sign(now - then)).toBe(Math.sign(after - before));
  });

  it("draws an arrow only where something moved", () => {
    const arrow = /l-?5,-2.4/;
    expect(renderToStaticMarkup(<BeforeAfter before={0.2} after={0.7} first={false} />)).toMatch(arrow);
    expect(renderToStaticMarkup(<BeforeAfter before={0.2} after={0.2} first={false} />)).not.toMatch(arrow);
  });

  it("fills the wedge that raised and leaves open the one that lowered", () => {
    expect(renderToStaticMarkup(<Wedge raised />)).toContain('fill="var(--ink)"');
    expect(renderToStaticMarkup(<Wedge raised={false} />)).toContain('stroke="var(--ink)"');
  });
});

const FLOW: ProofView = {
  id: "flow",
  ask: "Flow",
  kind: "number",
  unit: "m3/h",
  min: 0.62,
  max: 0.84,
  clockSeconds: 0,
  answered: false,
  passed: false,
  value: null,
  by: "",
  missed: false,
  seen: "",
  backTo: [],
  shows: [],
  clockUntil: null,
  afterWaits: false,
  calibration: false,
  runs: [],
  before: [
    { value: 0.74, on: "1 Feb 2025", hours: 3000, overdue: false },
    { value: 0.7, on: "3 Sep 2025", hours: 6000, overdue: true },
  ],
  says: "",
  source: { kind: "starting", page: "" },
};

describe("plot of a test", () => {
  const draw = (test: ProofView, typed: number | null = null) =>
    renderToStaticMarkup(<TestPlot test={test} typed={typed} />);
  const dots = (markup: string) => markup.match(/<circle/g)?.length ?? 0;

  it("is not drawn where nothing was ever read", () => expect(draw({ ...FLOW, before: [] })).toBe(""));

  it("shows the tests before with their day, and marks a gauge out of calibration", () => {
    const drawn = draw(FLOW);
    expect(dots(drawn)).toBe(2);
    expect(drawn).toContain("0.7 m3/h on 3 Sep 2025, gauge out of calibration");
    expect(drawn).toContain("none now");
  });

  it("shows a miss in red and a pass in accent", () => {
    expect(draw({ ...FLOW, value: 0.31, answered: true })).toContain('fill="var(--renew)"');
    expect(draw({ ...FLOW, value: 0.71, answered: true, passed: true })).toContain('fill="var(--accent)"');
  });

  it("shows every run of a calibration", () => {
    const runs = draw({
      ...FLOW,
      unit: "mL",
      min: 826,
      max: 894,
      calibration: true,
      before: [],
      runs: [858, 866, 849],
    });
    expect(dots(runs)).toBe(3);
  });

  it("keeps a wild reading within the drawing", () => {
    const ys = [...draw(FLOW, 80).matchAll(/c?y="([-\d.]+)"/g)].map((m) => Number(m[1]));
    for (const y of ys) {
      expect(y).toBeGreaterThanOrEqual(0);
      expect(y).toBeLessThanOrEqual(80);
    }
  });
});

describe("an unknown drawing", () => {
  it("leaves its place empty and does not break the page", () => {
    expect(renderToStaticMarkup(<Signature id="moonlit" />)).not.toContain("<path");
    expect(renderToStaticMarkup(<Rhythm id="moonlit" />)).not.toContain("<path");
  });
});
