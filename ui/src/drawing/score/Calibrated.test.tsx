import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import type { ScoreView } from "../../api/types";
import { AdvisedDone } from "./AdvisedDone";
import { Calibrated } from "./Calibrated";

const set = (said: number, failed: boolean, late: number | null) => ({
  pump: "EFF-01",
  material: "NBR",
  ended: "2026-10-01",
  said,
  failed,
  late,
  cause: "",
});

const bin = (from: number, to: number, sets: number, failed: number, parts: boolean) => ({
  from,
  to,
  sets,
  said: (from + to) / 2,
  failed,
  low: 0,
  high: 3,
  parts,
});

const score: ScoreView = {
  headline: "It said 4 would fail. 5 did.",
  say: "",
  sets: 4,
  kept: 1,
  early: 0,
  all: bin(0, 1, 4, 2, false),
  bins: [bin(0.1, 0.2, 2, 0, false), bin(0.55, 1, 2, 2, true)],
  skill: 0.2,
  average: 0.5,
  scored: [set(0.15, false, 0), set(0.15, false, 9), set(0.7, true, -0.2), set(0.8, true, null)],
  surprises: [],
  ways: [{ title: "As advised", sets: 2, failed: 1, per1000: 120, low: 90, high: 180 }],
  followed: "",
  roles: [],
};

describe("forecasts against what came", () => {
  it("marks a bin that parts from what was said", () => {
    const html = renderToStaticMarkup(<Calibrated score={score} width={470} />);
    expect(html.match(/stroke="var\(--watch\)"/g)?.length).toBe(1);
    expect(html.match(/stroke="var\(--sound\)"/g)?.length).toBe(1);
    expect(html).toContain("2/2");
    expect(html).toContain("Called at 15 in 100: 0 of 2 failed, luck allows 0 to 3");
    expect(html).toContain(">55<");
  });

  it("puts what went far over at the edge, and leaves out what nobody advised", () => {
    const html = renderToStaticMarkup(<AdvisedDone score={score} width={400} />);
    expect(html).not.toMatch(/(x|cx)="[5-9]\d\d/);
    // one hourglass of a set and one of the legend
    expect(html.match(/fill="var\(--renew\)"/g)?.length).toBe(2);
    expect(html).toContain("2 sets, 1 failed");
  });
});
