import { renderToStaticMarkup } from "react-dom/server";
import { expect, test } from "vitest";
import { NumberInput, ReadingField } from "./ReadingField";

const nothing = () => undefined;

const field = (of: { typed?: string; busy?: boolean; fault?: string }) =>
  renderToStaticMarkup(
    <ReadingField
      label="Bore wear, mm"
      typed={of.typed ?? ""}
      onType={nothing}
      unit="degC"
      keep={nothing}
      busy={of.busy ?? false}
      fault={of.fault}
    />,
  );

test("the button bears the unit as it is said, and keeps nothing before something is typed", () => {
  expect(field({})).toContain(">°C</button>");
  expect(field({})).toContain("disabled");
  expect(field({ typed: "  " })).toContain("disabled");
  expect(field({ typed: "0,3" })).not.toContain("disabled");
  expect(field({ typed: "0,3", busy: true })).toContain("disabled");
});

test("what is wrong stands under the field and marks it", () => {
  const wrong = field({ typed: "31", fault: "31 mm cannot be." });
  expect(wrong).toContain('aria-invalid="true"');
  expect(wrong).toContain('role="alert"');
  expect(wrong).toContain("31 mm cannot be.");
  expect(field({ typed: "31" })).toContain('aria-invalid="false"');
});

test("a number is typed on the keys for numbers", () => {
  const input = renderToStaticMarkup(<NumberInput typed="15" onType={nothing} />);
  expect(input).toContain('inputMode="decimal"');
  expect(input).toContain('value="15"');
});
