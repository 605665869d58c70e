import { describe, expect, it } from "vitest";
import { labelLines } from "./labelLines";

describe("a name in the room of its column", () => {
  it("keeps a short name on one line, its side below", () => {
    expect(labelLines("Shaft", "A", 80)).toEqual(["Shaft", "A"]);
    expect(labelLines("Shaft", "", 80)).toEqual(["Shaft"]);
  });

  it("breaks a long name between words into at most three lines and loses none", () => {
    const name = "Spacer sleeve with grease shields";
    const lines = labelLines(name, "B", 60);
    expect(lines.length).toBeLessThanOrEqual(3);
    expect(lines.join(" ")).toBe(`${name} B`);
  });
});
