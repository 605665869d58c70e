import { useQuery } from "@tanstack/react-query";
import { scaleLinear } from "d3-scale";
import { useMemo } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { askAgain } from "../../api/away";
import { api } from "../../api/client";
import type { Brief, FloorView } from "../../api/types";
import { kindName } from "../../drawing/PumpKind";
import { Empty, Failed, Loading } from "../../parts/States";
import { useWidth } from "../../parts/useWidth";
import { columnsOf } from "./columns";
import { Counters } from "./Counters";
import { DueRounds } from "../rounds/DueRounds";
import { Clocks } from "./Clocks";
import { Legend } from "./Legend";
import { Months } from "./Months";
import { ordered, ORDERS, WORST_FIRST } from "./order";
import { PumpSummary } from "./PumpSummary";
import { VirtualRows } from "./VirtualRows";
import { Choice } from "../../parts/Choice";

/** Columns of a row left of its strip, in pixels, and what stands at its right end. */
export const RIGHT = 64;

const ALL = "";

export function Floor() {
  const floor = useQuery({ queryKey: ["floor"], queryFn: api.floor, refetchInterval: askAgain(30_000) });
  if (floor.data) return <Rows floor={floor.data} />;
  if (floor.error) return <Failed error={floor.error} what="the floor" />;
  return <Loading what="the floor" />;
}

/** Where a pump stands to its due day and its plan. */
const STANDINGS = ["past due", "due in 30 days", "without a plan", "on the bench"];

const stands = (p: Brief, standing: string) =>
  standing === ALL ||
  (standing === "on the bench"
    ? p.rebuild !== null
    : p.rebuild === null &&
      (standing === "past due"
        ? p.dueDays < 0
        : standing === "due in 30 days"
          ? p.dueDays < 30
          : p.planDays === null && p.dueDays < 60));

function Rows({ floor }: { floor: FloorView }) {
  const [params, setParams] = useSearchParams();
  const [ref, width] = useWidth<HTMLDivElement>(980);
  const go = useNavigate();
  const all = useMemo(() => floor.areas.flatMap((a) => a.pumps), [floor]);
  const param = (name: string) => params.get(name) ?? ALL;
  const set = (name: string) => (value: string) =>
    setParams(
      (now) => {
        if (value) now.set(name, value);
        else now.delete(name);
        return now;
      },
      { replace: true },
    );
  const [area, kind, wetEnd, standing, order] = ["area", "kind", "wet", "standing", "order"].map(param);
  const shown = useMemo(
    () =>
      ordered(
        floor.areas
          .filter((a) => !area || a.name === area)
          .map((a) => ({
            ...a,
            pumps: a.pumps.filter(
              (p) => (!kind || p.family === kind) && (!wetEnd || p.material === wetEnd) && stands(p, standing ?? ALL),
            ),
          }))
          .filter((a) => a.pumps.length > 0),
        order ?? ALL,
      ),
    [floor, area, kind, wetEnd, standing, order],
  );
  if (all.length === 0) {
    return (
      <Empty title="No pump stands on this floor yet">
        <p>Bring the table of pumps you have, or add one by one; everything else can follow.</p>
        <p className="pt-4">
          <Link className="press go inline-flex items-center px-6" to="/setup">
            Set the shop up
          </Link>
        </p>
      </Empty>
    );
  }
  const selected = all.find((p) => p.tag === params.get("pump")) ?? ordered(floor.areas, "")[0]?.pumps[0];
  const strip = columnsOf(width).strip;
  const x = scaleLinear()
    .domain([-floor.daysBack, floor.daysAhead])
    .range([strip, Math.max(strip + 120, width - RIGHT - 16)]);
  return (
    <main className="grid grid-cols-[minmax(0,1fr)_300px] max-[1000px]:grid-cols-1">
      <h1 className="sr-only">Floor</h1>
      <div ref={ref} className="min-w-0">
        <div className="flex min-h-12 flex-wrap items-center gap-x-1 border-b border-line px-5 text-body">
          <span>{floor.site || "This shop"},</span>
          <Choice
            label="Area"
            value={param("area")}
            onChange={set("area")}
            then=","
            all="all areas"
            of={floor.areas.map((a) => a.name)}
          />
          <Choice
            label="Kind of pump"
            value={param("kind")}
            onChange={set("kind")}
            then=","
            all="all kinds"
            of={unique(all.map((p) => p.family))}
            say={kindName}
          />
          <Choice
            label="Wet end"
            value={param("wet")}
            onChange={set("wet")}
            then=","
            all="any wet end"
            of={unique(all.map((p) => p.material)).sort()}
          />
          <Choice
            label="Standing"
            value={param("standing")}
            onChange={set("standing")}
            then=","
            all="due or not"
            of={STANDINGS}
          />
          <Choice
            label="Order"
            value={param("order")}
            onChange={set("order")}
            all={WORST_FIRST}
            of={Object.keys(ORDERS)}
          />
          <Legend />
        </div>
        <Clocks clocks={floor.clocks} />
        <DueRounds rounds={floor.rounds} />
        <div className="sticky top-0 z-10 bg-paper">
          <Months x={x} today={floor.today} width={width} />
        </div>
        {shown.length === 0 && <p className="px-5 py-10 text-lead text-soft">No pump here is all of that.</p>}
        <VirtualRows
          areas={shown}
          x={x}
          width={width}
          today={floor.today}
          selected={selected?.tag ?? ""}
          choose={set("pump")}
          open={(tag) => void go(`/pumps/${tag}`)}
        />
        <Counters />
      </div>
      {selected && <PumpSummary key={selected.tag} of={selected} />}
    </main>
  );
}

function unique(values: string[]): string[] {
  return [...new Set(values)];
}
