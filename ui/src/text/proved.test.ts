import { expect, test } from "vitest";
import { proved } from "./proved";

test("a plan is proved, or says how far it can be off", () => {
  expect(proved({ optimal: true, mostPosesOff: 0, mostToolsOff: 0 })).toBe("none better");
  expect(proved({ optimal: false, mostPosesOff: 0, mostToolsOff: 0 })).toBe("not proved the best");
  expect(proved({ optimal: false, mostPosesOff: 1, mostToolsOff: 6 })).toBe(
    "at most 1 pose change and 6 tool changes more than the best",
  );
});
