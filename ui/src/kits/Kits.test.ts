import { expect, it } from "vitest";
import { hundreds, shelfWord } from "./Kits";

const onShelf = { lot: "L-1", quantity: 2, place: "B4", statusSays: "in date", leadDays: 5 };

it.each([
  [onShelf, "2 on B4, in date"],
  [{ ...onShelf, quantity: 0, statusSays: "over-age" }, "over-age on B4, 5 days for another"],
  [{ ...onShelf, lot: null, quantity: 0 }, "none, 5 days"],
  [{ ...onShelf, lot: null, quantity: 0, leadDays: 1 }, "none, 1 day"],
])("the shelf of %o is told as %s", (kit, words) => {
  expect(shelfWord(kit)).toBe(words);
});

it.each([
  [3659.4, "3\u2009700"],
  [40, "0"],
  [null, "?"],
])("%s h is told as %s", (hours, words) => {
  expect(hundreds(hours)).toBe(words);
});
