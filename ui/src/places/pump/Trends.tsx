import { scaleLinear } from "d3-scale";
import type { PumpView, TrendView } from "../../api/types";
import { rounded, unbroken } from "../../text/numbers";
import { unitWord } from "../../text/shop";

const WIDTH = 360;
const HEIGHT = 118;
const RIGHT = 52;

/** What was measured on this pump over its running hours, and why its parts wore. */
export function Trends({ pump: p }: { pump: PumpView }) {
  return (
    <>
      <section aria-label="What was measured">
        <h2 className="head border-b-[1.5px] border-ink pt-5 pb-1">What was measured, over running hours</h2>
        {p.trends.length === 0 && (
          <p className="py-2 text-body text-soft">
            Nothing yet: every reading at Inspect and Prove is kept and drawn here.
          </p>
        )}
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(360px,1fr))] gap-x-8">
          {p.trends.map((t) => (
            <li key={t.title} className="border-b border-line2 py-2">
              <p className="text-body leading-[18px] font-[640]">
                {t.title} <span className="font-[500] text-muted">{unitWord(t.unit)}</span>
              </p>
              <TrendPlot trend={t} now={p.runningHours} />
              <p className="text-small leading-[17px] text-soft">
                {t.line
                  ? unbroken(
                      `${t.line.perThousand >= 0 ? "+" : "−"}${Number(Math.abs(t.line.perThousand).toPrecision(2))} ${unitWord(t.unit)} in 1 000 h. ${t.line.say}`,
                    )
                  : "One reading of this life: no trend yet."}
              </p>
            </li>
          ))}
        </ul>
      </section>
      {p.causes.length > 0 && (
        <section aria-label="Why parts wore">
          <h2 className="head border-b-[1.5px] border-ink pt-5 pb-1">Why its parts wore, latest first</h2>
          <ul>
            {p.causes.map((c, i) => (
              <li key={i} className="flex items-baseline gap-3 border-b border-line2 py-1.5 text-body">
                <b className="w-40 font-[660]">{c.cause}</b>
                <span className="w-44 truncate">{c.part}</span>
                <span className="m w-20 text-right text-body">{rounded(c.hours)} h</span>
                <span className="min-w-0 flex-1 truncate text-soft">
                  {[c.counters || "nothing done", c.note].filter(Boolean).join(". ")}
                </span>
                <span className="text-small text-muted">{c.on}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

/** Readings, the line of the life that runs now, its limit, and the band in which it crosses. */
function TrendPlot({ trend: t, now }: { trend: TrendView; now: number }) {
  const first = t.points[0];
  if (!first) return null;
  const end = Math.min(t.line?.latest ?? t.line?.crossing ?? now, now * 1.6);
  const x = scaleLinear()
    .domain([Math.min(first.hours, now * 0.96), Math.max(end, now) * 1.01])
    .range([6, WIDTH - RIGHT]);
  const bounds = [t.watch, t.limit].filter((v) => v !== null);
  const values = [...t.points.map((p) => p.value), ...bounds];
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const pad = (high - low || Math.abs(high) || 1) * 0.12;
  const y = scaleLinear()
    .domain([low - pad, high + pad])
    .range([HEIGHT - 20, 8]);
  const from = t.line?.earliest ?? null;
  const to = t.line?.latest ?? null;
  return (
    <svg
      width="100%"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`${t.points.length} readings, last ${rounded(t.points.at(-1)?.value ?? 0, 3)} ${t.unit}. ${t.line?.say ?? ""}`}
    >
      {from !== null && to !== null && (
        <rect
          x={x(from)}
          y={8}
          width={Math.max(2, Math.min(WIDTH - RIGHT, x(to)) - x(from))}
          height={HEIGHT - 28}
          fill="var(--wash)"
        />
      )}
      {bounds.map((b, i) => (
        <g key={b}>
          <path
            d={`M6,${y(b)}H${WIDTH - RIGHT}`}
            stroke={i === bounds.length - 1 ? "var(--renew)" : "var(--watch)"}
            strokeDasharray="5 3"
          />
          <text className="m" x={WIDTH - RIGHT + 5} y={y(b) + 4} fontSize={12} fill="var(--ink)">
            {rounded(b, 3)}
          </text>
        </g>
      ))}
      <path d={`M${x(now)},8V${HEIGHT - 20}`} stroke="var(--ink)" strokeWidth={0.8} />
      <text x={x(now)} y={HEIGHT - 6} fontSize={11.5} textAnchor="middle" fill="var(--muted)">
        now
      </text>
      <text className="m" x={6} y={HEIGHT - 6} fontSize={11.5} fill="var(--muted)">
        {x(now) - 6 > 90 ? `${rounded(first.hours)} h` : ""}
      </text>
      {t.line && (
        <path
          d={`M${x(t.line.fromHours)},${y(t.line.fromValue)}L${x(end)},${y(t.line.fromValue + ((end - t.line.fromHours) * t.line.perThousand) / 1000)}`}
          stroke="var(--accent)"
          strokeWidth={1.6}
          fill="none"
        />
      )}
      {t.points.map((p, i) => (
        <circle
          key={i}
          cx={x(p.hours)}
          cy={y(p.value)}
          r={3.4}
          fill={p.overdue ? "var(--card)" : p.lastOfPart ? "var(--renew)" : "var(--ink)"}
          stroke={p.overdue ? "var(--watch)" : "var(--ink)"}
        >
          <title>{`${rounded(p.value, 3)} ${t.unit} on ${p.on}, ${p.by}${p.overdue ? ", gauge out of calibration" : ""}${p.lastOfPart ? ", then renewed" : ""}`}</title>
        </circle>
      ))}
    </svg>
  );
}
