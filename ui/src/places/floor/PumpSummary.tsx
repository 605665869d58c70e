import { counted } from "../../text/counted";
import { scaleLinear } from "d3-scale";
import { Link } from "react-router";
import type { Brief, Strip } from "../../api/types";
import { Failure } from "../../drawing/eventMarks";
import { PumpKind } from "../../drawing/PumpKind";
import { Mark, MarkAt, STATE_WORDS } from "../../parts/Mark";
import { day, millions, percent, rounded, sentence } from "../../text/numbers";
import { ToTheBench } from "./ToTheBench";
import { useStrip } from "./useStrip";

/** One pump's summary beside the floor: the chance, why, and what to do about it. */
export function PumpSummary({ of }: { of: Brief }) {
  const pump = useStrip(of.tag);
  return (
    <aside
      aria-label={`${of.tag} in short`}
      className="sticky top-0 h-[calc(100vh-48px)] min-h-[640px] self-start overflow-y-auto border-l-[1.5px] border-ink bg-card px-5 pt-3.5 pb-5 max-[1000px]:static max-[1000px]:h-auto max-[1000px]:border-t-[1.5px] max-[1000px]:border-l-0"
    >
      <div className="flex items-center justify-between">
        <h2 className="tag text-tag leading-[42px]">{of.tag}</h2>
        <PumpKind family={of.family} scale={1.5} />
      </div>
      {pump && <InShort pump={pump} />}
    </aside>
  );
}

function InShort({ pump }: { pump: Strip }) {
  const onBench = pump.rebuild !== null;
  return (
    <>
      <p className="pt-1 text-body leading-[18px]">
        <b className="font-[640]">{pump.dutyTitle}</b>
        <br />
        <span className="text-muted">{pump.dutyNote}</span>
      </p>
      <hr className="my-3 border-line" />
      {onBench ? (
        <p className="text-head leading-8 font-[680] text-accent">On the bench: {pump.rebuildStage}</p>
      ) : (
        <Chance pump={pump} />
      )}
      <p className="pt-2 text-lead leading-[22px]">{pump.because}</p>
      <p className="pt-1 text-small leading-[17px] text-muted">{basis(pump)}</p>
      <Lives pump={pump} />
      <dl className="grid grid-cols-3 gap-2 border-t border-line pt-3">
        <Figure name="Run" value={rounded(pump.hours)} unit="h" />
        {pump.counts > 0 && <Figure name={sentence(pump.counted)} value={millions(pump.counts)} unit="M" />}
        <Figure
          name="Fitted"
          value={day(pump.fittedOn).split(" ")[0] ?? ""}
          unit={day(pump.fittedOn).split(" ")[1] ?? ""}
        />
      </dl>
      <p className="mt-3 border-t border-line pt-3 text-body leading-[19px]">
        <b className="font-[640]">{due(pump)}</b>
        <br />
        <span className="text-soft">
          {kept(pump)}, {rounded(pump.hoursPerDay)} h a day{pump.paceRead ? " by its counter" : ""}.{" "}
          {pump.dueBecause && `${pump.dueBecause} `}
          {pump.planDays === null ? "No plan." : `Planned in ${rounded(pump.planDays)} days.`}
        </span>
      </p>
      <ToTheBench tag={pump.tag} hasSheet={pump.hasSheet} rebuild={pump.rebuild} reason={due(pump)} />
      <p className="pt-3 text-body font-[620]">
        <Link className="under" to={`/symptoms/${pump.tag}`}>
          Something is wrong with it
        </Link>
      </p>
      <p className="flex justify-between pt-2 text-body font-[620]">
        <Link className="under" to={`/pumps/${pump.tag}`}>
          This pump's page
        </Link>
        <Link className="under" to={`/life?pump=${pump.tag}`}>
          Its life and interval
        </Link>
      </p>
      <p className="pt-2 text-body font-[620]">
        <Link className="under" to={`/wet-ends/${pump.tag}`}>
          Wet ends for its duty
        </Link>
      </p>
    </>
  );
}

function Chance({ pump }: { pump: Strip }) {
  const fifths = Math.round(pump.risk30 * 5);
  return (
    <div>
      <div className="flex items-end justify-between">
        <p className="m text-figure leading-[58px] font-semibold tracking-[-.05em]">
          {percent(pump.risk30)}
          <span className="ml-1 text-title font-medium tracking-normal text-muted">%</span>
        </p>
        {fifths > 0 && (
          <div className="text-right text-small leading-5 font-[640]">
            <svg width="96" height="18" aria-hidden className="block">
              {Array.from({ length: 5 }, (_, i) =>
                i < fifths ? (
                  <MarkAt key={i} state="renew" x={9 + i * 19} y={9} r={8} />
                ) : (
                  <circle key={i} cx={9 + i * 19} cy={9} r={7.2} fill="none" stroke="var(--ink)" strokeWidth={1.5} />
                ),
              )}
            </svg>
            about {fifths} in 5
          </div>
        )}
      </div>
      <p className="flex items-center gap-2 pt-2 text-body font-[640]">
        <Mark state={pump.state} size={17} />
        {pump.state === "unknown" ? "chance in 30 days, no history" : "chance of failing in the next 30 days"}
        <span className="sr-only">, {STATE_WORDS[pump.state]}</span>
      </p>
    </div>
  );
}

const RULER = 258;

/** How long sets of this material lasted here, and where this one is. */
function Lives({ pump }: { pump: Strip }) {
  const longest = Math.max(pump.hours, pump.intervalHours, ...pump.failedAt) * 1.1;
  const x = scaleLinear()
    .domain([0, longest])
    .nice()
    .range([1, RULER + 1]);
  const ticks = x.ticks(4);
  const at = x(pump.hours);
  return (
    <svg
      viewBox="0 0 260 76"
      className="mt-2 block w-full max-w-[300px]"
      role="img"
      aria-label={`This set is at ${Math.round(pump.hours)} hours; failures here at ${pump.failedAt.map(Math.round).join(", ") || "none"}`}
    >
      <text
        x={Math.min(200, Math.max(44, at))}
        y={12}
        textAnchor="middle"
        fontSize={13.5}
        fontWeight={680}
        fill="var(--ink)"
      >
        this set, {rounded(pump.hours)} h
      </text>
      <path d={`M1,37L${at},45V50H1Z`} fill="var(--soft)" />
      <path d={`M1,50H${RULER + 1}`} stroke="var(--ink)" strokeWidth={1.2} />
      {ticks.map((t) => (
        <g key={t}>
          <path d={`M${x(t)},50V57`} stroke="var(--ink)" />
          <text
            className="m"
            x={x(t)}
            y={71}
            fontSize={12}
            textAnchor={t === 0 ? "start" : x(t) > 240 ? "end" : "middle"}
            fill="var(--muted)"
          >
            {rounded(t)}
          </text>
        </g>
      ))}
      {pump.failedAt.map((h, i) => (
        <Failure key={i} x={x(h)} y={38} h={11} />
      ))}
      <path d={`M${at},18V58`} stroke="var(--ink)" strokeWidth={2} />
    </svg>
  );
}

function Figure({ name, value, unit }: { name: string; value: string; unit: string }) {
  return (
    <div>
      <dt className="text-small text-muted">{name}</dt>
      <dd className="m text-title leading-6 font-semibold tracking-[-.02em]">
        {value}
        <span className="ml-1 text-small font-medium tracking-normal text-muted">{unit}</span>
      </dd>
    </div>
  );
}

/** What the chance comes from. */
function basis(pump: Strip): string {
  const stale =
    pump.readDaysAgo !== null && pump.readDaysAgo > STALE_DAYS
      ? ` Its counter was last read ${rounded(pump.readDaysAgo)} days ago.`
      : "";
  return `Library and runs together, ${counted(pump.runs, "run")}, shape ${pump.shape.toFixed(1)}.${stale}`;
}

/** A counter not read for so long is worth a word. */
const STALE_DAYS = 30;

function kept(pump: Strip): string {
  if (pump.way === "until-it-fails") return "Runs until it fails";
  if (pump.way === "look") return `Looked at every ${rounded(pump.everyHours ?? 0)} h`;
  return `Fixed interval ${rounded(pump.intervalHours)} h`;
}

/** How the pump stands to its interval, in words. */
function due(pump: Strip): string {
  const days = counted(Math.round(Math.abs(pump.dueDays)), "day");
  return pump.dueDays < 0 ? `${days} past its interval` : `Due in ${days}`;
}
