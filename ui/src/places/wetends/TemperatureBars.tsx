import { thickness } from "../../drawing/known";
import { scaleLinear, type ScaleLinear } from "d3-scale";
import { useState } from "react";
import { Link } from "react-router";
import type { ChooserView, DutyForm, FluidForm, RatedMaterial } from "../../api/types";
import { Mark, MarkAt, verdictState } from "../../parts/Mark";
import { roleWord } from "../../text/numbers";
import { apart, inShown, ofShown, quantity, shownNumber, unitWord } from "../../text/shop";
import { useWidth } from "../../parts/useWidth";

const HEAD = 72;
const ROW = 74;
const LABEL = 94;
const GAP = 26;
const HOTTEST = 120;
/** Beyond this a duty is typed, not dragged. */
const LAST = 400;
/** Width of the tick that is dragged, so that its middle stands on the axis at both ends. */
const TICK = 28;

type Bar = RatedMaterial["bars"][number];
type Temperature = ScaleLinear<number, number>;

interface Props {
  chooser: ChooserView;
  /** The duty as it is tried now, ahead of the answer. */
  duty: DutyForm;
  onDuty: (duty: DutyForm) => void;
}

/**
 * Each material of a role against each fluid as a bar of temperature: solid up to where nothing
 * attacks it, hatched up to where its life is only shortened. The duty temperature is a tick across
 * the whole column, so that the margin is seen before it is read; dragged along its axis, the duty
 * is tried at another temperature. Brackets on the axis mark where another wet end would lead.
 */
export function TemperatureBars({ chooser, duty, onDuty }: Props) {
  const [ref, width] = useWidth<HTMLDivElement>(640);
  const [chosen, choose] = useState("");
  const role = chooser.roles.find((r) => r.role === chosen) ?? chooser.roles[0];
  const wide = Math.max(420, width);
  const columns = Math.max(1, duty.exposures.length);
  const bar = Math.min(columns < 3 ? 300 : 220, (wide - LABEL - 20) / columns - GAP);
  const left = (i: number) => LABEL + i * (bar + GAP);
  const hottest = Math.max(
    HOTTEST,
    ...duty.exposures.map((d) => Math.min(LAST, Math.ceil(((d.temperatureC ?? 0) + 20) / 20) * 20)),
  );
  const t = scaleLinear().domain([0, hottest]).range([0, bar]).clamp(true);
  if (!role) return null;
  const row = { duty, left, bar, t, width: wide };
  const fits = role.materials.filter((m) => m.verdict === "suited" || m.verdict === "limited");
  const out = role.materials.filter((m) => !fits.includes(m));
  return (
    <div ref={ref} className="overflow-x-auto">
      <RoleTabs chooser={chooser} role={role.role} choose={choose} />
      <div className="relative" style={{ width: wide }}>
        <svg width={wide} height={HEAD} className="block" aria-hidden>
          {duty.exposures.map((d, i) => (
            <ColumnHead
              key={`${i} ${d.fluid}`}
              x={left(i)}
              t={t}
              bar={bar}
              fluid={d}
              hottest={hottest}
              turns={chooser.turns.filter((x) => x.exposure === i && x.axis === "temperature").map((x) => x.at)}
            />
          ))}
          <path d={`M0,${HEAD - 0.5}H${wide}`} stroke="var(--ink)" />
        </svg>
        {duty.exposures.map((d, i) => (
          <input
            key={`${i} ${d.fluid}`}
            type="range"
            className="duty-tick absolute"
            style={{ left: left(i) - TICK / 2, top: 24, width: bar + TICK, height: HEAD - 24 }}
            min={0}
            max={hottest}
            step={1}
            value={d.temperatureC ?? 0}
            aria-label={`Temperature of ${d.name ?? d.fluid}, ${unitWord("degC")}`}
            aria-valuetext={quantity(d.temperatureC ?? 0, "degC")}
            onChange={(e) => {
              const at = Number(e.target.value);
              onDuty({
                ...duty,
                exposures: duty.exposures.map((x, j) =>
                  j === i ? { ...x, temperatureC: at, usualC: Math.min(x.usualC ?? at, at) } : x,
                ),
              });
            }}
          />
        ))}
      </div>
      <ul aria-label={`Materials for the ${roleWord(role.role)} that stand the duty`}>
        {fits.map((m) => (
          <MaterialRow key={m.material} material={m} out={false} {...row} />
        ))}
      </ul>
      {fits.length === 0 && (
        <p className="px-5 py-4 text-lead leading-6 font-[620]">
          No {roleWord(role.role)} material of the library stands all of this duty.
        </p>
      )}
      {out.length > 0 && (
        <>
          <h2 className="border-t-[1.5px] border-ink px-[11px] pt-1.5 text-body font-[720]">
            Ruled out by this duty, or unknown
          </h2>
          <ul aria-label={`Materials for the ${roleWord(role.role)} ruled out or unknown`}>
            {out.map((m) => (
              <MaterialRow key={m.material} material={m} out {...row} />
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

/** The parts of the wet end, each with how what is in it now stands. */
function RoleTabs({ chooser, role, choose }: { chooser: ChooserView; role: string; choose: (r: string) => void }) {
  return (
    <div role="group" aria-label="Part of the wet end" className="flex flex-wrap border-b border-line pl-[3px]">
      {chooser.roles.map((r) => {
        const now = r.materials.find((m) => m.fittedNow);
        return (
          <button
            key={r.role}
            type="button"
            aria-pressed={r.role === role}
            className={`relative flex min-h-11 items-center gap-1.5 px-2.5 text-body ${
              r.role === role
                ? "font-[720] after:absolute after:inset-x-2.5 after:bottom-0 after:h-[4px] after:bg-ink"
                : "font-[560] text-soft"
            }`}
            onClick={() => choose(r.role)}
          >
            {now && <Mark state={verdictState(now.verdict)} size={13} />}
            {roleWord(r.role)}
          </button>
        );
      })}
    </div>
  );
}

interface HeadProps {
  x: number;
  t: Temperature;
  bar: number;
  fluid: FluidForm;
  hottest: number;
  turns: number[];
}

const LONG = 8;

/**
 * Ticks of an axis from 0 °C: at every ten degrees of the shop's scale, twenty where its degrees are
 * smaller; the middle ones longer, the longest with a number.
 */
export function ticksTo(hottestC: number): { at: number; shown: number; high: number }[] {
  const step = inShown(10, "degC") - inShown(0, "degC") > 10 ? 20 : 10;
  const from = Math.ceil(inShown(0, "degC") / step);
  const to = Math.floor(inShown(hottestC, "degC") / step);
  return Array.from({ length: to - from + 1 }, (_, i) => {
    const n = from + i;
    return { at: ofShown(n * step, "degC"), shown: n * step, high: n % 4 === 0 ? LONG : n % 2 === 0 ? 5 : 3 };
  });
}

function ColumnHead({ x, t, bar, fluid, hottest, turns }: HeadProps) {
  const duty = fluid.temperatureC ?? 0;
  const at = x + t(duty);
  const ticks = ticksTo(hottest);
  const room = Math.floor(bar / 8.2);
  const said = fluid.name ?? fluid.fluid ?? "";
  const name = said.length > room ? `${said.slice(0, room - 1)}…` : said;
  return (
    <g>
      <text x={x} y={24} fontSize={15.5} fontWeight={680} fill="var(--ink)">
        {name}
      </text>
      <text className="m" x={x + bar} y={24} textAnchor="end" fontSize={12.5} fill="var(--muted)">
        {Math.round((fluid.share ?? 0) * 100)}%
      </text>
      <path d={`M${x},66H${x + bar}`} stroke="var(--ink)" />
      {ticks.map((v) => (
        <path key={v.shown} d={`M${x + t(v.at)},66V${66 - v.high}`} stroke="var(--ink)" strokeWidth={0.9} />
      ))}
      {turns.map((v) => (
        <path
          key={`turn ${v}`}
          d={v >= duty ? `M${x + t(v) - 4},57h4v9h-4` : `M${x + t(v) + 4},57h-4v9h4`}
          fill="none"
          stroke="var(--accent)"
          strokeWidth={2}
        />
      ))}
      {ticks
        .filter((v) => v.high === LONG && Math.abs(v.at - duty) > hottest / 9)
        .map((v) => (
          <text
            key={v.shown}
            className="m"
            x={x + t(v.at)}
            y={54}
            fontSize={11.5}
            textAnchor={v.at === 0 ? "start" : v.at === hottest ? "end" : "middle"}
            fill="var(--muted)"
          >
            {v.shown}
          </text>
        ))}
      <text className="m" x={at} y={46} fontSize={15} fontWeight={700} textAnchor="middle" fill="var(--ink)">
        {shownNumber(duty, "degC")}°
      </text>
      <path d={`M${at - 6},50h12l-6,8z`} fill="var(--ink)" />
    </g>
  );
}

interface RowProps {
  material: RatedMaterial;
  out: boolean;
  duty: DutyForm;
  left: (i: number) => number;
  bar: number;
  t: Temperature;
  width: number;
}

function MaterialRow({ material: m, out, duty, left, bar, t, width }: RowProps) {
  const spoken = `${m.material}, ${m.verdict}${m.marginK === null ? "" : `, margin ${apart(m.marginK)}`}. ${m.reason}`;
  const long = m.material.length > 7;
  return (
    <li className={`relative border-b border-line2 ${m.fittedNow ? "bg-card" : ""}`}>
      <svg width={width} height={ROW} className="block" role="img" aria-label={spoken}>
        {m.fittedNow && <rect x={width - 5} width={5} height={ROW} fill="var(--accent)" />}
        <MarkAt state={verdictState(m.verdict)} x={20} y={29} r={8.5} />
        {m.material.split(" ").map((word, i, all) => (
          <text
            key={word}
            x={34}
            y={all.length > 1 ? 28 + i * 15 : 36.5}
            fontSize={long || all.length > 1 ? 14.5 : m.material.length > 5 ? 16 : 20}
            fontWeight={740}
            fill="var(--ink)"
            {...(word.length > 8 ? { textLength: 57, lengthAdjust: "spacingAndGlyphs" } : {})}
          >
            {word}
          </text>
        ))}
        <text x={11} y={61} fontSize={12.5} fontWeight={500} fill="var(--muted)">
          {m.fittedNow ? "in it now" : ""}
        </text>
        {m.bars.map((b, i) => (
          <BarIn
            key={`${i} ${b.fluid}`}
            bar={b}
            x={left(i)}
            width={bar}
            t={t}
            out={out}
            duty={duty.exposures[i]?.temperatureC ?? b.temperatureC}
          />
        ))}
        <text x={LABEL} y={m.bars.length === 0 ? 36 : 61} fontSize={14.5} fontWeight={560} fill="var(--ink)">
          {m.reason}
        </text>
      </svg>
      {m.bars.map((b, i) => (
        <Link
          key={`${i} ${b.fluid}`}
          to={`/library/materials/${b.fluid}/${encodeURIComponent(m.material)}`}
          aria-label={`${m.material} in ${duty.exposures[i]?.name ?? b.fluid}: rows and what was seen here`}
          className="absolute top-0 hover:bg-accent/10"
          style={{ left: left(i), width: bar, height: ROW - 22 }}
        />
      ))}
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
  const state = verdictState(b.verdict);
  const at = x + t(duty);
  const right = at + 76 > x + width + GAP;
  const high = thickness(b.known, 14);
  const ceiling = b.ceilingC === null ? null : x + t(b.ceilingC);
  return (
    <g>
      <path d={`M${x},${Y}H${x + width}M${x + width},${Y - 3}V${Y + 3}`} stroke="var(--line)" />
      {last > full && (
        <g>
          <rect x={x + t(full)} y={Y - high / 2} width={t(last) - t(full)} height={high} fill="var(--paper)" />
          <rect
            x={x + t(full)}
            y={Y - high / 2}
            width={t(last) - t(full)}
            height={high}
            fill="url(#limited)"
            stroke={ink}
          />
        </g>
      )}
      {full > 0 && <rect x={x} y={Y - high / 2} width={t(full)} height={high} fill={ink} />}
      {ceiling !== null && ceiling < x + width && (
        <path
          d={`M${ceiling},${Y - 8}v20m0,-16 5,-4m-5,10 5,-4m-5,10 5,-4`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={1.4}
        />
      )}
      {b.own && (
        <text className="m" x={x + width + 3} y={Y + 4} fontSize={11.5} fontWeight={700} fill="var(--accent)">
          own
        </text>
      )}
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
  return apart(limit - duty);
}
