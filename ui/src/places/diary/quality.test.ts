import { expect, test } from "vitest";
import { quality } from "./quality";

const search = { jobs: 1007, placed: 208, gap: 0.0312, tried: 5e5, cut: true };

test("a plan that is proved best says so, another how far it can be off", () => {
  expect(quality({ ...search, jobs: 7, placed: 7, gap: 0 })).toBe("All 7 jobs placed; no plan costs less.");
  expect(quality(search)).toMatch(/^208 of 1.?007 jobs placed; the best plan could cost 3\.1 % less at most\.$/);
  expect(quality({ ...search, gap: 0.24 })).toContain("24 % less");
});
