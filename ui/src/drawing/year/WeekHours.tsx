import { scaleLinear, scalePoint } from "d3-scale";
import { area, line } from "d3-shape";
import { useId } from "react";
import type { YearView } from "../../api/types";
import { percent } from "../../text/numbers";
import { shownMonth } from "./months";
import { Months } from "./Months";

const TOP = 34;
const BASE = 132;
const HEIGHT = 158;

/** Where the shifts hold so many times what is asked for, they are told in words and not drawn. */
const FAR = 2.5;

type Week = YearView["weeks"][number];

/** Hours of people that come to be asked for, week by week, against those the shifts hold. */
export function WeekHours({ year, left, width }: { year: YearView; left: number; width: number }) {
  const hatch = useId();
  const weeks = year.weeks;
  const asked = Math.max(1, ...weeks.flatMap((w) => [w.left.high, w.right.high]));
  const held = Math.max(...weeks.map((w) => w.hours));
  const drawn = held <= FAR * asked;
  const x = scalePoint<number>()
    .domain(weeks.map((_, i) => i))
    .range([left, width - 20]);
  const y = scaleLinear()
    .domain([0, drawn ? Math.max(asked, held) : asked])
    .nice(4)
    .range([BASE, TOP]);
  const at = (i: number) => x(i) ?? 0;
  const band = (of: (w: Week) => { low: number; high: number }) =>
    area<Week>()
      .x((_, i) => at(i))
      .y0((w) => y(of(w).low))
      .y1((w) => y(of(w).high))(weeks) ?? "";
  const middle =
    line<Week>()
      .x((_, i) => at(i))
      .y((w) => y(w.right.middle))(weeks) ?? "";
  const step = x.step() / 2;
  const shift = weeks.map((w, i) => `${i ? "L" : "M"}${at(i) - step},${y(w.hours)}H${at(i) + step}`).join("");
  const over = weeks.filter((w) => w.overLeft > 0.005 || w.overRight > 0.005);
  const worst = [...over].sort((a, b) => b.overLeft + b.overRight - a.overLeft - a.overRight)[0];
  return (
    <svg width={width} height={HEIGHT} className="block" role="img" aria-label={spoken(year, held)}>
      <defs>
        <pattern id={hatch} width="5" height="6" patternUnits="userSpaceOnUse">
          <path d="M1,0V6" stroke="var(--ghost)" strokeWidth="0.8" />
        </pattern>
      </defs>
      <text x={20} y={20} fontSize={15} fontWeight={680} fill="var(--ink)">
        Hours of people, by week
      </text>
      <g fontSize={12.5} fontWeight={600}>
        <text x={width - 20} y={20} textAnchor="end" fill="var(--soft)">
          {drawn
            ? worst
              ? `more than the shifts hold in the week of ${shownMonth(worst.from)}: ${percent(worst.overRight)} in 100, ${year.left.title.toLowerCase()} ${percent(worst.overLeft)}`
              : "never more than the shifts hold"
            : `the shifts hold ${Math.round(held)} h a week`}
        </text>
      </g>
      {y.ticks(3).map((t) => (
        <g key={t}>
          <path d={`M${left},${y(t)}H${width - 20}`} stroke={t === 0 ? "var(--ink)" : "var(--line2)"} />
          <text className="m" x={left - 8} y={y(t) + 4} fontSize={12.5} textAnchor="end" fill="var(--muted)">
            {t}
          </text>
        </g>
      ))}
      <path
        d={band((w) => w.left)}
        fill={`url(#${hatch})`}
        stroke="var(--ghost)"
        strokeWidth={1}
        strokeDasharray="3 2"
      />
      <path d={band((w) => w.right)} fill="var(--wash)" fillOpacity={0.8} stroke="var(--accent)" strokeWidth={1} />
      <path d={middle} fill="none" stroke="var(--accent)" strokeWidth={2} />
      {drawn && <path d={shift} fill="none" stroke="var(--ink)" strokeWidth={2} />}
      <Months weeks={weeks} at={at} y={BASE} />
    </svg>
  );
}

function spoken(year: YearView, held: number): string {
  const most = [...year.weeks].sort((a, b) => b.right.high - a.right.high)[0];
  return most
    ? `Hours asked for by week. Most ${year.right.title.toLowerCase()} in the week of ${most.from}: up to ${Math.round(most.right.high)}; the shifts hold ${Math.round(held)}.`
    : "";
}
