import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import type { SetupTableId, SetupTableInShort } from "../../api/types";
import { MemoryRouter } from "react-router";
import { AlreadyRuns } from "./AlreadyRuns";
import { ShopFilling, filled } from "./ShopFilling";

const table = (id: SetupTableId, rows: number): SetupTableInShort => ({
  table: id,
  title: id,
  one: id,
  rows,
  retired: 0,
  needs: "",
});

const ALL: SetupTableId[] = [
  "areas",
  "pumps",
  "duties",
  "fitted-parts",
  "energies",
  "wrenches",
  "gauges",
  "kits",
  "offers",
  "consumable-offers",
  "lots",
  "shifts",
  "line-stops",
];

describe("the shop as a pump", () => {
  it.each([
    [[0, 0], "unknown", 0],
    [[3, 0], "watch", 3],
    [[3, 2], "sound", 5],
  ])("a part whose tables hold %j rows is %s", (rows, state, all) => {
    const tables = [table("wrenches", rows[0] ?? 0), table("gauges", rows[1] ?? 0)];
    expect(filled(tables, { tables: ["wrenches", "gauges"] })).toEqual({ state, rows: all });
  });

  it("says what is in and what comes next, and closes when all is there", () => {
    const draw = (rows: (id: SetupTableId) => number) =>
      renderToStaticMarkup(<ShopFilling tables={ALL.map((id) => table(id, rows(id)))} />);
    expect(draw(() => 0)).toContain("0 of 7 in. Next: areas.");
    expect(draw((id) => (id === "areas" ? 4 : id === "pumps" ? 24 : 0))).toContain("2 of 7 in. Next: what is in them.");
    expect(draw(() => 1)).toBe("");
  });
});

describe("what already runs", () => {
  const waits = (there: SetupTableId[]) =>
    [
      ...renderToStaticMarkup(
        <MemoryRouter>
          <AlreadyRuns tables={ALL.map((id) => table(id, there.includes(id) ? 2 : 0))} />
        </MemoryRouter>,
      ).matchAll(/waits for [a-z ]+/g),
    ].map((m) => m[0]);

  it.each<[SetupTableId[], string[]]>([
    [[], ["waits for pumps", "waits for pumps", "waits for duties", "waits for prices or lots", "waits for shifts"]],
    [
      ["pumps", "lots"],
      ["waits for duties", "waits for shifts"],
    ],
    [["pumps", "duties", "kits", "shifts"], []],
  ])("with rows in %j", (there, expected) => {
    expect(waits(there)).toEqual(expected);
  });
});
