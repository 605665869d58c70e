import type { LifeView } from "../../api/types";
import { money } from "../../text/shop";

type CauseLine = LifeView["causes"]["causes"][number];

const NAMES: Record<CauseLine["cause"], string> = {
  attacked: "Attacked",
  "wore-out": "Wore out",
  "ran-dry": "Ran dry",
  "foreign-body": "Foreign body",
  overpressure: "Overpressure",
  build: "Its build",
  unknown: "Nobody said",
};

/** What the sets of a group fail of, what it costs, and what preventing it may cost. */
export function Causes({ life }: { life: LifeView }) {
  const { causes, say } = life.causes;
  if (causes.length === 0) return null;
  return (
    <section className="px-5 pt-5">
      <h2 className="pb-1 text-title font-[680]">What they fail of</h2>
      {say && <p className="pb-1 text-body leading-5 font-[700]">{say}</p>}
      <ul>
        {causes.map((c) => (
          <li
            key={c.cause}
            className="grid grid-cols-[132px_44px_116px_minmax(0,1fr)_108px] items-baseline gap-x-3 border-b border-line2 py-2 text-body max-[620px]:grid-cols-[minmax(0,1fr)_auto]"
          >
            <span className="font-[680]">{NAMES[c.cause]}</span>
            <span className="m text-right max-[620px]:order-3 max-[620px]:text-left">
              {c.failures}
              <span className="min-[621px]:hidden"> failed</span>
            </span>
            <span className="m text-muted max-[620px]:order-4 max-[620px]:text-right">
              {c.shape.toFixed(1)}
              <span className="text-small">
                {" "}
                {c.shapeLow.toFixed(1)}–{c.shapeHigh.toFixed(1)}
              </span>
            </span>
            <span className="text-soft max-[620px]:order-5 max-[620px]:col-span-2">{advice(c)}</span>
            <span className="m text-right font-[640] max-[620px]:order-2">{money(c.perYear)} a year</span>
          </li>
        ))}
      </ul>
      <p className="pt-1 pb-4 text-small leading-[17px] text-muted">
        Failed, shape with nine in ten of it, cost a year as they are renewed today. For one cause a set that another
        took counts as sound till then.
      </p>
    </section>
  );
}

/** What to do about a cause. */
function advice(c: CauseLine): string {
  if (c.mayCost !== null) return `at any age; ${c.prevented} may cost up to ${money(Math.round(c.mayCost / 10) * 10)}`;
  if (c.cause === "unknown") return "say what was found when the next one fails";
  if (c.shapeHigh < 1.2) return "hardly comes with age: look for what does it";
  return "comes with age: renewal plans it away";
}
