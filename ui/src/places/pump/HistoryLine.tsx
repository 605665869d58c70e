import { scaleLinear } from "d3-scale";
import type { Strip } from "../../api/types";
import { RunningOut } from "../../drawing/RunningOut";
import { useWidth } from "../../parts/useWidth";

const DAYS_BACK = 1095;
const DAYS_AHEAD = 184;
const HEIGHT = 92;
const AXIS = 46;
const YEAR = 365.25;

/** The same strip as on the floor, over three years. */
export function HistoryLine({ pump }: { pump: Strip }) {
  const [ref, width] = useWidth<HTMLDivElement>(900);
  const x = scaleLinear()
    .domain([-DAYS_BACK, DAYS_AHEAD])
    .range([4, width - 8]);
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`${pump.stops.length} sets in three years, ${pump.stops.filter((s) => s.failed).length} failed`}
      >
        {[-3, -2, -1].map((y) => (
          <g key={y}>
            <path d={`M${x(y * YEAR)},18V${HEIGHT - 14}`} stroke="var(--line2)" />
            <text
              x={Math.max(4, x(y * YEAR))}
              y={12}
              fontSize={12}
              fill="var(--muted)"
              textAnchor={y === -3 ? "start" : "middle"}
            >
              {-y} {y === -1 ? "year" : "years"} ago
            </text>
          </g>
        ))}
        <text x={x(0)} y={12} fontSize={12.5} fontWeight={680} textAnchor="middle" fill="var(--ink)">
          today
        </text>
        <RunningOut pump={pump} x={x} y={AXIS} />
        <path d={`M${x(0)},17V${HEIGHT - 14}`} stroke="var(--ink)" strokeWidth={1.8} />
        {changes(pump).map((c) => (
          <text key={c.days} x={x(c.days) + 4} y={HEIGHT - 8} fontSize={12.5} fontWeight={640} fill="var(--soft)">
            {c.material}
          </text>
        ))}
      </svg>
    </div>
  );
}

/** Where the material changed: the first set of each stretch. */
export function changes(pump: Pick<Strip, "stops" | "material">): { days: number; material: string }[] {
  const sets = [...pump.stops.map((s) => s.material), pump.material];
  const starts = [-DAYS_BACK, ...pump.stops.map((s) => s.days)];
  return sets.map((material, i) => ({ material, days: starts[i] ?? 0 })).filter((s, i) => s.material !== sets[i - 1]);
}
