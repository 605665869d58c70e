import { describe, expect, it } from "vitest";
import { clock, percent, signed, thousands, unbroken } from "./numbers";
import { torque } from "./shop";

describe("numbers on screen", () => {
  it("sets thousands with a thin space", () => {
    expect(thousands(2310)).toBe("2\u2009310");
    expect(thousands(1234567.5)).toBe("1\u2009234\u2009567.5");
    expect(thousands(-1200)).toBe("−1\u2009200");
    expect(thousands(999)).toBe("999");
  });

  it("keeps a number and its unit on one line", () => {
    expect(unbroken("at 1\u2009500 h, 2 mm")).toBe("at 1\u2060\u2009\u2060500\u00a0h, 2\u00a0mm");
    expect(unbroken("a hose")).toBe("a hose");
  });

  it("shows minutes as hours and minutes", () => {
    expect(clock(112)).toBe("1:52");
    expect(clock(9.9)).toBe("0:09");
  });

  it("never rounds a small chance to nothing", () => {
    expect(percent(0.004)).toBe("<1");
    expect(percent(0)).toBe("0");
    expect(percent(0.405)).toBe("41");
  });

  it("shows margins with their sign and torques in the unit of the device", () => {
    expect(signed(13)).toBe("+13");
    expect(signed(-15)).toBe("−15");
    expect(torque(16, "N·m")).toBe("16.0");
    expect(torque(13.558179483314, "ft·lbf")).toBe("10.0");
  });
});
