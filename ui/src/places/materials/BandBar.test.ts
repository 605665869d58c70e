import { describe, expect, it } from "vitest";
import type { ResistanceLine } from "../../api/types";
import { band, said } from "./BandBar";

const row: ResistanceLine = {
  fromPct: 0,
  toPct: 15,
  fullC: 40,
  limitedC: 58,
  effect: "swells",
  basis: "seen here",
  source: "this shop",
  date: "2026-01-05",
  note: "",
  known: "usual",
  ownRow: null,
  under: false,
  doubts: [],
};

describe("a row of the library in words", () => {
  it("names its band", () => {
    expect(band(row)).toBe("0 to 15 %");
    expect(band({ fromPct: 0, toPct: 100 })).toBe("any strength");
    expect(band({ fromPct: 0.5, toPct: 2.25 })).toBe("0.5 to 2.25 %");
  });

  it("tells both limits, the effect and whose word it is", () => {
    expect(said(row)).toBe("0 to 15 %: full resistance to 40 °C, limited to 58 °C, swells, as it usually is");
    expect(said({ ...row, ownRow: 7 })).toMatch(/, own row$/);
  });

  it("tells what is never fit, and what is limited from the start", () => {
    expect(said({ ...row, fullC: null, limitedC: null })).toContain("never fit");
    expect(said({ ...row, fullC: null })).toContain("full resistance to nothing, limited to 58 °C");
  });
});
