import { renderToStaticMarkup } from "react-dom/server";
import { expect, test } from "vitest";
import type { StockLine } from "../api/types";
import { ShelfStrip } from "./ShelfStrip";

const line = (of: Partial<StockLine>): StockLine =>
  ({ lots: [], inDate: 0, reserved: 0, minimum: null, ...of }) as unknown as StockLine;

const drawn = (of: Partial<StockLine>) => renderToStaticMarkup(<ShelfStrip line={line(of)} />);

test("every piece is a box: free, held, over-age", () => {
  const svg = drawn({
    inDate: 4,
    reserved: 1,
    lots: [{ status: "over-age", quantity: 2 }] as StockLine["lots"],
  });
  expect(svg.match(/fill="var\(--soft\)"/g)).toHaveLength(3);
  expect(svg.match(/fill="var\(--accent\)"/g)).toHaveLength(1);
  expect(svg.match(/fill="var\(--renew\)"/g)).toHaveLength(2);
  expect(svg).toContain("3 free, 1 held, 2 over-age, minimum not known");
});

test("what is missing to the minimum is dashed", () => {
  expect(drawn({ inDate: 1, minimum: 3 }).match(/stroke-dasharray/g)).toHaveLength(2);
  expect(drawn({ inDate: 3, minimum: 3 })).not.toContain("stroke-dasharray");
});

test("the minimum has its mark, and none where nobody knows it", () => {
  expect(drawn({ inDate: 2, minimum: 1 })).toContain('fill="var(--ink)"');
  expect(drawn({ inDate: 2 })).not.toContain('fill="var(--ink)"');
});

test("a full shelf says how many more there are", () => {
  expect(drawn({ inDate: 20 })).toContain("+8");
});
