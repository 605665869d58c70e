import { afterEach, describe, expect, it } from "vitest";
import { verdictState } from "../../parts/Mark";
import { show, shownIn } from "../../text/shownIn";
import { marginWord, ticksTo } from "./TemperatureBars";

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

describe("the axis of a duty", () => {
  const was = shownIn();
  afterEach(() => show(was));

  it("has its numbers at round degrees of the shop's scale", () => {
    const celsius = ticksTo(120);
    expect(celsius.filter((t) => t.high === 8).map((t) => t.shown)).toEqual([0, 40, 80, 120]);
    expect(celsius.every((t) => t.at === t.shown)).toBe(true);
    show({ ...was, temperature: "fahrenheit" });
    const fahrenheit = ticksTo(120);
    expect(fahrenheit.filter((t) => t.high === 8).map((t) => t.shown)).toEqual([80, 160, 240]);
    expect(fahrenheit.find((t) => t.shown === 160)?.at).toBeCloseTo(71.11, 2);
    expect(marginWord({ verdict: "suited", fullC: 85, limitedC: 96 }, 75)).toBe("+18 °F");
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
