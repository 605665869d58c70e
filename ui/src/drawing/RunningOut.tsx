import { area as areaPath, curveMonotoneX } from "d3-shape";
import type { ScaleLinear } from "d3-scale";
import { useId } from "react";
import type { Strip } from "../api/types";
import { Due, Failure, Plan, Planned } from "./eventMarks";

const FRESH = 8.2;
const WORN_AT_CHANGE = 0.3;
const LENS = 12.5;
/** Density of failing, per day, at which the lens is as thick as it gets: about 35 % in 30 days. */
const THICKEST = 0.014;
const SOON_DAYS = 30;
/** Days between two densities of a lens. */
const LENS_STEP_DAYS = 2;

/**
 * A pump's running-out strip along its centre line: sets that ran and how each ended, the set in it
 * now thinning toward its expected end, the lens of when it will fail (red: within 30 days), the due
 * mark and the plan. Days count from today; {@code x} places them.
 */
export function RunningOut({ pump, x, y }: { pump: Strip; x: ScaleLinear<number, number>; y: number }) {
  const [first = 0, last = 0] = x.domain();
  const onBench = pump.rebuild !== null;
  return (
    <g>
      <path d={`M${x(first)},${y}H${x(onBench ? 0 : last)}`} stroke="var(--line)" strokeDasharray="14 3 3 3" />
      <PastSets pump={pump} x={x} y={y} />
      {!onBench && <SetNow pump={pump} x={x} y={y} />}
      {!onBench && <Lens pump={pump} x={x} y={y} />}
      {pump.stops
        .filter((s) => s.days >= first)
        .map((s) =>
          s.failed ? <Failure key={s.days} x={x(s.days)} y={y} /> : <Planned key={s.days} x={x(s.days)} y={y} />,
        )}
      {!onBench && <Ahead pump={pump} x={x} y={y} />}
    </g>
  );
}

interface Drawn {
  pump: Strip;
  x: ScaleLinear<number, number>;
  y: number;
}

function wedge(x0: number, x1: number, y: number, h0: number, h1: number): string {
  return `M${x0},${y - h0}L${x1},${y - h1}V${y + h1}L${x0},${y + h0}Z`;
}

function PastSets({ pump, x, y }: Drawn) {
  const [first = 0] = x.domain();
  return pump.stops.map((stop) => {
    if (stop.days < first) return null;
    const from = stop.fittedDays;
    const end = stop.failed ? 0.02 : WORN_AT_CHANGE;
    const start = Math.max(first, from);
    const gone = (start - from) / Math.max(1, stop.days - from);
    return (
      <path
        key={stop.days}
        d={wedge(x(start), x(stop.days), y, FRESH * (1 - (1 - end) * gone), FRESH * end)}
        fill="var(--past)"
        stroke="var(--past-edge)"
        strokeWidth={0.8}
      />
    );
  });
}

/** How far the set has worn on its way from fitted to its expected end: the height left, 0 to 1. */
export function left(pump: Pick<Strip, "expectedDays" | "fittedDays">, day: number): number {
  const whole = pump.expectedDays - pump.fittedDays;
  return Math.max(0.03, Math.min(1, (pump.expectedDays - day) / Math.max(1, whole)));
}

function SetNow({ pump, x, y }: Drawn) {
  const [first = 0, last = 0] = x.domain();
  const from = Math.max(first, pump.fittedDays);
  const end = Math.min(last, pump.expectedDays);
  const now = FRESH * left(pump, 0);
  const then = FRESH * (end < pump.expectedDays ? left(pump, end) : 0);
  return (
    <g>
      <path
        d={wedge(x(from), x(0), y, FRESH * left(pump, from), now)}
        fill="var(--soft)"
        stroke="var(--ink)"
        strokeWidth={0.8}
      />
      <path
        d={`M${x(0)},${y - now}L${x(end)},${y - then}M${x(0)},${y + now}L${x(end)},${y + then}`}
        fill="none"
        stroke="var(--soft)"
        strokeWidth={0.9}
        strokeDasharray="3 2"
      />
    </g>
  );
}

/**
 * Half the thickness of the lens. It is a turned body: its cross-section, so the square of this, is
 * the density, and the volume up to a day the chance of having failed by then.
 */
export function thickness(density: number): number {
  return LENS * Math.sqrt(Math.min(1, density / THICKEST));
}

function Lens({ pump, x, y }: Drawn) {
  const clip = useId();
  const known = pump.state !== "unknown";
  const lens = areaPath<number>()
    .x((_, i) => x(i * LENS_STEP_DAYS))
    .y0((density) => y - thickness(density))
    .y1((density) => y + thickness(density))
    .curve(curveMonotoneX)(pump.lens);
  if (!lens) return null;
  let hatch = "";
  const end = x((pump.lens.length - 1) * LENS_STEP_DAYS);
  for (let at = x(0) + 1; at < end; at += 2.6) hatch += `M${at.toFixed(1)},${y - 14}V${y + 14}`;
  return (
    <g>
      <clipPath id={clip}>
        <path d={lens} />
      </clipPath>
      <path d={lens} fill="var(--card)" opacity={0.6} />
      <g clipPath={`url(#${clip})`}>
        <path d={hatch} stroke="var(--soft)" strokeWidth={0.95} />
        {known && <rect x={x(0)} y={y - 16} width={x(SOON_DAYS) - x(0)} height={32} fill="var(--renew)" />}
      </g>
      <path
        d={lens}
        fill="none"
        stroke={known ? "var(--ink)" : "var(--unknown)"}
        strokeWidth={0.9}
        {...(known ? {} : { strokeDasharray: "1.5 2.5" })}
      />
    </g>
  );
}

const NUDGE = 13;

function Ahead({ pump, x, y }: Drawn) {
  const [, last = 0] = x.domain();
  const due = x(Math.min(last - 2, Math.max(-12, pump.dueDays)));
  const plan = pump.planDays === null ? null : x(Math.min(last - 2, pump.planDays));
  const late = pump.planDays !== null && pump.planDays > pump.dueDays;
  const nudged = plan !== null && Math.abs(plan - due) < NUDGE ? due + (late ? NUDGE : -NUDGE) : plan;
  return (
    <g>
      {pump.dueDays < last && <Due x={due} y={y} />}
      {nudged !== null && late && (
        <path d={`M${due},${y + 14}H${nudged}V${y + 7}`} fill="none" stroke="var(--renew)" strokeWidth={2} />
      )}
      {nudged !== null && <Plan x={nudged} y={y} late={late} />}
    </g>
  );
}
