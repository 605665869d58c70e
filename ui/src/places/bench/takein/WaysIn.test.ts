import { describe, expect, it } from "vitest";
import { cost } from "./WaysIn";

const way = (minutes: number, parts: number, followed = false) => ({
  id: "w",
  title: "W",
  say: "",
  standard: false,
  followed,
  minutes,
  parts,
  risk: "",
});

describe("what another school would cost", () => {
  const followed = way(55, 4, true);

  it("is told in full for the way that is followed, as the difference for the others", () => {
    const all = [followed, way(59, 4), way(50, 9), way(55, 2), way(55, 4)];
    expect(all.map((w) => cost(w, all))).toEqual([
      "55 min, 4 parts",
      "4 min more",
      "5 min less, 5 parts more",
      "2 parts fewer",
      "the same work and parts",
    ]);
  });

  it("says nothing where no way costs another", () => {
    expect(cost(followed, [followed, way(55, 4)])).toBe("");
  });
});
