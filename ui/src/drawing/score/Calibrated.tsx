import { scaleSqrt } from "d3-scale";
import { useId } from "react";
import type { ScoreView } from "../../api/types";
import { percent } from "../../text/numbers";

const LEFT = 58;
const RIGHT = 16;
const TOP = 26;
const BOX = 300;
const MARK = 7;

/** So many marks stand over each other at most; more of them share a height. */
const STACK = 12;

const EDGES = [0, 0.02, 0.05, 0.1, 0.2, 0.35, 0.55, 1];

/** What was said against what came; a dashed box is what luck allows where the forecast is right. */
export function Calibrated({ score, width }: { score: ScoreView; width: number }) {
  const hatch = useId();
  const x = scaleSqrt()
    .domain([0, 1])
    .range([LEFT, width - RIGHT]);
  const y = scaleSqrt()
    .domain([0, 1])
    .range([TOP + BOX, TOP]);
  const stacks = stacked(score, x);
  const tall = (failed: boolean) =>
    MARK * (1 + Math.max(0, ...stacks.filter((p) => p.failed === failed).map((p) => p.n)));
  const base = TOP + BOX + 22 + tall(false);
  const foot = base + tall(true) + 24;
  return (
    <svg width={width} height={foot + 46} className="block shrink-0" role="img" aria-label={spoken(score)}>
      <defs>
        <pattern id={hatch} width="5" height="6" patternUnits="userSpaceOnUse">
          <path d="M1,0V6" stroke="var(--ghost)" strokeWidth="0.9" />
        </pattern>
      </defs>
      <text x={20} y={14} fontSize={13.5} fontWeight={680} fill="var(--ink)">
        What came, %
      </text>
      {EDGES.map((e) => (
        <g key={e}>
          <path d={`M${x(e)},${TOP}V${TOP + BOX}M${LEFT},${y(e)}H${width - RIGHT}`} stroke="var(--line2)" />
          <text className="m" x={LEFT - 8} y={y(e) + 4} fontSize={12.5} textAnchor="end" fill="var(--muted)">
            {Math.round(e * 100)}
          </text>
          <text className="m" x={x(e)} y={foot + 18} fontSize={12.5} textAnchor="middle" fill="var(--muted)">
            {Math.round(e * 100)}
          </text>
        </g>
      ))}
      <path d={`M${x(0)},${y(0)}L${x(1)},${y(1)}`} stroke="var(--ink)" strokeDasharray="9 3 2 3" />
      {score.bins.map((b) => {
        const [from, to] = [x(b.from) + 2, x(b.to) - 2];
        const came = b.failed / b.sets;
        const ink = b.parts ? "var(--watch-words)" : "var(--ink)";
        return (
          <g key={b.from}>
            <rect
              x={from}
              width={to - from}
              y={y(b.high / b.sets)}
              height={Math.max(2, y(b.low / b.sets) - y(b.high / b.sets))}
              fill={`url(#${hatch})`}
              stroke="var(--ghost)"
              strokeDasharray="3 2"
            />
            <path d={`M${from},${y(came)}H${to}`} stroke={ink} strokeWidth={2} />
            <circle
              cx={x(b.said)}
              cy={y(came)}
              r={6.5}
              fill="var(--paper)"
              stroke={b.parts ? "var(--watch)" : "var(--sound)"}
              strokeWidth={2.4}
            />
            {b.parts && <path d={`M${x(b.said)},${y(came) - 6.5}a6.5,6.5 0 0 0 0,13Z`} fill="var(--watch)" />}
            <text
              className="m"
              x={(from + to) / 2}
              y={foot}
              fontSize={12.5}
              fontWeight={640}
              textAnchor="middle"
              fill={ink}
            >
              {to - from > 34 ? `${b.failed}/${b.sets}` : ""}
            </text>
          </g>
        );
      })}
      <text x={20} y={base - 8} fontSize={12.5} fill="var(--soft)">
        whole
      </text>
      <text x={20} y={base + 14} fontSize={12.5} fill="var(--renew)">
        failed
      </text>
      <path d={`M${LEFT},${base}H${width - RIGHT}`} stroke="var(--ink)" />
      {stacks.map((s) =>
        s.failed ? (
          <Hourglass key={s.key} x={s.x} y={base + 4 + s.n * MARK} />
        ) : (
          <Whole key={s.key} x={s.x} y={base - 3 - (s.n + 1) * MARK} />
        ),
      )}
      <text x={20} y={foot} fontSize={12.5} fill="var(--soft)">
        came/all
      </text>
      <text x={(LEFT + width) / 2} y={foot + 38} fontSize={13.5} fontWeight={680} textAnchor="middle" fill="var(--ink)">
        What was said, %
      </text>
    </svg>
  );
}

interface Placed {
  key: string;
  x: number;
  n: number;
  failed: boolean;
}

/** Each set in a column of what was said of it. */
function stacked(score: ScoreView, x: (said: number) => number): Placed[] {
  const heights = new Map<string, number>();
  return score.scored.map((s, i) => {
    const column = Math.round(x(s.said) / MARK) * MARK;
    const key = `${column}${s.failed}`;
    const n = heights.get(key) ?? 0;
    heights.set(key, n + 1);
    return { key: `${s.pump}${s.ended}${i}`, x: column, n: Math.min(n, STACK - 1), failed: s.failed };
  });
}

/** A set that came out sound. */
export function Whole({ x, y }: { x: number; y: number }) {
  return <rect x={x - 2} y={y} width={4} height={5.5} fill="none" stroke="var(--ink)" strokeWidth={0.9} />;
}

/** A set that failed: notched from both sides. */
export function Hourglass({ x, y }: { x: number; y: number }) {
  return (
    <path
      d={`M${x - 2.6},${y}h5.2L${x + 0.6},${y + 2.9}L${x + 2.6},${y + 5.8}h-5.2L${x - 0.6},${y + 2.9}Z`}
      fill="var(--renew)"
    />
  );
}

function spoken(score: ScoreView): string {
  return score.bins
    .map(
      (b) => `Called at ${percent(b.said)} in 100: ${b.failed} of ${b.sets} failed, luck allows ${b.low} to ${b.high}`,
    )
    .join("; ");
}
