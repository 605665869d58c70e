import { describe, expect, it } from "vitest";
import { guideOf, withValue, type Guide, type Row } from "./sheetText";

const SHEETS = Object.entries(
  import.meta.glob<string>("../../../../../library/sheets/*.yaml", { query: "?raw", import: "default", eager: true }),
);

const rowsOf = (g: Guide): Row[] => [...g.joints, ...g.proof, ...g.limits];

describe.each(SHEETS)("%s", (_, text) => {
  it("takes a page at every value, and without it is as it was to the letter", { timeout: 60_000 }, () => {
    const rows = rowsOf(guideOf(text));
    expect(rows.length).toBeGreaterThan(3);
    for (const row of rows.filter((_, i) => i % 5 === 0)) {
      const at = row.page?.at ?? [];
      const paged = withValue(text, at, "23");
      const now = rowsOf(guideOf(paged));
      expect(now.filter((r) => r.page?.value === "23").map((r) => r.path)).toEqual([row.path]);
      expect(now.map((r) => r.fields)).toEqual(rows.map((r) => r.fields));
      expect(withValue(paged, at, "")).toBe(text);
    }
  });
});

describe("a sheet's text", () => {
  const text = [
    "id: own # the shop's",
    "title: Own",
    "steps:",
    "  - id: cap-off",
    "    build: Cap on",
    "    stripMinutes: 4 # with the long key",
    "    fastening: {count: 8, thread: M8, minNm: 12.0, maxNm: 15.0}",
    "  - id: last",
    "    build: Last",
    "    buildMinutes: 2",
    "",
  ].join("\n");

  it.each([
    [["steps", 0, "stripMinutes"], "6", "    stripMinutes: 6 # with the long key"],
    [["steps", 0, "fastening", "maxNm"], "16.5", "    fastening: {count: 8, thread: M8, minNm: 12.0, maxNm: 16.5}"],
    [
      ["steps", 0, "fastening", "page"],
      "23",
      "    fastening: {count: 8, thread: M8, minNm: 12.0, maxNm: 15.0, page: 23}",
    ],
    [
      ["steps", 0, "fastening", "thread"],
      'G 1/2" x 14',
      '    fastening: {count: 8, thread: "G 1/2\\" x 14", minNm: 12.0, maxNm: 15.0}',
    ],
    [["steps", 1, "stripMinutes"], "1", "    stripMinutes: 1"],
    [["manual"], "DP25, issue 6", 'manual: "DP25, issue 6"'],
    [["title"], "yes", 'title: "yes"'],
  ])("changes one line at %j", (at, value, line) => {
    const now = withValue(text, at, value);
    const lines = now.split("\n");
    expect(lines).toContain(line);
    expect(lines.filter((l) => !text.split("\n").includes(l))).toEqual([line]);
  });

  it("is left alone where there is no such place", () => {
    expect(withValue(text, ["steps", 7, "stripMinutes"], "3")).toBe(text);
    expect(guideOf("steps: [").minutes).toEqual([]);
  });
});
