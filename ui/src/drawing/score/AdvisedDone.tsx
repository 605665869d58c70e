import { scaleLinear } from "d3-scale";
import type { ScoreView } from "../../api/types";
import { rounded, signed } from "../../text/numbers";
import { currency, money } from "../../text/shop";
import { Hourglass, Whole } from "./Calibrated";

const TOP = 16;
const MARK = 7;

/** So many marks stand over each other at most. */
const MOST = 30;

/** The drawing is never lower: the words beside it need as much. */
const LOWEST = 84;
const [LOW, HIGH] = [-0.7, 1.3];
const STEP = 0.05;
const ROW = 46;

/** Where each set was done beside the age that was advised, and what that came to. */
export function AdvisedDone({ score, width }: { score: ScoreView; width: number }) {
  const x = scaleLinear()
    .domain([LOW, HIGH])
    .range([26, width - 26]);
  const heights = new Map<number, number>();
  const marks = score.scored
    .flatMap((s) => (s.late === null ? [] : [{ ...s, late: Math.min(HIGH, Math.max(LOW, s.late)) }]))
    .sort((a, b) => Number(a.failed) - Number(b.failed))
    .map((s, i) => {
      const column = Math.round(s.late / STEP);
      const n = heights.get(column) ?? 0;
      heights.set(column, n + 1);
      return { key: `${s.pump}${s.ended}${i}`, x: x(column * STEP), n: Math.min(n, MOST), failed: s.failed };
    });
  const stacks = Math.max(LOWEST, MARK * (2 + Math.max(0, ...marks.map((m) => m.n))) + 20);
  const base = TOP + stacks;
  const ways = score.ways.filter((w) => w.sets > 0);
  const most = Math.max(1, ...ways.map((w) => w.high)) * 1.05;
  const cost = scaleLinear()
    .domain([0, most])
    .nice()
    .range([120, width - 76]);
  const costs = base + 66;
  return (
    <svg width={width} height={costs + ROW * ways.length + 8} className="block" role="img" aria-label={spoken(score)}>
      <rect x={x(-0.1)} width={x(0.1) - x(-0.1)} y={TOP} height={stacks} fill="var(--wash)" />
      <path d={`M${x(0)},${TOP}V${base}`} stroke="var(--accent)" strokeWidth={2} />
      <path d={`M${x(0)},${TOP - 7}l6,7l-6,7l-6,-7Z`} fill="var(--accent)" />
      {marks.map((m) =>
        m.failed ? (
          <Hourglass key={m.key} x={m.x} y={base - (m.n + 1) * MARK} />
        ) : (
          <Whole key={m.key} x={m.x} y={base - (m.n + 1) * MARK} />
        ),
      )}
      <path d={`M${x(LOW)},${base}H${x(HIGH)}`} stroke="var(--ink)" strokeWidth={1.4} />
      {[-0.5, 0, 0.5, 1].map((t) => (
        <g key={t}>
          <path d={`M${x(t)},${base}v5`} stroke="var(--ink)" />
          <text className="m" x={x(t)} y={base + 19} fontSize={12.5} textAnchor="middle" fill="var(--muted)">
            {t === 0 ? "0" : signed(t * 100)}
          </text>
        </g>
      ))}
      <text x={x(HIGH)} y={base + 19} fontSize={12.5} textAnchor="end" fill="var(--muted)">
        over
      </text>
      <text x={width - 26} y={base + 36} fontSize={12.5} textAnchor="end" fill="var(--muted)">
        % of the advised age
      </text>
      <g transform={`translate(${width - 150},${TOP + 4})`} fontSize={12.5} fill="var(--ink)">
        <Whole x={0} y={-4} />
        <text x={10} y={3}>
          came out sound
        </text>
        <Hourglass x={0} y={14} />
        <text x={10} y={21}>
          failed before its date
        </text>
      </g>
      <text x={0} y={costs - 6} fontSize={13.5} fontWeight={680} fill="var(--ink)">
        {currency()} per 1000 h
      </text>
      {cost.ticks(4).map((t) => (
        <g key={t}>
          <path d={`M${cost(t)},${costs}V${costs + ROW * ways.length}`} stroke="var(--line2)" />
          <text className="m" x={cost(t)} y={costs - 6} fontSize={12.5} textAnchor="middle" fill="var(--muted)">
            {t > 0 || width > 330 ? rounded(t) : ""}
          </text>
        </g>
      ))}
      {ways.map((w, i) => {
        const y = costs + i * ROW + ROW / 2;
        const ink = w.title === "As advised" ? "var(--accent)" : "var(--ink)";
        return (
          <g key={w.title}>
            <path d={`M0,${costs + i * ROW}H${width}`} stroke="var(--line)" />
            <text x={0} y={y - 2} fontSize={14.5} fontWeight={680} fill={ink}>
              {w.title}
            </text>
            <text x={0} y={y + 14} fontSize={12.5} fill="var(--soft)">
              {w.sets} sets, {w.failed} failed
            </text>
            <path
              d={`M${cost(w.low)},${y}H${cost(w.high)}M${cost(w.low)},${y - 6}v12M${cost(w.high)},${y - 6}v12`}
              stroke={ink}
              strokeWidth={1.6}
            />
            <path d={`M${cost(w.per1000)},${y - 6}l6,6l-6,6l-6,-6Z`} fill={ink} />
            <text className="m" x={width} y={y + 5} fontSize={16} fontWeight={640} textAnchor="end" fill={ink}>
              {money(w.per1000)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

function spoken(score: ScoreView): string {
  return score.ways
    .map((w) => `${w.title}: ${w.sets} sets, ${w.failed} failed, ${Math.round(w.per1000)} per 1000 h`)
    .join("; ");
}
