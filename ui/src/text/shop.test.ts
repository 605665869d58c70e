import type { Session } from "../api/types";
import { afterEach, expect, test } from "vitest";
import { inShown, money, ofShown, quantity, typedReading, typedUnit, unitWord } from "./shop";
import { show } from "./shownIn";

const OF_RECORDS: Session["shownIn"] = {
  sign: "£",
  dayOrder: "day-first",
  torque: "newton-metre",
  temperature: "celsius",
  pressure: "bar",
  volume: "litre",
};
const OTHERS: Session["shownIn"] = {
  sign: "kr ",
  dayOrder: "month-first",
  torque: "pound-foot",
  temperature: "fahrenheit",
  pressure: "psi",
  volume: "us-gallon",
};

afterEach(() => show(OF_RECORDS));

test("amounts and quantities are shown in the shop's own, and say as much", () => {
  expect([money(1234.5, 2), quantity(80, "degC"), quantity(2.5, "bar", 1), quantity(12, "mm")]).toEqual([
    "£1\u2009234.5",
    "80 °C",
    "2.5 bar",
    "12 mm",
  ]);
  show(OTHERS);
  expect([money(1234), quantity(80, "degC"), quantity(2.5, "bar", 1), quantity(4, "L"), unitWord("Nm")]).toEqual([
    "kr 1\u2009234",
    "176 °F",
    "36 psi",
    "1.06 gal",
    "ft·lbf",
  ]);
});

test("what is typed in the shop's unit comes back as the records hold it, and says its unit", () => {
  expect(["degC", "bar", "mm"].map(typedUnit)).toEqual(["", "", ""]);
  show(OTHERS);
  expect(["degC", "bar", "L", "mm"].map(typedUnit)).toEqual(["degF", "psi", "gal", ""]);
  for (const unit of ["degC", "bar", "L", "Nm", "mm"]) expect(ofShown(inShown(37.5, unit), unit)).toBeCloseTo(37.5, 9);
});

test("reads what is typed without the server, alone or with a unit the shop may be shown", () => {
  expect(typedReading("14,8", "")).toBe(14.8);
  expect(typedReading("14.8 N·m", "ft·lbf")).toBe(14.8);
  expect(typedReading("11", "ft·lbf")).toBeCloseTo(14.914, 3);
  expect(typedReading("212", "degF")).toBeCloseTo(100, 9);
  expect(["", "two", "15 furlongs"].map((t) => typedReading(t, ""))).toEqual([null, null, null]);
});
