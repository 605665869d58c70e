import { renderToStaticMarkup } from "react-dom/server";
import { expect, test } from "vitest";
import { marks, PolicyStrip } from "./policyStrip";

const year = (way: string, failures: number, renewals: number, looks = 0) => ({ way, failures, renewals, looks });

test("ends come in the proportion they come in a year", () => {
  expect(marks(year("fixed", 1, 5)).filter((m) => m === "failure")).toHaveLength(1);
  expect(marks(year("fixed", 3, 3)).filter((m) => m === "failure")).toHaveLength(3);
  expect(marks(year("fixed", 0.01, 5))).toEqual(Array.from({ length: 6 }, () => "planned"));
  expect(marks(year("until-it-fails", 4, 0))).toEqual(Array.from({ length: 6 }, () => "failure"));
});

test("failures are spread, not heaped", () => {
  const list = marks(year("fixed", 2, 4));
  expect(list.filter((m) => m === "failure")).toHaveLength(2);
  expect(Math.abs(list.indexOf("failure") - list.lastIndexOf("failure"))).toBeGreaterThan(1);
});

test("looks stand between the ends, two at most", () => {
  const list = marks(year("look", 1, 5, 60));
  expect(list.filter((m) => m === "eye")).toHaveLength(12);
  expect(list[0]).toBe("eye");
  expect(marks(year("look", 1, 5, 0)).includes("eye")).toBe(false);
});

test("where nothing ends nothing is drawn", () => {
  expect(marks(year("fixed", 0, 0))).toEqual([]);
  expect(renderToStaticMarkup(<PolicyStrip year={year("fixed", 0, 0)} width={300} />)).toContain("<svg");
});

test("a set that fails runs out to nothing, one that is renewed keeps some height", () => {
  const svg = renderToStaticMarkup(<PolicyStrip year={year("until-it-fails", 4, 0)} width={300} />);
  expect(svg.match(/var\(--renew\)/g)).toHaveLength(6);
  expect(svg).not.toContain("NaN");
});
