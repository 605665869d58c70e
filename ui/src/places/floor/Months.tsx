import type { ScaleLinear } from "d3-scale";
import { day } from "../../text/numbers";
import { columnsOf } from "./columns";
import { dayLocale } from "../../text/shownIn";

const MS_PER_DAY = 86_400_000;
const LEAST_GAP = 24;

/** First days of the months on the line of time, as days from today. */
export function monthStarts(
  today: string,
  from: number,
  to: number,
): { days: number; name: string; january: boolean }[] {
  const now = Date.parse(`${today}T00:00:00Z`);
  const at = new Date(now + from * MS_PER_DAY);
  const starts = [];
  for (let m = at.getUTCMonth() + 1; ; m++) {
    const first = new Date(Date.UTC(at.getUTCFullYear(), m, 1));
    const days = Math.round((first.getTime() - now) / MS_PER_DAY);
    if (days > to) return starts;
    starts.push({
      days,
      name: first.toLocaleDateString(dayLocale(), { month: "short", timeZone: "UTC" }),
      january: first.getUTCMonth() === 0,
    });
  }
}

/** The head of the rows: column names, months, today. */
export function Months({ x, today, width }: { x: ScaleLinear<number, number>; today: string; width: number }) {
  const { tag, between } = columnsOf(width);
  const [from = 0, to = 0] = x.domain();
  const months = monthStarts(today, from, to);
  const gap = x(30) - x(0);
  const every = Math.max(1, Math.ceil(LEAST_GAP / gap));
  return (
    <svg width={width} height={30} className="block" aria-hidden>
      <g fontSize={12} fontWeight={560} fill="var(--muted)">
        <text x={tag} y={20}>
          Pump
        </text>
        {between && (
          <>
            <text x={between.duty} y={20}>
              Duty
            </text>
            <text x={between.wetEnd} y={20}>
              Wet end
            </text>
            <text x={between.hours} y={20} textAnchor="end">
              Hours
            </text>
          </>
        )}
        <text x={width - 16} y={20} textAnchor="end">
          In 30 d
        </text>
      </g>
      {months.map((m, i) => (
        <g key={m.days}>
          <path d={`M${x(m.days)},${m.january ? 6 : 23}V30`} stroke={m.january ? "var(--line)" : "var(--line2)"} />
          {i % every === 0 && Math.abs(x(m.days) + 12 - x(0)) > 34 && m.days < to - 10 && (
            <text
              x={x(m.days) + 4}
              y={20}
              fontSize={12}
              fontWeight={540}
              fill={m.days > 0 ? "var(--ink)" : "var(--muted)"}
            >
              {m.name}
            </text>
          )}
        </g>
      ))}
      <rect x={x(0) - 23} y={5} width={46} height={20} fill="var(--ink)" />
      <text x={x(0)} y={19.5} textAnchor="middle" fontSize={12.5} fontWeight={640} fill="var(--card)">
        {day(today)}
      </text>
      <path d={`M${x(0)},25V30`} stroke="var(--ink)" strokeWidth={1.8} />
      <path d="M0,29.5H4000" stroke="var(--line)" />
    </svg>
  );
}
