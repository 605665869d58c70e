import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { InsightView, InsightKind } from "../../api/types";
import { Mark } from "../../parts/Mark";
import { unbroken } from "../../text/numbers";
import { Failed, Loading } from "../../parts/States";
import { money } from "../../text/shop";

/** What the shop's records say without being asked, each with the place that shows it. */
export function Insights() {
  const finds = useQuery({ queryKey: ["finds"], queryFn: api.insights });
  if (finds.error && !finds.data) return <Failed error={finds.error} what="what the records say" />;
  if (!finds.data) return <Loading what="what the records say" />;
  return (
    <section className="px-5 pb-10" aria-label="What the records say">
      <h1 className="pt-2 pb-2 text-tag leading-[46px] font-[720] tracking-[-.01em]">{headline(finds.data)}</h1>
      <ul className="border-t-[1.5px] border-ink">
        {finds.data.map((f) => (
          <li key={f.say} className="border-b border-line">
            <Link to={place(f)} className="flex min-h-[68px] items-center gap-4 py-2 no-underline hover:bg-wash">
              <Mark state={f.state} size={22} />
              <span className="min-w-0 flex-1">
                <span className="block text-lead leading-6 font-[660]">{unbroken(f.say)}</span>
                <span className="block text-body leading-[19px] text-soft">{unbroken(f.because)}</span>
              </span>
              <span className="w-[136px] text-right">
                {f.aYear !== null && (
                  <>
                    <span className="m text-title leading-7 font-semibold tracking-[-.02em]">{money(f.aYear)}</span>
                    <span className="block text-small text-muted">a year</span>
                  </>
                )}
              </span>
              <span className="under w-[120px] text-body max-[760px]:hidden">{WHERE[f.kind]}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

const WHERE: Record<InsightKind, string> = {
  habit: "Cost by age",
  material: "Its life",
  "no-age": "Its life",
  milder: "Wet ends",
  "over-age": "On the shelf",
};

/** Where a find is shown. */
export function place(f: Pick<InsightView, "kind" | "pump" | "role" | "material" | "duty">): string {
  switch (f.kind) {
    case "milder":
      return `/wet-ends/${f.pump}`;
    case "over-age":
      return "/stores";
    case "no-age":
      return `/life?${new URLSearchParams({ pump: f.pump, level: "pump" })}`;
    case "habit":
    case "material":
      return `/life?${new URLSearchParams({ role: f.role, material: f.material, duty: f.duty })}`;
  }
}

/** How much there is to win, in one line. */
export function headline(finds: Pick<InsightView, "aYear" | "state">[]): string {
  const open = finds.filter((f) => f.state !== "sound");
  if (open.length === 0) return "Nothing in the records asks for a change.";
  const worth = open.reduce((sum, f) => sum + (f.aYear ?? 0), 0);
  const things = open.length === 1 ? "One thing" : `${open.length} things`;
  return worth > 0 ? `${things} to change, worth ${money(worth)} a year.` : `${things} to change.`;
}
