import { scaleLinear, type ScaleLinear } from "d3-scale";
import type { ChooserView, RatedMaterial } from "../../api/types";
import { asState, MarkAt, verdictState } from "../../parts/Mark";
import { signed } from "../../parts/numbers";
import { useWidth } from "../../parts/useWidth";

const HEAD = 72;
const ROW = 74;
const LABEL = 94;
const GAP = 26;
const HOTTEST = 120;

type Bar = RatedMaterial["bars"][number];
type Temperature = ScaleLinear<number, number>;

/**
 * Each material against each fluid as a bar of temperature: solid up to where nothing attacks it,
 * hatched up to where its life is only shortened. The duty temperature is a tick across the whole
 * column, so that the margin is seen before it is read.
 */
export function TemperatureBars({ chooser }: { chooser: ChooserView }) {
  const [ref, width] = useWidth<HTMLDivElement>(640);
  const wide = Math.max(420, width);
  const columns = Math.max(1, chooser.duty.length);
  const bar = Math.min(220, (wide - LABEL - 20) / columns - GAP);
  const left = (i: number) => LABEL + i * (bar + GAP);
  const hottest = Math.max(HOTTEST, ...chooser.duty.map((d) => Math.ceil((d.temperatureC + 20) / 20) * 20));
  const t = scaleLinear().domain([0, hottest]).range([0, bar]).clamp(true);
  const row = { chooser, left, bar, t, width: wide };
  return (
    <div ref={ref} className="overflow-x-auto">
      <svg width={wide} height={HEAD} className="block" aria-hidden>
        {chooser.duty.map((d, i) => (
          <ColumnHead key={d.fluid} x={left(i)} t={t} bar={bar} duty={d} hottest={hottest} />
        ))}
        <path d={`M0,${HEAD - 0.5}H${wide}`} stroke="var(--ink)" />
      </svg>
      <ul aria-label="Materials that stand the duty">
        {chooser.fit.map((m) => (
          <MaterialRow key={m.material} material={m} out={false} {...row} />
        ))}
      </ul>
      {chooser.fit.length === 0 && (
        <p className="px-5 py-4 text-[17px] leading-6 font-[620]">
          No material of the library stands all of this duty. Lower the temperature or the concentration of the fluid
          that rules most of them out, or split the duty over two pumps.
        </p>
      )}
      {chooser.ruledOut.length > 0 && (
        <>
          <h2 className="border-t-[1.5px] border-ink px-[11px] pt-1.5 text-[15.5px] font-[720]">
            Ruled out by this duty, or unknown
          </h2>
          <ul aria-label="Materials ruled out or unknown">
            {chooser.ruledOut.map((m) => (
              <MaterialRow key={m.material} material={m} out {...row} />
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

interface HeadProps {
  x: number;
  t: Temperature;
  bar: number;
  duty: ChooserView["duty"][number];
  hottest: number;
}

function ColumnHead({ x, t, bar, duty, hottest }: HeadProps) {
  const at = x + t(duty.temperatureC);
  const ticks = Array.from({ length: hottest / 10 + 1 }, (_, i) => i * 10);
  const room = Math.floor(bar / 8.2);
  const name = duty.name.length > room ? `${duty.name.slice(0, room - 1)}…` : duty.name;
  return (
    <g>
      <text x={x} y={24} fontSize={15.5} fontWeight={680} fill="var(--ink)">
        {name}
      </text>
      <text className="m" x={x + bar} y={24} textAnchor="end" fontSize={12.5} fill="var(--muted)">
        {Math.round(duty.share * 100)}%
      </text>
      <path d={`M${x},66H${x + bar}`} stroke="var(--ink)" />
      {ticks.map((v) => (
        <path
          key={v}
          d={`M${x + t(v)},66V${v % 40 === 0 ? 58 : v % 20 === 0 ? 61 : 63}`}
          stroke="var(--ink)"
          strokeWidth={0.9}
        />
      ))}
      {ticks
        .filter((v) => v % 40 === 0 && Math.abs(v - duty.temperatureC) > hottest / 9)
        .map((v) => (
          <text
            key={v}
            className="m"
            x={x + t(v)}
            y={54}
            fontSize={11.5}
            textAnchor={v === 0 ? "start" : v === hottest ? "end" : "middle"}
            fill="var(--muted)"
          >
            {v}
          </text>
        ))}
      <text className="m" x={at} y={46} fontSize={15} fontWeight={700} textAnchor="middle" fill="var(--ink)">
        {Math.round(duty.temperatureC)}°
      </text>
      <path d={`M${at - 5},50h10l-5,7z`} fill="var(--ink)" />
    </g>
  );
}

interface RowProps {
  material: RatedMaterial;
  out: boolean;
  chooser: ChooserView;
  left: (i: number) => number;
  bar: number;
  t: Temperature;
  width: number;
}

function MaterialRow({ material: m, out, chooser, left, bar, t, width }: RowProps) {
  const spoken = `${m.material}, ${m.verdict}${m.marginK === null ? "" : `, margin ${Math.round(m.marginK)} kelvin`}. ${m.reason}`;
  return (
    <li className={`relative border-b border-line2 ${m.fittedNow ? "bg-card" : ""}`}>
      <svg width={width} height={ROW} className="block" role="img" aria-label={spoken}>
        {m.fittedNow && <rect x={width - 5} width={5} height={ROW} fill="var(--accent)" />}
        <MarkAt state={verdictState(m.verdict)} x={20} y={29} r={8.5} />
        <text
          x={34}
          y={36.5}
          fontSize={m.material.length > 5 ? 16 : 20}
          fontWeight={740}
          fill="var(--ink)"
          {...(m.material.length > 7 ? { textLength: 56, lengthAdjust: "spacingAndGlyphs" } : {})}
        >
          {m.material}
        </text>
        <text x={11} y={57} fontSize={12.5} fontWeight={500} fill="var(--muted)">
          {m.body ? "body, seats" : m.fittedNow ? "in it now" : ""}
        </text>
        {m.bars.map((b, i) => (
          <BarIn
            key={b.fluid}
            bar={b}
            x={left(i)}
            width={bar}
            t={t}
            out={out}
            duty={chooser.duty[i]?.temperatureC ?? b.temperatureC}
          />
        ))}
        <text x={LABEL} y={61} fontSize={14.5} fontWeight={560} fill="var(--ink)">
          {m.reason}
        </text>
      </svg>
    </li>
  );
}

interface BarProps {
  bar: Bar;
  x: number;
  width: number;
  t: Temperature;
  out: boolean;
  duty: number;
}

function BarIn({ bar: b, x, width, t, out, duty }: BarProps) {
  const Y = 33;
  const ink = out ? "var(--ruled-out)" : "var(--soft)";
  const full = b.fullC ?? 0;
  const last = b.limitedC ?? 0;
  const state = asState(verdictState(b.verdict));
  const at = x + t(duty);
  const right = at + 76 > x + width + GAP;
  return (
    <g>
      <path d={`M${x},${Y}H${x + width}M${x + width},${Y - 3}V${Y + 3}`} stroke="var(--line)" />
      {last > full && (
        <g>
          <rect x={x + t(full)} y={Y - 6.5} width={t(last) - t(full)} height={13} fill="var(--paper)" />
          <rect x={x + t(full)} y={Y - 6.5} width={t(last) - t(full)} height={13} fill="url(#limited)" stroke={ink} />
        </g>
      )}
      {full > 0 && <rect x={x} y={Y - 7} width={t(full)} height={14} fill={ink} />}
      {state === "renew" && (
        <path d={`M${x + t(last)},${Y}H${at}`} stroke="var(--renew)" strokeWidth={2} strokeDasharray="3 2" />
      )}
      <path d={`M${at},12V${Y + 11}`} stroke="var(--paper)" strokeWidth={4} />
      <path d={`M${at},11V${Y + 11}`} stroke="var(--ink)" strokeWidth={2} />
      <g transform={`translate(${right ? at - 64 : at + 11} 0)`}>
        <MarkAt state={state} x={0} y={16} r={5} />
        <text
          className="m"
          x={9}
          y={20.3}
          fontSize={12.5}
          fontWeight={600}
          letterSpacing={-0.4}
          fill={
            state === "sound"
              ? "var(--ink)"
              : state === "watch"
                ? "var(--watch-words)"
                : state === "renew"
                  ? "var(--renew)"
                  : "var(--muted)"
          }
        >
          {marginWord(b, duty)}
        </text>
      </g>
    </g>
  );
}

/** How far the duty is from the limit that counts: to full life while suited, past it while limited, past the last when out. */
export function marginWord(b: Pick<Bar, "verdict" | "fullC" | "limitedC">, duty: number): string {
  if (b.verdict === "unknown") return "unknown";
  if (b.limitedC === null) return "attacked";
  const limit = b.verdict === "unsuited" ? b.limitedC : (b.fullC ?? b.limitedC);
  return `${signed(limit - duty)} K`;
}
