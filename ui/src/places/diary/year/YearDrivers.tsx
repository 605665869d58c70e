import { Link } from "react-router";
import type { YearView } from "../../../api/types";
import { rounded } from "../../../text/numbers";
import { currency } from "../../../text/shop";

const WIDTH = 74;
const ROW = 24;

/** The pumps that the difference comes from. */
export function YearDrivers({ year }: { year: YearView }) {
  const values = [...year.drivers.flatMap((d) => [d.saves, d.low, d.high]), year.others.saves, 0];
  const [low, high] = [Math.min(...values), Math.max(...values, 1)];
  const x = (v: number) => 2 + ((v - low) / (high - low)) * (WIDTH - 4);
  const rows = [
    ...year.drivers.map((d) => ({ key: d.pump, ...d, band: true })),
    ...(year.others.pumps > 0
      ? [
          {
            key: "",
            pump: `${year.others.pumps} others`,
            from: "",
            to: "",
            saves: year.others.saves,
            low: 0,
            high: 0,
            band: false,
          },
        ]
      : []),
  ];
  return (
    <section aria-label="Drivers">
      <h2 className="head flex items-baseline justify-between border-b-[1.5px] border-ink pb-1">
        What drives the difference
        <span className="text-small font-[500] text-muted">saves, {currency()} a year</span>
      </h2>
      <ul>
        {rows.map((r) => (
          <li key={r.key} className="flex min-h-9 items-center gap-2 border-b border-line2 text-body">
            {r.band ? (
              <Link to={`/life?pump=${r.pump}`} className="w-[62px] font-[700]">
                {r.pump}
              </Link>
            ) : (
              <span className="w-[62px]">{r.pump}</span>
            )}
            <span className="m min-w-0 flex-1 text-small whitespace-nowrap text-soft">
              {r.from && (r.from === r.to ? `${r.from}, as before` : `${r.from} › ${r.to}`)}
            </span>
            <svg width={WIDTH} height={ROW} className="shrink-0" aria-hidden>
              <path d={`M${x(0)},0V${ROW}`} stroke="var(--ink)" />
              <rect
                x={Math.min(x(0), x(r.saves))}
                width={Math.abs(x(r.saves) - x(0))}
                y={7}
                height={10}
                fill={r.saves < 0 ? "var(--renew)" : r.band ? "var(--accent)" : "var(--soft)"}
              />
              {r.band && r.high > r.low && (
                <path
                  d={`M${x(r.low)},12H${x(r.high)}M${x(r.low)},8v8M${x(r.high)},8v8`}
                  stroke="var(--ink)"
                  strokeWidth={1.2}
                  opacity={0.7}
                />
              )}
            </svg>
            <span className="m w-[46px] text-right text-lead">{rounded(Math.round(r.saves / 10) * 10)}</span>
          </li>
        ))}
      </ul>
      {year.driving && <p className="pt-2 text-body font-[640]">{year.driving}</p>}
      <p className="text-small text-muted">Hours from and to. Bars are means, lines half of the years.</p>
    </section>
  );
}
