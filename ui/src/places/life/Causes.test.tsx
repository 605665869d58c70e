import { renderToStaticMarkup } from "react-dom/server";
import { expect, test } from "vitest";
import type { LifeView } from "../../api/types";
import { Causes } from "./Causes";

const cause = (of: object) => ({
  failures: 5,
  shape: 0.9,
  shapeLow: 0.5,
  shapeHigh: 1.4,
  byAge: false,
  failuresPerYear: 1.4,
  perYear: 974,
  prevented: "",
  mayCost: null,
  ...of,
});

const drawn = (causes: object[], say = "") =>
  renderToStaticMarkup(<Causes life={{ causes: { causes, say } } as unknown as LifeView} />);

test("a cause that age does not bring says what preventing it may cost, one that it brings to renew", () => {
  const html = drawn([
    cause({ cause: "ran-dry", prevented: "a dry-run guard", mayCost: 877 }),
    cause({ cause: "wore-out", byAge: true, shape: 2.8, shapeLow: 1.8, shapeHigh: 3.9 }),
    cause({ cause: "attacked", byAge: true, shape: 0.8, shapeHigh: 1.1 }),
  ]);
  expect(html).toContain("a dry-run guard may cost up to £880");
  expect(html).toContain("comes with age: renewal plans it away");
  expect(html).toContain("hardly comes with age");
});

test("where nobody said what sets failed of, nothing stands there", () => {
  expect(drawn([])).toBe("");
});
