import { useQuery } from "@tanstack/react-query";
import { scaleLinear } from "d3-scale";
import { useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { askAgain } from "../../api/away";
import { api } from "../../api/client";
import type { Area, FloorView, Strip } from "../../api/types";
import { kindName } from "../../drawing/PumpKind";
import { Empty, Failed, Loading } from "../../parts/States";
import { useWidth } from "../../parts/useWidth";
import { Counters } from "./Counters";
import { Clocks } from "./Clocks";
import { FloorRow } from "./FloorRow";
import { Legend } from "./Legend";
import { Months } from "./Months";
import { PumpSummary } from "./PumpSummary";
import { Choice } from "../../parts/Choice";

/** Columns of a row left of its strip, in pixels, and what stands at its right end. */
export const COLUMNS = {
  mark: 26,
  tag: 42,
  kind: 108,
  duty: 150,
  wetEnd: 312,
  hours: 404,
  strip: 416,
};
export const RIGHT = 64;

const ALL = "";

export function Floor() {
  const floor = useQuery({ queryKey: ["floor"], queryFn: api.floor, refetchInterval: askAgain(30_000) });
  if (floor.data) return <Rows floor={floor.data} />;
  if (floor.error) return <Failed error={floor.error} what="the floor" />;
  return <Loading what="the floor" />;
}

function Rows({ floor }: { floor: FloorView }) {
  const [params, setParams] = useSearchParams();
  const [ref, width] = useWidth<HTMLDivElement>(980);
  const [areaOf, setArea] = useState(ALL);
  const [kind, setKind] = useState(ALL);
  const [wetEnd, setWetEnd] = useState(ALL);
  const go = useNavigate();
  const all = floor.areas.flatMap((a) => a.pumps);
  if (all.length === 0) {
    return (
      <Empty title="No pump stands on this floor yet">
        <p>
          Start with <code className="m text-[15px]">./demo</code> to walk through a made-up mill, or add the shop's own
          pumps to the database.
        </p>
      </Empty>
    );
  }
  const shown = floor.areas
    .filter((a) => areaOf === ALL || a.name === areaOf)
    .map((a) => ({
      ...a,
      pumps: a.pumps.filter((p) => (kind === ALL || p.family === kind) && (wetEnd === ALL || p.material === wetEnd)),
    }))
    .filter((a) => a.pumps.length > 0);
  const worst = [...all].sort(byRisk)[0];
  const selected = all.find((p) => p.tag === params.get("pump")) ?? worst;
  const x = scaleLinear()
    .domain([-floor.daysBack, floor.daysAhead])
    .range([COLUMNS.strip, Math.max(COLUMNS.strip + 120, width - RIGHT - 16)]);
  const choose = (tag: string) => setParams({ pump: tag }, { replace: true });
  return (
    <main className="grid grid-cols-[minmax(0,1fr)_300px] max-[1000px]:grid-cols-1">
      <h1 className="sr-only">Floor</h1>
      <div ref={ref} className="min-w-0">
        <div className="flex min-h-12 flex-wrap items-center gap-x-1 border-b border-line px-5 text-[15px]">
          <span>{floor.site},</span>
          <Choice
            label="Area"
            value={areaOf}
            onChange={setArea}
            then=","
            all="all areas"
            of={floor.areas.map((a) => a.name)}
          />
          <Choice
            label="Kind of pump"
            value={kind}
            onChange={setKind}
            then=","
            all="all kinds"
            of={unique(all.map((p) => p.family))}
            say={kindName}
          />
          <Choice
            label="Wet end"
            value={wetEnd}
            onChange={setWetEnd}
            then=","
            all="any wet end"
            of={unique(all.map((p) => p.material)).sort()}
          />
          <span>worst first by 30 days</span>
          <Legend />
        </div>
        <Clocks clocks={floor.clocks} />
        <div className="sticky top-0 z-10 bg-paper">
          <Months x={x} today={floor.today} width={width} />
        </div>
        {shown.length === 0 && (
          <p className="px-5 py-10 text-[17px] text-soft">No pump of that kind with that wet end here.</p>
        )}
        {shown.map((a) => (
          <AreaRows
            key={a.name}
            area={a}
            x={x}
            width={width}
            today={floor.today}
            selected={selected?.tag ?? ""}
            choose={choose}
            open={(tag) => void go(`/pumps/${tag}`)}
          />
        ))}
        <Counters />
      </div>
      {selected && <PumpSummary key={selected.tag} pump={selected} />}
    </main>
  );
}

interface AreaProps {
  area: Area;
  x: ReturnType<typeof scaleLinear<number, number>>;
  width: number;
  today: string;
  selected: string;
  choose: (tag: string) => void;
  open: (tag: string) => void;
}

function AreaRows({ area, selected, choose, open, ...row }: AreaProps) {
  return (
    <section aria-label={area.name} className="border-t border-ink">
      <h2 className="flex h-[21px] items-center gap-4 px-5 text-[14px] font-[740]">
        <span className="w-[74px]">{area.name}</span>
        <span className="text-[13px] font-[500] text-muted">{area.say}</span>
      </h2>
      {area.pumps.map((p, i) => (
        <FloorRow
          key={p.tag}
          pump={p}
          first={i === 0}
          selected={p.tag === selected}
          onChoose={() => choose(p.tag)}
          onOpen={() => open(p.tag)}
          {...row}
        />
      ))}
    </section>
  );
}

const byRisk = (a: Strip, b: Strip) => Number(a.rebuild !== null) - Number(b.rebuild !== null) || b.risk30 - a.risk30;

function unique(values: string[]): string[] {
  return [...new Set(values)];
}
