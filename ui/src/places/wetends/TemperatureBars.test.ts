import { describe, expect, it } from "vitest";
import { verdictState } from "../../parts/Mark";
import { marginWord } from "./TemperatureBars";

describe("the word beside a duty tick", () => {
  it("counts to full resistance while the material is suited", () => {
    expect(marginWord({ verdict: "suited", fullC: 88, limitedC: 96 }, 75)).toBe("+13 K");
  });

  it("counts how far it runs into limited life", () => {
    expect(marginWord({ verdict: "limited", fullC: 60, limitedC: 80 }, 75)).toBe("−15 K");
  });

  it("counts how far it is past its last limit when it is out", () => {
    expect(marginWord({ verdict: "unsuited", fullC: 25, limitedC: 45 }, 75)).toBe("−30 K");
  });

  it("has no number where there is none", () => {
    expect(marginWord({ verdict: "unsuited", fullC: null, limitedC: null }, 20)).toBe("attacked");
    expect(marginWord({ verdict: "unknown", fullC: null, limitedC: null }, 20)).toBe("unknown");
  });
});

describe("a verdict as a shape", () => {
  it.each([
    ["suited", "sound"],
    ["limited", "watch"],
    ["unsuited", "renew"],
    ["unknown", "unknown"],
  ] as const)("%s is %s", (verdict, state) => {
    expect(verdictState(verdict)).toBe(state);
  });
});
