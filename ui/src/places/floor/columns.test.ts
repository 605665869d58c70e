import { describe, expect, it } from "vitest";
import { columnsOf } from "./columns";

describe("columns of the floor", () => {
  it("leaves half of a phone's width for the strip", () => {
    expect(columnsOf(390).between).toBeNull();
    expect(columnsOf(390).strip).toBeLessThan(390 / 2);
    expect(columnsOf(820).between?.duty).toBeLessThan(columnsOf(820).strip);
  });
});
