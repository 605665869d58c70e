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
});

describe("what another school would cost", () => {
  it("is told in full for the way that is followed", () => {
    expect(cost(way(55, 4, true), way(55, 4, true))).toBe("55 min, 4 parts");
  });

  it("is told as the difference for the others", () => {
    expect(cost(way(59, 4), way(55, 4, true))).toBe("4 min more");
    expect(cost(way(50, 9), way(55, 4, true))).toBe("5 min less, 5 parts more");
    expect(cost(way(55, 2), way(55, 4, true))).toBe("2 parts fewer");
  });

  it("says so where nothing differs", () => {
    expect(cost(way(55, 4), way(55, 4, true))).toBe("the same work and parts");
  });
});
