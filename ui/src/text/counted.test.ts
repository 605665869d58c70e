import { expect, it } from "vitest";
import { counted } from "./counted";

it.each([
  [0, "run", undefined, "0 runs"],
  [1, "run", undefined, "1 run"],
  [2, "run", undefined, "2 runs"],
  [1, "kind of part", "kinds of part", "1 kind of part"],
  [4, "kind of part", "kinds of part", "4 kinds of part"],
])("%s %s", (n, noun, plural, said) => {
  expect(counted(n, noun, plural)).toBe(said);
});
