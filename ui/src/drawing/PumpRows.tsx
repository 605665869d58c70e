import { scaleLinear, scaleLog, type ScaleLinear } from "d3-scale";
import type { LifeView } from "../api/types";
import { rounded } from "../text/numbers";
import { Failure, Planned } from "./eventMarks";

const LEFT = 128;
const ROW = 46;
/** On a narrow screen a row's ages stand under its numbers. */
const TALL_ROW = 78;
const TOP = 46;
const WEAR = 186;
const BEST = 96;
const GAP = 26;
/** Under this width the ages stand under the numbers, and the wear is a number alone. */
const NARROW = 620;

type Scale = ScaleLinear<number, number>;
type Pump = LifeView["pumps"][number];

/** The pumps of a group under one axis of age: what came out, what runs, how fast each wears. */
export function PumpRows({ life, width }: { life: LifeView; width: number }) {
  const narrow = width < NARROW;
  const right = width - 20;
  const wear = narrow ? 60 : WEAR;
  const wearAt = right - BEST - GAP - wear;
  const x = scaleLinear()
    .domain([0, life.curve.at(-1)?.age ?? 1000])
    .range(narrow ? [20, right] : [LEFT, wearAt - GAP]);
  const rows = life.pumps;
  const row = narrow ? TALL_ROW : ROW;
  const height = TOP + (rows.length + 1) * row + 8;
  return (
    <svg width={width} height={height} className="block" role="img" aria-label={spoken(life)}>
      <Heads x={x} wearAt={wearAt} right={right} narrow={narrow} bottom={height - 8} />
      {rows.map((p, i) => (
        <Row key={p.pump} pump={p} life={life} x={x} y={TOP + i * row} wearAt={wearAt} narrow={narrow} right={right} />
      ))}
      <Fresh life={life} x={x} y={TOP + rows.length * row} wearAt={wearAt} narrow={narrow} right={right} />
    </svg>
  );
}

function spoken(life: LifeView): string {
  return life.pumps
    .map((p) => `${p.pump}: ${p.runs} runs, ${p.failures} failed, wears ${p.wear.toFixed(1)} times as fast`)
    .join("; ");
}

interface HeadsProps {
  x: Scale;
  wearAt: number;
  narrow: boolean;
  right: number;
  bottom: number;
}

function Heads({ x, wearAt, narrow, right, bottom }: HeadsProps) {
  const [start, end] = x.range() as [number, number];
  const ticks = x.ticks(end - start < 420 ? 3 : 5);
  const axis = narrow ? 40 : 30;
  return (
    <g>
      {!narrow && (
        <text x={20} y={18} fontSize={13.5} fontWeight={680} fill="var(--ink)">
          Age, h
        </text>
      )}
      <path d={`M${start},${axis}H${end}`} stroke="var(--ink)" strokeWidth={1.4} />
      {ticks.map((t) => (
        <g key={t}>
          <path d={`M${x(t)},${axis - 6}V${bottom}`} stroke="var(--line2)" />
          <path d={`M${x(t)},${axis - 6}V${axis}`} stroke="var(--ink)" />
          <text
            className="m"
            x={x(t)}
            y={narrow ? 30 : 18}
            fontSize={12.5}
            textAnchor={t === 0 && narrow ? "start" : "middle"}
            fill="var(--muted)"
          >
            {rounded(t)}
            {t === 0 && narrow ? " h" : ""}
          </text>
        </g>
      ))}
      <text x={wearAt} y={narrow ? 12 : 18} fontSize={13} fontWeight={640} fill="var(--ink)">
        {narrow ? "wears" : "wears, times the others"}
      </text>
      <text x={right} y={narrow ? 12 : 18} fontSize={13} fontWeight={640} textAnchor="end" fill="var(--ink)">
        renew at
      </text>
    </g>
  );
}

interface RowProps {
  pump: Pump;
  life: LifeView;
  x: Scale;
  y: number;
  wearAt: number;
  narrow: boolean;
  right: number;
}

function Row({ pump, life, x, y, wearAt, narrow, right }: RowProps) {
  const [start, end] = x.range() as [number, number];
  const wear = narrow ? 60 : WEAR;
  const row = narrow ? TALL_ROW : ROW;
  const marks = narrow ? y + 50 : y + 14;
  const inside = (age: number) => Math.min(end, x(age));
  const asked = life.of.pump === pump.pump;
  const apart = pump.wearLow > 1;
  const cy = marks + 17;
  const runs = life.runs.filter((r) => r.pump === pump.pump);
  const to = pump.age === null ? start : inside(pump.age);
  return (
    <g>
      {asked && <rect x={0} y={y + 1} width={5} height={row - 1} fill="var(--accent)" />}
      <path d={`M20,${y + row}H${right}`} stroke="var(--line2)" />
      <text x={20} y={y + 21} fontSize={15} fontWeight={700} fill="var(--ink)">
        {pump.pump}
      </text>
      <text x={20} y={y + 37} fontSize={12} fill="var(--muted)">
        {pump.runs} sets, {pump.failures} failed
      </text>
      <path d={`M${start},${marks}H${end}`} stroke="var(--line)" />
      {runs.map((r, i) =>
        r.failed ? (
          <Failure key={i} x={inside(r.age)} y={marks} h={7} />
        ) : (
          <g key={i} transform={`translate(${inside(r.age)} ${marks}) scale(.66)`}>
            <Planned x={0} y={0} />
          </g>
        ),
      )}
      {pump.best !== null && (
        <path d={`M${inside(pump.best)},${marks - 9}V${cy + 11}`} stroke="var(--accent)" strokeWidth={2.2} />
      )}
      {pump.age !== null && (
        <g>
          <path d={`M${start},${cy - 6}L${to},${cy - 3}V${cy + 3}L${start},${cy + 6}Z`} fill="var(--soft)" />
          <path d={`M${to},${cy - 8}V${cy + 8}`} stroke="var(--ink)" strokeWidth={2} />
          <text
            className="m"
            x={to + 7}
            y={cy + 4.5}
            fontSize={12.5}
            fill="var(--ink)"
            stroke="var(--paper)"
            strokeWidth={4}
            paintOrder="stroke"
          >
            {rounded(pump.age)} h
          </text>
        </g>
      )}
      {!narrow && <Wear pump={pump} x={wearAt} y={y + 23} width={106} />}
      <text
        className="m"
        x={wearAt + wear}
        y={y + 21}
        fontSize={16}
        fontWeight={640}
        textAnchor="end"
        fill={apart ? "var(--renew)" : "var(--ink)"}
      >
        {pump.wear.toFixed(1)}
      </text>
      <text className="m" x={wearAt + wear} y={y + 37} fontSize={12} textAnchor="end" fill="var(--muted)">
        {pump.wearLow.toFixed(1)}–{pump.wearHigh.toFixed(1)}
      </text>
      <text className="m" x={right} y={y + 21} fontSize={15} fontWeight={640} textAnchor="end" fill="var(--accent)">
        {pump.best === null ? "no age" : `${rounded(Math.round(pump.best / 10) * 10)} h`}
      </text>
      <text
        x={right}
        y={y + 37}
        fontSize={12}
        fontWeight={pump.state === "watch" ? 680 : 400}
        textAnchor="end"
        fill={pump.state === "watch" ? "var(--watch-words)" : "var(--muted)"}
      >
        {pump.say}
      </text>
    </g>
  );
}

/** Nine in ten of how fast it wears, on a scale on which half and twice are as far from one. */
function Wear({ pump, x, y, width }: { pump: Pump; x: number; y: number; width: number }) {
  const scale = scaleLog()
    .domain([1 / 3, 3])
    .range([x, x + width])
    .clamp(true);
  const [low, at, high] = [scale(pump.wearLow), scale(pump.wear), scale(pump.wearHigh)];
  const one = scale(1);
  return (
    <g>
      <path d={`M${x},${y}H${x + width}`} stroke="var(--line)" />
      <path d={`M${one},${y - 16}V${y + 16}`} stroke="var(--muted)" strokeDasharray="2 2" />
      <path d={`M${low},${y}L${at},${y - 9}L${high},${y}L${at},${y + 9}Z`} fill="var(--wash)" stroke="var(--ink)" />
      <path d={`M${at},${y - 12}V${y + 12}`} stroke="var(--ink)" strokeWidth={2} />
    </g>
  );
}

function Fresh({ life, x, y, wearAt, narrow, right }: Omit<RowProps, "pump">) {
  const [, end] = x.range() as [number, number];
  const inside = (age: number) => Math.min(end, x(age));
  const { low, half, high, best } = life.fresh;
  const cy = narrow ? y + 58 : y + 24;
  return (
    <g>
      <text x={20} y={y + 21} fontSize={15} fontWeight={700} fill="var(--ink)">
        A new pump
      </text>
      <text x={20} y={y + 37} fontSize={12} fill="var(--muted)">
        of this kind
      </text>
      <path
        d={`M${inside(low)},${cy}L${inside(half)},${cy - 10}L${inside(high)},${cy}L${inside(half)},${cy + 10}Z`}
        fill="none"
        stroke="var(--muted)"
        strokeDasharray="3 2"
      />
      {best !== null && <path d={`M${inside(best)},${cy - 19}V${cy + 18}`} stroke="var(--accent)" strokeWidth={2.2} />}
      <text x={narrow ? 112 : wearAt} y={y + 21} fontSize={13} fontWeight={640} fill="var(--ink)">
        half outlive {rounded(Math.round(half / 10) * 10)} h
      </text>
      <text x={narrow ? 112 : wearAt} y={y + 37} fontSize={12} fill="var(--muted)">
        nine in ten {rounded(Math.round(low / 10) * 10)} to {rounded(Math.round(high / 10) * 10)}
      </text>
      <text className="m" x={right} y={y + 21} fontSize={15} fontWeight={640} textAnchor="end" fill="var(--accent)">
        {best === null ? "no age" : `${rounded(Math.round(best / 10) * 10)} h`}
      </text>
    </g>
  );
}
