import { describe, expect, it } from "vitest";
import { changes } from "./HistoryLine";

const stop = (days: number, material: string) => ({
  fittedDays: days - 100,
  days,
  material,
  failed: false,
  hours: 0,
  cause: "",
});

describe("where the material changed", () => {
  it("is told once for each stretch", () => {
    const pump = { stops: [stop(-900, "EPDM"), stop(-700, "EPDM"), stop(-300, "FKM")], material: "FKM" };
    expect(changes(pump)).toEqual([
      { material: "EPDM", days: -1095 },
      { material: "FKM", days: -700 },
    ]);
  });

  it("is the fitted one alone where nothing ran before", () => {
    expect(changes({ stops: [], material: "CSM" })).toEqual([{ material: "CSM", days: -1095 }]);
  });

  it("tells the set that is in it now when it is another", () => {
    const pump = { stops: [stop(-200, "TPC-ET")], material: "CSM" };
    expect(changes(pump).map((c) => c.material)).toEqual(["TPC-ET", "CSM"]);
    expect(changes(pump)[1]?.days).toBe(-200);
  });
});
