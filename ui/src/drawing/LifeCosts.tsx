import { scaleLinear, type ScaleLinear } from "d3-scale";
import { curveMonotoneX, line } from "d3-shape";
import type { LifeView } from "../api/types";
import { rounded } from "../text/numbers";
import { currency, money } from "../text/shop";

/** Margins of the plots of a life, px: they share one axis of age. */
export const LEFT = 92;
export const RIGHT = 20;

/** Height of the curves of cost. */
export const COSTS = 196;

type Scale = ScaleLinear<number, number>;

/** What it costs to renew at each age, to look so often, and to run it until it fails. */
export function Costs({ life, x, top }: { life: LifeView; x: Scale; top: number }) {
  const rtf = life.policies.find((p) => p.way === "until-it-fails");
  const fixed = life.policies.find((p) => p.way === "fixed");
  const least = Math.min(...life.costs.map((c) => c.fixed), rtf?.per1000h ?? Infinity);
  const most = Math.max(2.6 * least, 1.25 * (rtf?.per1000h ?? 0), 1.1 * (life.today?.per1000h ?? 0));
  const y = scaleLinear()
    .domain([0, most])
    .nice()
    .range([top + COSTS - 8, top]);
  const inside = ([, v]: [number, number]) => v <= (y.domain()[1] ?? most);
  const path = (points: [number, number][]) =>
    line<[number, number]>()
      .x(([age]) => x(age))
      .y(([, v]) => y(v))
      .curve(curveMonotoneX)(points.filter(inside)) ?? "";
  const looks = life.costs.flatMap((c): [number, number][] => (c.look === null ? [] : [[c.age, c.look]]));
  const right = x.range()[1] ?? 0;
  const first = (points: [number, number][]) => points.filter(inside)[0];
  const renewed = life.costs.map((c): [number, number] => [c.age, c.fixed]);
  const today = life.today;
  return (
    <g>
      <text x={20} y={top + 2} fontSize={13.5} fontWeight={680} fill="var(--ink)">
        {currency()} per
      </text>
      <text x={20} y={top + 17} fontSize={13.5} fontWeight={680} fill="var(--ink)">
        1000 h
      </text>
      {y.ticks(4).map((t) => (
        <g key={t}>
          <path d={`M${LEFT},${y(t)}H${right}`} stroke={t === 0 ? "var(--ink)" : "var(--line2)"} />
          <text className="m" x={LEFT - 10} y={y(t) + 4.5} fontSize={12.5} textAnchor="end" fill="var(--muted)">
            {rounded(t)}
          </text>
        </g>
      ))}
      {rtf && (
        <g>
          <path
            d={`M${LEFT},${y(rtf.per1000h)}H${right}`}
            stroke="var(--ink)"
            strokeWidth={1.6}
            strokeDasharray="1.5 3"
          />
          <text x={right} y={y(rtf.per1000h) - 6} fontSize={13} fontWeight={640} textAnchor="end" fill="var(--ink)">
            run it until it fails
          </text>
        </g>
      )}
      <path d={path(looks)} fill="none" stroke="var(--soft)" strokeWidth={1.4} strokeDasharray="9 3 2 3" />
      {first(looks) && (
        <Label x={x(first(looks)?.[0] ?? 0) + 8} y={top + 8}>
          look this often, renew when worn
        </Label>
      )}
      <path d={path(renewed)} fill="none" stroke="var(--ink)" strokeWidth={2} />
      {first(renewed) && (
        <Label x={x(first(renewed)?.[0] ?? 0) + 10} y={top + 26}>
          renew at this age
        </Label>
      )}
      {fixed?.every != null && (
        <g>
          <circle cx={x(fixed.every)} cy={y(fixed.per1000h)} r={5} fill="var(--accent)" />
          <text
            className="m"
            x={x(fixed.every) - 9}
            y={y(fixed.per1000h) + 20}
            fontSize={15}
            fontWeight={600}
            textAnchor="end"
            fill="var(--accent)"
          >
            {money(fixed.per1000h)}
          </text>
        </g>
      )}
      {today && y(today.per1000h) >= top - 4 && <Today life={life} x={x} y={y} />}
    </g>
  );
}

/** A word on a curve, on paper so that lines stop short of it. */
function Label({ x, y, children }: { x: number; y: number; children: string }) {
  return (
    <text
      x={x}
      y={y}
      fontSize={13}
      fontWeight={600}
      fill="var(--soft)"
      stroke="var(--paper)"
      strokeWidth={5}
      paintOrder="stroke"
    >
      {children}
    </text>
  );
}

function Today({ life, x, y }: { life: LifeView; x: Scale; y: Scale }) {
  const today = life.today;
  if (!today) return null;
  const right = x.range()[1] ?? 0;
  const at = Math.min(x(today.age), right - 8);
  const chosen = life.policies.find((p) => p.chosen);
  const left = at > right - 190;
  const text = {
    x: left ? at - 12 : at + 12,
    textAnchor: left ? ("end" as const) : ("start" as const),
    stroke: "var(--paper)",
    strokeWidth: 5,
    paintOrder: "stroke",
  };
  const down = chosen ? y(chosen.per1000h) : y(today.per1000h);
  return (
    <g>
      <path d={`M${at},${y(today.per1000h)}V${down}`} stroke="var(--renew)" strokeWidth={1.8} />
      <path
        d={`M${at},${y(today.per1000h) - 9}l9,9l-9,9l-9,-9Z`}
        fill="var(--card)"
        stroke="var(--ink)"
        strokeWidth={1.6}
      />
      <text {...text} y={y(today.per1000h) + 28} fontSize={13} fontWeight={620} fill="var(--ink)">
        {today.say}:
      </text>
      <text {...text} y={y(today.per1000h) + 45} fontSize={14} fontWeight={720} fill="var(--renew)">
        {money(today.overPerYear)} a year over the best
      </text>
    </g>
  );
}
