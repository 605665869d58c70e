import { describe, expect, it } from "vitest";
import { monthStarts } from "./Months";

describe("first days of the months on the line of time", () => {
  it("counts them from today", () => {
    const months = monthStarts("2026-03-17", -365, 184);
    expect(months.find((m) => m.name === "Apr" && m.days > 0)?.days).toBe(15);
    expect(months.find((m) => m.name === "Mar" && m.days > -60)?.days).toBe(-16);
  });

  it("holds one for every month of the span, in order", () => {
    const months = monthStarts("2026-03-17", -365, 184);
    expect(months).toHaveLength(18);
    expect(months.map((m) => m.days)).toEqual([...months.map((m) => m.days)].sort((a, b) => a - b));
  });

  it("marks January", () => {
    expect(monthStarts("2026-03-17", -365, 184).filter((m) => m.january)).toHaveLength(1);
  });

  it("is not moved by summer time", () => {
    const days = monthStarts("2026-11-24", -365, 184).map((m) => m.days);
    expect(days.every(Number.isInteger)).toBe(true);
    expect(days).toContain(7);
  });
});
