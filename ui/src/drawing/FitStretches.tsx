import { scaleLinear } from "d3-scale";
import type { LifeView } from "../api/types";
import { LEFT, RIGHT } from "./LifeCosts";

const HEIGHT = 58;
const NARROWEST = 16;

/** Failures by age under the curve, and how many of them it allows. */
export function FitStretches({ life, width }: { life: LifeView; width: number }) {
  const last = life.curve.at(-1)?.age ?? 1000;
  const x = scaleLinear()
    .domain([0, last])
    .range([LEFT, width - RIGHT])
    .clamp(true);
  // Where no set was seen, nothing is allowed and nothing is told.
  const shown = life.fit.stretches.filter((s) => s.from < last && s.failed + s.high > 0);
  return (
    <svg width={width} height={HEIGHT} className="block" role="img" aria-label={spoken(life)}>
      <text x={20} y={20} fontSize={13.5} fontWeight={680} fill="var(--ink)">
        Failed
      </text>
      <text x={20} y={50} fontSize={12} fill="var(--muted)">
        allowed
      </text>
      {shown.map((s) => {
        const [from, to] = [x(s.from) + 1.5, x(s.to ?? last) - 1.5];
        const parts = s.agreement !== "agrees";
        const ink = parts ? "var(--renew)" : "var(--ink)";
        // Side by side on a phone there is no room for what did not happen.
        if (to - from < NARROWEST && !parts && s.failed === 0) return null;
        const middle = Math.max((from + to) / 2, LEFT + 8);
        return (
          <g key={s.from}>
            <path d={`M${from},26V32H${to}V26`} fill="none" stroke={ink} strokeWidth={parts ? 2 : 1.2} />
            <text className="m" x={middle} y={20} fontSize={15} fontWeight={640} textAnchor="middle" fill={ink}>
              {s.failed}
            </text>
            <text className="m" x={middle} y={50} fontSize={12} textAnchor="middle" fill={parts ? ink : "var(--muted)"}>
              {s.low === s.high ? s.high : `${s.low}–${s.high}`}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

function spoken(life: LifeView): string {
  return life.fit.stretches
    .map((s) => `from ${Math.round(s.from)} hours: ${s.failed} failed, ${s.low} to ${s.high} allowed`)
    .join("; ");
}
