import type { YearBand, YearView } from "../../../api/types";
import { rounded, thousands, unbroken } from "../../../text/numbers";
import { money } from "../../../text/shop";

/** To hundreds: a year is not known closer. */
const about = (amount: number) => money(Math.round(amount / 100) * 100);

const from = (b: YearBand) => `${about(b.low)} to ${about(b.high)}`;

const often = (b: YearBand) => `${rounded(b.low)} to ${rounded(b.high)}`;

/** What the year comes to, in words. */
export function YearWords({ year }: { year: YearView }) {
  const [left, right] = [year.left, year.right];
  return (
    <div className="px-5 pb-2">
      <h1 className="text-head leading-[35px] font-[720] tracking-[-.01em]">
        <span className="block text-accent">
          {unbroken(`${right.title} ${from(right.money)} and ${often(right.failures)} failures;`)}
        </span>
        <span className="block">
          {unbroken(`${left.title.toLowerCase()} ${from(left.money)} and ${often(left.failures)}.`)}
        </span>
      </h1>
      <p className="pt-1 text-body font-[640]">
        Nine years in ten. Each year is played twice with the same luck: {right.title.toLowerCase()} costs less in{" "}
        {thousands(year.cheaper)} of {thousands(year.years)} and has fewer failures in {thousands(year.fewer)}.
      </p>
      <p className="text-body text-muted">
        The difference runs from {apart(year.saves.low)} to {apart(year.saves.high)}; with luck of their own it would
        read {apart(year.withOwnLuck.low)} to {apart(year.withOwnLuck.high)}. Paid out within the year:{" "}
        {from(right.paid)}, {left.title.toLowerCase()} {from(left.paid)}; the rest is by how much the sets are used up.
      </p>
    </div>
  );
}

const apart = (saves: number) => `${about(Math.abs(saves))} ${saves < 0 ? "dearer" : "cheaper"}`;
