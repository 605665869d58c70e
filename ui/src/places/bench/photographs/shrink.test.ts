import { describe, expect, it } from "vitest";
import { fitted } from "./shrink";

describe("a picture made small", () => {
  it("keeps its proportion and is never made larger", () => {
    expect(fitted(4000, 3000)).toEqual({ width: 1280, height: 960 });
    expect(fitted(3000, 4000)).toEqual({ width: 960, height: 1280 });
    expect(fitted(640, 480)).toEqual({ width: 640, height: 480 });
    expect(fitted(5000, 1)).toEqual({ width: 1280, height: 1 });
  });
});
