import { expect, test } from "vitest";
import { isTooLong, roomLeft, takes } from "./bounds";

test("the room of a note is said from nine tenths on, and what is too much by its count", () => {
  const typed = (length: number) => roomLeft("LotRequest.note", "x".repeat(length));
  expect([359, 360, 400, 403].map(typed)).toEqual([
    "",
    "360 of 400 characters",
    "400 of 400 characters",
    "3 characters too many; 400 fit",
  ]);
  expect([400, 401].map((n) => isTooLong("LotRequest.note", "x".repeat(n)))).toEqual([false, true]);
});

test("a number says what it may be outside of that only, and where it is none", () => {
  const said = "a number from 0 to 1\u2009000\u2009000";
  expect(["", "0", "1 000 000", "12,5", "-1", "1000001", "many"].map((n) => takes("LotRequest.count", n))).toEqual([
    ...["", "", "", ""],
    ...[said, said, said],
  ]);
});
