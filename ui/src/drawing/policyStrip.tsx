import { Failure, Planned } from "./eventMarks";

/** A look: an eye on the line. */
export function Eye({ x, y }: { x: number; y: number }) {
  return (
    <g>
      <path
        d={`M${x - 9},${y}Q${x},${y - 9} ${x + 9},${y}Q${x},${y + 9} ${x - 9},${y}Z`}
        fill="var(--card)"
        stroke="var(--ink)"
        strokeWidth={1.2}
      />
      <circle cx={x} cy={y} r={2.7} fill="var(--ink)" />
    </g>
  );
}

export interface Year {
  way: string;
  failures: number;
  renewals: number;
  /** Looks a year, where that is the way. */
  looks: number;
}

type Mark = "planned" | "failure" | "eye";

/**
 * One typical stretch under a way to keep a part: renewals, failures and looks in the proportion they
 * come, spread evenly. Seven ends fit on a strip.
 */
export function marks({ way, failures, renewals, looks }: Year): Mark[] {
  const ends = failures + renewals;
  if (ends <= 0) return [];
  const shown = 6;
  const failed = Math.round((shown * failures) / ends);
  const list: Mark[] = [];
  for (let i = 0; i < shown; i++) {
    if (way === "look") {
      const between = Math.min(2, Math.round(looks / ends));
      for (let k = 0; k < between; k++) list.push("eye");
    }
    // Failures stand evenly among the ends, the first not before the middle of its share.
    const before = Math.floor((i * failed) / shown + 0.5);
    const after = Math.floor(((i + 1) * failed) / shown + 0.5);
    list.push(after > before ? "failure" : "planned");
  }
  return list;
}

const HEIGHT = 30;
const CY = 15;
const FRESH = 7.5;

/** A policy as a strip of wedges: each set thins from fitted to its end. */
export function PolicyStrip({ year, width }: { year: Year; width: number }) {
  const all = marks(year);
  const step = (width - 12) / Math.max(1, all.length);
  const x = (i: number) => 6 + i * step;
  const ends = all.map((m, i) => ({ m, i: i + 1 })).filter(({ m }) => m !== "eye");
  return (
    <svg width={width} height={HEIGHT} className="block" aria-hidden>
      {ends.map(({ m, i }, n) => {
        const from = x(n === 0 ? 0 : (ends[n - 1]?.i ?? 0));
        const end = m === "failure" ? 0.3 : FRESH * 0.3;
        return (
          <path
            key={i}
            d={`M${from},${CY - FRESH}L${x(i)},${CY - end}V${CY + end}L${from},${CY + FRESH}Z`}
            fill="var(--past)"
            stroke="var(--past-edge)"
            strokeWidth={0.8}
          />
        );
      })}
      <Planned x={x(0)} y={CY} />
      {all.map((m, i) => {
        const at = { x: x(i + 1), y: CY };
        if (m === "eye") return <Eye key={i} {...at} />;
        return m === "failure" ? <Failure key={i} {...at} h={11} /> : <Planned key={i} {...at} />;
      })}
    </svg>
  );
}
