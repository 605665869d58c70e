import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import { api } from "../../api/client";
import { RoundList } from "../rounds/RoundList";
import type { PumpView } from "../../api/types";
import { Rails } from "../../drawing/Rails";
import { kindName, PumpKind } from "../../drawing/PumpKind";
import { Mark } from "../../parts/Mark";
import { day, millions, percent, rounded, sentence } from "../../text/numbers";
import { Failed, Loading } from "../../parts/States";
import { ToTheBench } from "../floor/ToTheBench";
import { AnotherUnit } from "./AnotherUnit";
import { CounterReading } from "./CounterReading";
import { HistoryLine } from "./HistoryLine";
import { Trends } from "./Trends";
import { quantity } from "../../text/shop";

/** One pump's life: its duty, what is fitted, what happened to it, what is next. */
export default function Pump() {
  const { tag = "" } = useParams();
  const pump = useQuery({ queryKey: ["pump", tag], queryFn: () => api.pump(tag) });
  if (pump.error && !pump.data) return <Failed error={pump.error} what={`pump ${tag}`} />;
  if (!pump.data) return <Loading what={tag} />;
  const p = pump.data;
  return (
    <main>
      <header className="flex min-h-16 flex-wrap items-center gap-x-6 border-b border-ink px-5 py-1">
        <h1 className="tag text-tag leading-[46px]">{p.strip.tag}</h1>
        <PumpKind family={p.strip.family} scale={1.5} />
        <div className="min-w-0 flex-1 leading-5">
          <p className="truncate text-lead font-[600]">
            {p.strip.dutyTitle}
            {p.strip.dutyNote && `; ${p.strip.dutyNote}`}
          </p>
          <p className="truncate text-body text-muted">
            {p.area}. {kindName(p.strip.family)}, {p.strip.series}, unit {p.serial}
          </p>
        </div>
      </header>
      {p.rails.length > 0 && <Rails rails={p.rails} bare />}
      <div className="grid min-h-[420px] grid-cols-[minmax(0,1fr)_320px] max-[1000px]:grid-cols-1">
        <div className="min-w-0 px-5 pb-8">
          <h2 className="head pt-3 pb-1">{p.retired ? "Its last three years" : "Three years, and what is ahead"}</h2>
          <HistoryLine pump={p.strip} />
          <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-8 pt-4 max-[860px]:grid-cols-1">
            <Duty pump={p} />
            <Sets pump={p} />
          </div>
          <Trends pump={p} />
        </div>
        <aside
          className="border-l-[1.5px] border-ink bg-card px-5 pt-3 pb-6 max-[1000px]:border-t max-[1000px]:border-l-0"
          aria-label="Now"
        >
          <Now pump={p} />
          <Papers pump={p} />
        </aside>
      </div>
    </main>
  );
}

function Now({ pump: p }: { pump: PumpView }) {
  const s = p.strip;
  const days = Math.round(Math.abs(s.dueDays));
  const due = s.dueDays < 0 ? `${days} days past its interval` : `due in ${days} days`;
  return (
    <>
      {p.retired ? (
        <Retired />
      ) : (
        <>
          <p className="flex items-center gap-2.5 text-lead font-[680]">
            <Mark state={s.state} size={20} />
            {s.rebuild === null ? `${percent(s.risk30)} % in 30 days, ${due}` : `On the bench: ${s.rebuildStage}`}
          </p>
          <p className="pt-2 text-body leading-5">
            {s.because} {s.dueBecause && <b className="font-[640]">{s.dueBecause}</b>}
          </p>
        </>
      )}
      <dl className="grid grid-cols-2 gap-x-4 gap-y-2 pt-3">
        <Figure name="In it" value={s.material} unit="" />
        <Figure name="Since" value={day(s.fittedOn)} unit={s.fittedOn.slice(0, 4)} />
        <Figure name="This set" value={rounded(s.hours)} unit="h" />
        <Figure name="Counter" value={rounded(p.runningHours)} unit="h" />
        {s.counts > 0 && <Figure name={sentence(s.counted)} value={millions(s.counts)} unit="million" />}
        <Figure name="Interval" value={rounded(s.intervalHours)} unit="h" />
      </dl>
      {!p.retired && <Acts pump={p} due={due} />}
    </>
  );
}

/** A retired pump keeps its records; nobody works at it. */
function Retired() {
  return (
    <>
      <p className="text-lead font-[680]">Retired</p>
      <p className="pt-2 text-body leading-5">
        Its records stay. Nothing is planned for it; a lead takes it back in{" "}
        <Link className="under" to="/setup/pumps">
          Set-up
        </Link>
        .
      </p>
    </>
  );
}

/** What can be done at a pump from its page. */
function Acts({ pump: p, due }: { pump: PumpView; due: string }) {
  const s = p.strip;
  return (
    <>
      <CounterReading tag={s.tag} />
      <Milder tag={s.tag} />
      <Upkeep tag={s.tag} />
      <ToTheBench tag={s.tag} hasSheet={s.hasSheet} rebuild={s.rebuild} reason={due} />
      <Link className="press mt-2 flex items-center justify-center" to={`/symptoms/${s.tag}`}>
        Something is wrong with it
      </Link>
      <Link className="press mt-2 flex items-center justify-center" to={`/wet-ends/${s.tag}`}>
        Wet ends for this duty
      </Link>
      <AnotherUnit key={s.tag} tag={s.tag} unit={p.serial} alike={p.alike} spares={p.spares} />
    </>
  );
}

/** Upkeep that comes round, each the way to doing it. */
function Upkeep({ tag }: { tag: string }) {
  const rounds = useQuery({ queryKey: ["rounds", tag], queryFn: () => api.rounds(tag) });
  return rounds.data && rounds.data.length > 0 ? (
    <section className="pt-3" aria-label="Rounds">
      <h3 className="head border-b border-ink pb-1">Rounds</h3>
      <RoundList rounds={rounds.data} pump={false} />
    </section>
  ) : null;
}

/** What a duty that got milder allows, said without being asked. */
function Milder({ tag }: { tag: string }) {
  const choice = useQuery({ queryKey: ["wet-ends", tag], queryFn: () => api.wetEnds(tag) });
  return choice.data?.offer ? (
    <p className="mt-3 border-l-[5px] border-accent bg-wash px-3 py-2 text-body leading-[19px] font-[620]">
      {choice.data.offer}
    </p>
  ) : null;
}

function Figure({ name, value, unit }: { name: string; value: string; unit: string }) {
  return (
    <div>
      <dt className="text-small text-muted">{name}</dt>
      <dd className="m text-lead leading-6 font-semibold tracking-[-.02em]">
        {value} <span className="text-small font-medium text-muted">{unit}</span>
      </dd>
    </div>
  );
}

function Duty({ pump: p }: { pump: PumpView }) {
  return (
    <section aria-label="Duty">
      <h2 className="head border-b-[1.5px] border-ink pb-1">Duty</h2>
      {p.duty.length === 0 && <p className="py-2 text-body text-soft">It moves air, no fluid.</p>}
      {p.duty.map((d) => (
        <div key={d.fluid} className="flex items-baseline justify-between gap-3 border-b border-line2 py-1.5">
          <span className="min-w-0">
            <b className="text-body font-[640]">{d.name}</b>
            {d.note && <span className="block text-small text-muted">{d.note}</span>}
          </span>
          <span className="m text-body whitespace-nowrap">
            {rounded(d.concentrationPct, 1)} %, {quantity(d.temperatureC, "degC")}, {rounded(d.share * 100)} % of time
          </span>
        </div>
      ))}
      <p className="pt-2 text-body text-soft">
        Solids wear {p.abrasion}. Suction lift {rounded(p.suctionLiftM, 1)} m. {rounded(p.strip.hoursPerDay)} h a day.
        Body {p.bodyMaterial}.{" "}
        {p.consequence === "high" ? "A failure harms people or the place." : "A failure stops the line."}
      </p>
    </section>
  );
}

function Sets({ pump: p }: { pump: PumpView }) {
  const stops = [...p.strip.stops].reverse();
  return (
    <section aria-label="Sets that ran">
      <h2 className="head border-b-[1.5px] border-ink pb-1">Sets that ran, latest first</h2>
      {stops.length === 0 && <p className="py-2 text-body text-soft">This is the first set on record.</p>}
      <ul>
        {stops.map((s) => (
          <li
            key={s.days}
            className="flex items-center gap-3 border-b border-line2 py-1.5 text-body max-[480px]:flex-wrap max-[480px]:gap-y-0.5"
          >
            <Mark state={s.failed ? "renew" : "sound"} size={15} />
            <span className="w-20 font-[660]">{s.material}</span>
            <span className="m w-20 text-right text-body">{rounded(s.hours)} h</span>
            <span className="min-w-0 flex-1 truncate text-soft max-[480px]:order-1 max-[480px]:basis-full max-[480px]:pl-[27px]">
              {s.cause}
            </span>
            <span className="text-small whitespace-nowrap text-muted max-[480px]:ml-auto">
              {rounded(-s.days)} days ago
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Papers({ pump: p }: { pump: PumpView }) {
  return (
    <section className="pt-5" aria-label="Rebuilds here">
      <h2 className="head border-b-[1.5px] border-ink pb-1">Rebuilds here</h2>
      {p.rebuilds.length === 0 && <p className="py-2 text-body text-soft">None recorded at this bench yet.</p>}
      <ul>
        {p.rebuilds.map((r) => (
          <li key={r.id} className="flex min-h-12 items-center justify-between border-b border-line2 text-body">
            <Link to={`/bench/${r.id}`} className="py-3 font-[640]">
              {r.opened}, {r.by}
              <span className="pl-2 font-normal text-muted">{r.closed ? "handed back" : "in hand"}</span>
            </Link>
            <a className="border-b border-ink py-1" href={api.recordUrl(r.id)} target="_blank" rel="noreferrer">
              Record
            </a>
          </li>
        ))}
      </ul>
    </section>
  );
}
