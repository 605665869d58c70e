import { scaleLinear, type ScaleLinear } from "d3-scale";
import { curveMonotoneX, line } from "d3-shape";
import type { ComparisonView, LifeView } from "../api/types";
import { MarkAt } from "../parts/Mark";
import { rounded } from "../text/numbers";
import { Failure, Planned } from "./eventMarks";
import { COSTS, Costs, LEFT, RIGHT } from "./LifeCosts";

const TOP = 26;
const SURVIVAL = 178;
const ROW = 16;
const MOST_ROWS = 8;
/** Room for the two words beside the rows. */
const LEAST_ROWS = 2.2;
const AXIS = 44;

type Scale = ScaleLinear<number, number>;

interface Props {
  life: LifeView;
  width: number;
  /** The second group, where two are compared. */
  other: ComparisonView["second"] | null;
}

/**
 * What history says of a group on one axis of age: the share still whole with its band and its fit,
 * the sets that run now, and what it costs to renew at each age.
 */
export function LifePlot({ life, width, other }: Props) {
  const rows = Math.min(MOST_ROWS, life.running.length);
  const runningTop = TOP + SURVIVAL + 12;
  const axisY = runningTop + Math.max(LEAST_ROWS, rows) * ROW + 6;
  const costTop = axisY + AXIS;
  const height = costTop + (life.costs.length > 0 ? COSTS + 12 : 0);
  const x = scaleLinear()
    .domain([0, life.curve.at(-1)?.age ?? 1000])
    .range([LEFT, width - RIGHT]);
  const y = scaleLinear()
    .domain([0, 1])
    .range([TOP + SURVIVAL, TOP]);
  const fixed = life.policies.find((p) => p.way === "fixed");
  const best = fixed?.chosen ? fixed.every : null;
  const said = best === null ? "no age stands out" : `best renewed at ${rounded(best)} hours`;
  return (
    <svg width={width} height={height} className="block" role="img" aria-label={`${spoken(life)}; ${said}`}>
      <Grid x={x} y={y} top={TOP} bottom={life.costs.length > 0 ? costTop + COSTS : axisY} />
      {best !== null && fixed?.to != null && (
        <rect
          x={x(best)}
          y={TOP - 6}
          width={Math.max(0, x(Math.min(fixed.to, x.domain()[1] ?? 0)) - x(best))}
          height={height - TOP - 8}
          fill="var(--wash)"
        />
      )}
      {best !== null && (
        <path d={`M${x(best)},${TOP - 6}V${costTop + COSTS}`} stroke="var(--accent)" strokeWidth={1.8} />
      )}
      <Band life={life} x={x} y={y} />
      {other && <Steps steps={other.steps} x={x} y={y} stroke="var(--muted)" dash="7 3 2 3" />}
      <Steps steps={life.steps} x={x} y={y} stroke="var(--ink)" />
      <Doubt life={life} x={x} y={y} />
      <Alone life={life} x={x} y={y} />
      <Curve points={life.curve.map((p) => [x(p.age), y(p.value)])} stroke="var(--accent)" weak={unsure(life)} />
      <Ends life={life} x={x} y={y} />
      <Key life={life} right={width - RIGHT} other={other?.title ?? ""} />
      <Running life={life} x={x} top={runningTop} rows={rows} />
      <Axis x={x} y={axisY} width={width} flag={best === null ? null : x(best)} />
      {life.costs.length > 0 && <Costs life={life} x={x} top={costTop} />}
      {best !== null && (
        <g>
          <rect x={x(best) - 46} y={axisY + 4} width={44} height={20} fill="var(--go)" />
          <text
            className="m"
            x={x(best) - 24}
            y={axisY + 18.5}
            fontSize={13.5}
            fontWeight={600}
            textAnchor="middle"
            fill="var(--go-words)"
          >
            {rounded(Math.round(best / 10) * 10)}
          </text>
          <circle cx={x(best)} cy={y(surviving(life, best))} r={4.5} fill="var(--accent)" stroke="var(--paper)" />
          <text
            x={x(best) - 10}
            y={y(surviving(life, best)) + 22}
            fontSize={14}
            fontWeight={680}
            textAnchor="end"
            fill="var(--accent)"
            stroke="var(--paper)"
            strokeWidth={5}
            paintOrder="stroke"
          >
            {Math.round(100 * surviving(life, best))} in 100 whole
          </text>
        </g>
      )}
    </svg>
  );
}

const unsure = (life: LifeView) => !life.estimate?.tells;

function spoken(life: LifeView): string {
  const e = life.estimate;
  return e ? `${e.runs} runs, ${e.failures} failed, ${e.sound} came out sound, ${e.running} still running` : "No runs";
}

/** The share of the fitted curve that is whole at an age. */
function surviving(life: LifeView, age: number): number {
  const i = life.curve.findIndex((p) => p.age >= age);
  const [a, b] = [life.curve[i - 1], life.curve[i]];
  if (!a || !b) return life.curve[0]?.value ?? 1;
  return a.value + ((b.value - a.value) * (age - a.age)) / (b.age - a.age);
}

function Grid({ x, y, top, bottom }: { x: Scale; y: Scale; top: number; bottom: number }) {
  return (
    <g>
      {x.ticks(8).map((t) => (
        <path key={t} d={`M${x(t)},${top}V${bottom}`} stroke="var(--line2)" />
      ))}
      {[0, 0.25, 0.5, 0.75, 1].map((s) => (
        <g key={s}>
          <path d={`M${LEFT},${y(s)}H${x.range()[1]}`} stroke={s === 0 ? "var(--ink)" : "var(--line2)"} />
          <text className="m" x={LEFT - 10} y={y(s) + 4.5} fontSize={13} textAnchor="end" fill="var(--muted)">
            {100 * s}
          </text>
        </g>
      ))}
      <text x={20} y={top - 10} fontSize={13.5} fontWeight={680} fill="var(--ink)">
        Still whole, %
      </text>
    </g>
  );
}

/** The 90 % band between two failures stands as wide as it is at the first of them. */
function Band({ life, x, y }: { life: LifeView; x: Scale; y: Scale }) {
  const end = x.domain()[1] ?? 0;
  return (
    <g>
      {life.steps.map((s, i) => {
        if (s.low === null || s.high === null) return null;
        const from = x(s.age);
        const to = x(life.steps[i + 1]?.age ?? end);
        let hatch = "";
        for (let at = from + 3; at < to; at += 3.4) hatch += `M${at.toFixed(1)},${y(s.high)}V${y(s.low)}`;
        return (
          <g key={s.age}>
            <path d={hatch} stroke="var(--line)" strokeWidth={0.9} />
            <path
              d={`M${from},${y(s.high)}H${to}M${from},${y(s.low)}H${to}`}
              stroke="var(--muted)"
              strokeWidth={0.9}
              strokeDasharray="2 2"
            />
          </g>
        );
      })}
    </g>
  );
}

interface StepsProps {
  steps: { age: number; survival: number }[];
  x: Scale;
  y: Scale;
  stroke: string;
  dash?: string;
}

/** Survival without a model: level between failures, down at each. */
function Steps({ steps, x, y, stroke, dash }: StepsProps) {
  let d = `M${x(0)},${y(1)}`;
  for (const s of steps) d += `H${x(s.age)}V${y(s.survival)}`;
  const last = steps.at(-1);
  if (!last || last.survival > 0) d += `H${x.range()[1]}`;
  return <path d={d} fill="none" stroke={stroke} strokeWidth={1.8} {...(dash ? { strokeDasharray: dash } : {})} />;
}

function Curve({ points, stroke, weak }: { points: [number, number][]; stroke: string; weak: boolean }) {
  const d = line().curve(curveMonotoneX)(points);
  return d ? (
    <path d={d} fill="none" stroke={stroke} strokeWidth={2} {...(weak ? { strokeDasharray: "2 4" } : {})} />
  ) : null;
}

/** The likelihood of the runs alone, which knows no library and takes all pumps for one. */
function Alone({ life, x, y }: { life: LifeView; x: Scale; y: Scale }) {
  const points = life.curve.flatMap((p): [number, number][] => (p.alone === null ? [] : [[x(p.age), y(p.alone)]]));
  return (
    <path
      d={line().curve(curveMonotoneX)(points) ?? ""}
      fill="none"
      stroke="var(--muted)"
      strokeWidth={1.2}
      strokeDasharray="1.5 3"
    />
  );
}

/** Within these lines the curve lies nine times in ten. */
function Doubt({ life, x, y }: { life: LifeView; x: Scale; y: Scale }) {
  const path = (of: "low" | "high") =>
    line<LifeView["curve"][number]>()
      .x((p) => x(p.age))
      .y((p) => y(p[of]))
      .curve(curveMonotoneX)(life.curve) ?? "";
  return (
    <path d={path("low") + path("high")} fill="none" stroke="var(--accent)" strokeWidth={1.2} strokeDasharray="3 3" />
  );
}

const MOST_MARKS = 60;

/** Each run where it came out: failures on the steps, sound ones on the level between them. */
function Ends({ life, x, y }: { life: LifeView; x: Scale; y: Scale }) {
  if (life.runs.length > MOST_MARKS) return null;
  const at = (age: number) => {
    const before = life.steps.filter((s) => s.age <= age).at(-1);
    return before?.survival ?? 1;
  };
  return (
    <g>
      {life.runs.map((r, i) => {
        if (!r.failed) return <Planned key={i} x={x(r.age)} y={y(at(r.age))} />;
        const before = life.steps.filter((s) => s.age < r.age).at(-1)?.survival ?? 1;
        return <Failure key={i} x={x(r.age)} y={(y(before) + y(at(r.age))) / 2} h={10} />;
      })}
    </g>
  );
}

function Key({ life, right, other }: { life: LifeView; right: number; other: string }) {
  const all: [string, string, string?][] = [
    ["what happened; band: 9 times in 10", "var(--ink)"],
    [unsure(life) ? "what the library expects" : "believed; dashes: 9 times in 10", "var(--accent)"],
  ];
  if (life.curve[0]?.alone != null) all.push(["by the runs alone, all pumps as one", "var(--muted)", "1.5 3"]);
  if (other) all.push([other, "var(--muted)", "7 3 2 3"]);
  return (
    <g>
      {all.map(([text, color, dash], i) => (
        <g key={text}>
          <path
            d={`M${right - 216},${TOP + 8 + i * 18}h20`}
            stroke={color}
            strokeWidth={2}
            {...(dash ? { strokeDasharray: dash } : {})}
          />
          <text x={right - 190} y={TOP + 12.5 + i * 18} fontSize={13} fontWeight={620} fill="var(--ink)">
            {text}
          </text>
        </g>
      ))}
    </g>
  );
}

function Running({ life, x, top, rows }: { life: LifeView; x: Scale; top: number; rows: number }) {
  const shown = life.running.slice(-rows);
  const more = life.running.length - shown.length;
  return (
    <g>
      <text x={20} y={top + 11} fontSize={13.5} fontWeight={680} fill="var(--ink)">
        Running
      </text>
      <text x={20} y={top + 26} fontSize={13.5} fontWeight={680} fill="var(--ink)">
        now
      </text>
      {more > 0 && (
        <text x={20} y={top + 44} fontSize={12} fill="var(--muted)">
          and {more} younger
        </text>
      )}
      {life.running.length === 0 && (
        <text x={LEFT + 6} y={top + 12} fontSize={13} fill="var(--muted)">
          no pump runs with it now
        </text>
      )}
      {shown.map((s, i) => {
        const cy = top + i * ROW + 7;
        const end = Math.min(x(s.age), (x.range()[1] ?? 0) - 16);
        const left = end > (x.range()[1] ?? 0) - 190;
        const text = left ? end - 8 : end + 18;
        return (
          <g key={s.pump}>
            <path d={`M${LEFT},${cy - 5}L${end},${cy - 2}V${cy + 2}L${LEFT},${cy + 5}Z`} fill="var(--soft)" />
            <path d={`M${end},${cy - 7}V${cy + 7}`} stroke="var(--ink)" strokeWidth={2} />
            <MarkAt state={s.state} x={end + 9} y={cy} r={5} />
            <text
              x={text}
              y={cy + 4.5}
              fontSize={13}
              textAnchor={left ? "end" : "start"}
              fill="var(--ink)"
              stroke="var(--paper)"
              strokeWidth={left ? 10 : 0}
              paintOrder="stroke"
            >
              <tspan fontWeight={700}>{s.pump}</tspan>
              <tspan className="m" dx={5} fontSize={12.5}>
                {rounded(s.age)} h
              </tspan>
              <tspan dx={6} fontSize={12.5}>
                {s.say}
              </tspan>
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** Ticks of the age; a number under the flag of the best age is left out. */
function Axis({ x, y, width, flag }: { x: Scale; y: number; width: number; flag: number | null }) {
  const free = (t: number) => flag === null || x(t) > flag + 18 || x(t) < flag - 66;
  return (
    <g>
      <path d={`M${LEFT},${y}H${width - RIGHT}`} stroke="var(--ink)" strokeWidth={1.4} />
      <text x={20} y={y + 5} fontSize={13.5} fontWeight={680} fill="var(--ink)">
        Age, h
      </text>
      {x.ticks(8).map((t) => (
        <g key={t}>
          <path d={`M${x(t)},${y}V${y + 6}`} stroke="var(--ink)" />
          {free(t) && (
            <text className="m" x={x(t)} y={y + 19} fontSize={12.5} textAnchor="middle" fill="var(--muted)">
              {rounded(t)}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}
