import { scaleLinear } from "d3-scale";
import type { ProofView } from "../api/types";
import { rounded } from "../text/numbers";

const WIDTH = 216;
const HEIGHT = 66;

/** A test's reading beside those before it, the limits as lines: left is older, right is now. */
export function TestPlot({ test: t, typed }: { test: ProofView; typed: number | null }) {
  const now = typed ?? t.value;
  const runs = t.calibration ? t.runs : [];
  const values = [...t.before.map((b) => b.value), ...runs, ...(now === null ? [] : [now])];
  const limits = [t.min, t.max].filter((v) => v !== null);
  if (values.length === 0) return null;
  const low = Math.min(...values, ...limits);
  const high = Math.max(...values, ...limits);
  const pad = (high - low || Math.abs(high) || 1) * 0.15;
  const y = scaleLinear()
    .domain([low - pad, high + pad])
    .range([HEIGHT - 6, 6]);
  const count = t.before.length + Math.max(1, runs.length);
  const x = (i: number) => 8 + (i * (WIDTH - 64)) / Math.max(1, count - 1);
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      role="img"
      aria-label={`${t.before.length} earlier readings, ${now === null ? "none now" : `now ${rounded(now, 3)}`}`}
    >
      {t.min !== null && t.max !== null && (
        <rect x={0} y={y(t.max)} width={WIDTH - 48} height={y(t.min) - y(t.max)} fill="var(--wash)" />
      )}
      {limits.map((l) => (
        <g key={l}>
          <path d={`M0,${y(l)}H${WIDTH - 48}`} stroke="var(--renew)" strokeDasharray="4 3" />
          <text className="m" x={WIDTH - 44} y={y(l) + 4} fontSize={11.5} fill="var(--ink)">
            {rounded(l, 3)}
          </text>
        </g>
      ))}
      <path
        d={t.before.map((b, i) => `${i === 0 ? "M" : "L"}${x(i)},${y(b.value)}`).join("")}
        fill="none"
        stroke="var(--soft)"
      />
      {t.before.map((b, i) => (
        <circle
          key={`${b.on} ${i}`}
          cx={x(i)}
          cy={y(b.value)}
          r={3}
          fill={b.overdue ? "var(--card)" : "var(--soft)"}
          stroke="var(--soft)"
        >
          <title>{`${rounded(b.value, 3)} ${t.unit} on ${b.on}${b.overdue ? ", gauge out of calibration" : ""}`}</title>
        </circle>
      ))}
      {runs.map((r, i) => (
        <circle
          key={i}
          cx={x(t.before.length + i)}
          cy={y(r)}
          r={3.4}
          fill="none"
          stroke="var(--accent)"
          strokeWidth={1.6}
        />
      ))}
      {now !== null && (
        <path
          d={`M${x(count - 1)},${y(now) - 6}l6,6l-6,6l-6,-6z`}
          fill={t.value !== null && !t.passed && typed === null && !t.calibration ? "var(--renew)" : "var(--accent)"}
        />
      )}
    </svg>
  );
}
