import { describe, expect, it } from "vitest";
import { headline, place } from "./Insights";

const find = { kind: "habit" as const, pump: "", role: "tube", material: "EPDM tube", duty: "soda-ash" };

describe("what the records say", () => {
  it("adds up what is still to change", () => {
    const done = { state: "sound" as const, aYear: 500 };
    expect(headline([done])).toBe("Nothing in the records asks for a change.");
    expect(headline([done, { state: "renew", aYear: null }])).toBe("One thing to change.");
    expect(headline([done, { state: "watch", aYear: 1200.4 }, { state: "watch", aYear: 100 }])).toBe(
      "2 things to change, worth £1 300 a year.".replace("1 300", "1\u2009300"),
    );
  });

  it("leads to the place that shows it", () => {
    expect(place(find)).toBe("/life?role=tube&material=EPDM+tube&duty=soda-ash");
    expect(place({ ...find, kind: "no-age", pump: "EFF-04" })).toBe("/life?pump=EFF-04&level=pump");
    expect(place({ ...find, kind: "milder", pump: "DYE-04" })).toBe("/wet-ends/DYE-04");
    expect(place({ ...find, kind: "over-age" })).toBe("/stores");
  });
});
