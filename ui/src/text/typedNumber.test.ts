import { expect, it } from "vitest";
import { typedNumber } from "./typedNumber";

it.each([
  ["", null],
  ["  ", null],
  ["12", 12],
  ["0,6", 0.6],
  ["1 200", 1200],
  ["-5.5", -5.5],
  ["warm", undefined],
  ["1,2,3", undefined],
  ["Infinity", undefined],
])("%j is %j", (typed, value) => {
  expect(typedNumber(typed)).toBe(value);
});
