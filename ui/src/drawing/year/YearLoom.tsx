import { scaleLinear } from "d3-scale";
import { useId } from "react";
import type { YearBand, YearView } from "../../api/types";
import { rounded } from "../../text/numbers";
import { currency } from "../../text/shop";
import { density, outline } from "./density";

/** So many years are drawn as hairlines: more of them are only grey. */
const HAIRLINES = 240;

const HALF = 17;
const ABOVE = 32;
const BELOW = 150;
const AXIS = 182;

/** Lower where the second name stands under its row. */
const AXIS_NARROW = 198;
const HEIGHT = 206;
const LABELS = 104;

/** Under this width the two measures stand over each other, each with its own names. */
const NARROW = 640;

/** Two policies with the same luck: each hairline is one year, from what it came to by the one to the other. */
export function YearLoom({ year, width }: { year: YearView; width: number }) {
  const narrow = width < NARROW;
  const dearer = year.left.moneyOf.map((m, i) => m < (year.right.moneyOf[i] ?? m));
  const money = (
    <Loom
      year={year}
      of="money"
      dearer={dearer}
      from={narrow ? 34 : LABELS}
      to={narrow ? width - 20 : width * 0.64}
      names={narrow}
    />
  );
  const failures = (
    <Loom year={year} of="failures" dearer={dearer} from={narrow ? 34 : width * 0.69} to={width - 20} names={narrow} />
  );
  const said = `${year.right.title}: ${band(year.right.money)}, ${band(year.right.failures)} failures. ${year.left.title}: ${band(year.left.money)}, ${band(year.left.failures)} failures.`;
  if (narrow)
    return (
      <div role="img" aria-label={said}>
        {[money, failures].map((loom, i) => (
          <svg key={i} width={width} height={HEIGHT + AXIS_NARROW - AXIS + 6} className="block" aria-hidden>
            {loom}
          </svg>
        ))}
      </div>
    );
  return (
    <svg width={width} height={HEIGHT} className="block" role="img" aria-label={said}>
      <Name y={ABOVE} title={year.left.title} middle={year.left.money.middle} />
      <g fontSize={12.5} fill="var(--muted)">
        <text x={20} y={84}>
          one hairline
        </text>
        <text x={20} y={100}>
          is one year;
        </text>
        <text x={20} y={116} fill="var(--renew)">
          red: dearer
        </text>
      </g>
      <Name y={BELOW} title={year.right.title} middle={year.right.money.middle} second />
      {money}
      {failures}
    </svg>
  );
}

const band = (b: YearBand) => `${rounded(b.low)} to ${rounded(b.high)}`;

function Name({ y, title, middle, second }: { y: number; title: string; middle: number; second?: boolean }) {
  return (
    <g>
      <text x={20} y={y - 2} fontSize={15} fontWeight={680} fill={second ? "var(--accent)" : "var(--ink)"}>
        {title}
      </text>
      <text x={20} y={y + 14} fontSize={12.5} fill="var(--soft)">
        middle {currency()}
        {rounded(Math.round(middle / 100) * 100)}
      </text>
    </g>
  );
}

interface LoomProps {
  year: YearView;
  of: "money" | "failures";
  dearer: boolean[];
  from: number;
  to: number;
  /** The names stand within the drawing. */
  names: boolean;
}

function Loom({ year, of, dearer, from, to, names }: LoomProps) {
  const hatch = useId();
  const axis = names ? AXIS_NARROW : AXIS;
  const [left, right] =
    of === "money" ? [year.left.moneyOf, year.right.moneyOf] : [year.left.failuresOf, year.right.failuresOf];
  const [low, high] = [Math.min(...left, ...right), Math.max(...left, ...right)];
  const x = scaleLinear()
    .domain(low === high ? [low - 1, high + 1] : [low, high])
    .nice()
    .range([from, to]);
  const [first = 0, last = 1] = x.domain();
  const step = Math.max(1, Math.floor(left.length / HAIRLINES));
  const threads = left.flatMap((v, i) =>
    i % step === 0 ? [{ a: x(v), b: x(right[i] ?? v), dearer: dearer[i] ?? false }] : [],
  );
  return (
    <g>
      <defs>
        <pattern id={hatch} width="4" height="6" patternUnits="userSpaceOnUse">
          <path d="M1,0V6" stroke="var(--ink)" strokeWidth="0.7" opacity=".65" />
        </pattern>
        <pattern id={`${hatch}b`} width="4" height="6" patternUnits="userSpaceOnUse">
          <path d="M1,0V6" stroke="var(--accent)" strokeWidth="0.8" opacity=".8" />
        </pattern>
      </defs>
      {threads
        .sort((a, b) => Number(a.dearer) - Number(b.dearer))
        .map((t, i) => (
          <path
            key={i}
            d={`M${t.a.toFixed(1)},${ABOVE + HALF + 1}L${t.b.toFixed(1)},${BELOW - HALF - 1}`}
            stroke={t.dearer ? "var(--renew)" : "var(--ink)"}
            strokeWidth={t.dearer ? 0.9 : 0.7}
            opacity={t.dearer ? 0.75 : 0.26}
          />
        ))}
      {(
        [
          [left, of === "money" ? year.left.money : year.left.failures, ABOVE, "var(--ink)", hatch],
          [right, of === "money" ? year.right.money : year.right.failures, BELOW, "var(--accent)", `${hatch}b`],
        ] as const
      ).map(([values, b, y, ink, fill]) => (
        <g key={y}>
          <path d={`M${from},${y}H${to}`} stroke={ink} strokeWidth={1} />
          <path
            d={outline(density(values, first, last), from, to, y, HALF)}
            fill={`url(#${fill})`}
            stroke={ink}
            strokeWidth={1.1}
          />
          <path
            d={`M${x(b.low)},${y - 11}V${y + 11}M${x(b.high)},${y - 11}V${y + 11}`}
            stroke={ink}
            strokeWidth={1.8}
          />
          <path d={`M${x(b.middle)},${y - HALF}V${y + HALF}`} stroke={ink} strokeWidth={3} />
        </g>
      ))}
      {names && (
        <g fontSize={13} fontWeight={680}>
          <text x={from} y={ABOVE - HALF - 4} fill="var(--ink)">
            {year.left.title}
          </text>
          <text x={from} y={BELOW + HALF + 12} fill="var(--accent)">
            {year.right.title}
          </text>
        </g>
      )}
      <path d={`M${from},${axis - 10}H${to}`} stroke="var(--ink)" />
      {x.ticks(names ? 4 : of === "money" ? 5 : 4).map((t) => (
        <g key={t}>
          <path d={`M${x(t)},${axis - 10}v5`} stroke="var(--ink)" />
          <text className="m" x={x(t)} y={axis + 9} fontSize={12.5} textAnchor="middle" fill="var(--muted)">
            {rounded(t)}
          </text>
        </g>
      ))}
      <text
        x={names ? from : of === "money" ? 20 : from - 8}
        y={axis + (names ? 23 : 9)}
        fontSize={13.5}
        fontWeight={680}
        textAnchor={!names && of === "failures" ? "end" : "start"}
        fill="var(--ink)"
      >
        {of === "money" ? `Money, ${currency()}` : "Failures"}
      </text>
    </g>
  );
}
