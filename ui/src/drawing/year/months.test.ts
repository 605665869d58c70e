import { describe, expect, it } from "vitest";
import { months } from "./months";

describe("months under a row of weeks", () => {
  it("stand at the first week that begins in them", () => {
    const weeks = ["2026-11-30", "2026-12-07", "2026-12-28", "2027-01-04", "2027-01-11"].map((from) => ({ from }));
    expect(months(weeks).map((m) => m.week)).toEqual([1, 3]);
    expect(months([])).toEqual([]);
  });
});
