import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import type { YearSide, YearView } from "../../../api/types";
import { YearLoom } from "../../../drawing/year/YearLoom";
import { fullHeight, KitWaits } from "../../../drawing/year/KitWaits";
import { WeekHours } from "../../../drawing/year/WeekHours";
import { YearWords } from "./YearWords";

const band = (low: number, middle: number, high: number) => ({ low, middle, high });

const side = (title: string, policy: YearSide["policy"], by: number): YearSide => ({
  policy,
  title,
  money: band(10_040 + by, 12_000 + by, 14_960 + by),
  paid: band(9_000 + by, 11_000, 13_000 + by),
  failures: band(6, 8, 11),
  renewals: 40,
  downDays: 3,
  moneyOf: [10_000 + by, 12_000, 15_000 + by],
  failuresOf: [6, 8, 11],
});

const year: YearView = {
  from: "2026-11-30",
  years: 3,
  pumps: 24,
  leaves: "",
  left: side("As today", "as-today", 4_000),
  right: side("As advised", "as-advised", 0),
  cheaper: 2,
  fewer: 1,
  saves: band(-340, 3_000, 6_000),
  withOwnLuck: band(-4_000, 3_000, 9_000),
  weeks: Array.from({ length: 52 }, (_, w) => ({
    from: new Date(Date.UTC(2026, 10, 30 + 7 * w)).toISOString().slice(0, 10),
    hours: 12,
    left: band(0, 4, 9),
    right: band(0, 3, w === 5 ? 14 : 8),
    overLeft: 0,
    overRight: w === 5 ? 0.04 : 0,
  })),
  kits: [
    {
      number: 0,
      name: "NBR Stator kit",
      there: 2,
      leadDays: 28,
      left: 0.62,
      right: 1,
      weeksLeft: Array<number>(52).fill(0.1),
      weeksRight: Array<number>(52).fill(0.3),
    },
  ],
  drivers: [],
  others: { pumps: 24, saves: 3_000 },
  driving: "",
  changes: [],
};

const text = (html: string) =>
  html
    .replace(/<[^>]*>/g, " ")
    .replace(/[\u2060\u2009]/g, "")
    .replace(/\s+/g, " ");

describe("the year ahead", () => {
  it("says both policies in hundreds, which is as close as a year is known", () => {
    const said = text(renderToStaticMarkup(<YearWords year={year} />));
    expect(said).toMatch(/As advised .?10000 to .?15000 and 6 to 11 failures;/);
    expect(said).toMatch(/as today .?14000 to .?19000 and 6 to 11\./);
    expect(said).toMatch(/from .?300 dearer to .?6000 cheaper/);
  });

  it("draws one hairline a year and marks the dearer ones, wide and narrow", () => {
    const wide = renderToStaticMarkup(<YearLoom year={year} width={890} />);
    expect(wide.match(/opacity="0.75"/g)?.length).toBe(undefined);
    expect(wide.match(/opacity="0.26"/g)?.length).toBe(6);
    const dearer = { ...year, right: { ...year.right, moneyOf: [20_000, 12_000, 15_000] } };
    expect(renderToStaticMarkup(<YearLoom year={dearer} width={390} />).match(/opacity="0.75"/g)?.length).toBe(2);
  });

  it("names the week in which more is asked for than the shifts hold", () => {
    expect(text(renderToStaticMarkup(<WeekHours year={year} left={60} width={890} />))).toMatch(
      /more than the shifts hold in the week of .*: 4 in 100, as today 0/,
    );
    const many = { ...year, weeks: year.weeks.map((w) => ({ ...w, hours: 70, overRight: 0 })) };
    expect(text(renderToStaticMarkup(<WeekHours year={many} left={60} width={890} />))).toContain(
      "the shifts hold 70 h a week",
    );
  });

  it("draws waits for kits on one height", () => {
    expect(fullHeight(year)).toBe(0.3);
    expect(text(renderToStaticMarkup(<KitWaits year={year} left={60} width={890} />))).toContain("100 of 100 years");
  });
});
