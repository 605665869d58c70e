import { counted } from "../../text/counted";
import { NumberInput } from "../../parts/ReadingField";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { api, Refused } from "../../api/client";
import type { Effect, FindingRequest, OwnResistance, PairView } from "../../api/types";
import { Failure } from "../../drawing/eventMarks";
import { Choice } from "../../parts/Choice";
import { Mark, type State } from "../../parts/Mark";
import { inSentence, rounded } from "../../text/numbers";
import { Failed, Loading, Sentence } from "../../parts/States";
import { typedNumber } from "../../text/typedNumber";
import { band, BandBar } from "./BandBar";
import { Limits } from "./Limits";
import { useMay } from "../../parts/useMay";
import { TextInput } from "../../parts/TextInput";
import { inShown, ofShown, quantity, apart, unitWord } from "../../text/shop";

/** A material in a fluid: the rows, what was seen here, where they disagree, and the shop's own word. */
export default function Pair() {
  const { fluid = "", material = "" } = useParams();
  const pair = useQuery({ queryKey: ["pair", fluid, material], queryFn: () => api.pair(fluid, material) });
  if (pair.error) return <Failed error={pair.error} what="this pair" />;
  if (!pair.data) return <Loading what="the pair" />;
  return <Of pair={pair.data} />;
}

function Of({ pair: p }: { pair: PairView }) {
  const first = p.rows[0];
  const [row, setRow] = useState<OwnResistance>({
    fluid: p.fluid,
    material: p.material,
    fromPct: first?.fromPct ?? 0,
    toPct: first?.toPct ?? 100,
    fullC: first?.fullC ?? null,
    limitedC: first?.limitedC ?? null,
    effect: first?.effect ?? null,
    note: "",
  });
  return (
    <main className="px-5 pt-3 pb-10">
      <div className="flex flex-wrap items-end justify-between gap-4 border-b-[1.5px] border-ink pb-2">
        <div>
          <h1 className="text-head leading-9 font-[680]">
            {p.material} in {inSentence(p.fluidName)}
          </h1>
          <p className="text-body text-soft">{p.materialName}</p>
          {p.why && <p className="text-lead leading-[21px] font-[640]">{p.why}</p>}
        </div>
        <span className="flex flex-wrap gap-x-5">
          <a
            className="under"
            href={`/api/v1/materials/sheets/${encodeURIComponent(p.material)}.pdf`}
            target="_blank"
            rel="noreferrer"
          >
            {p.material} with every fluid, on paper
          </a>
          <Link className="under" to={`/library/materials/${p.fluid}`}>
            {p.fluidName} with everything else
          </Link>
        </span>
      </div>
      {p.contradictions.map((c) => (
        <div
          key={c.sentence}
          role="alert"
          className="flex flex-wrap items-center gap-4 border-b border-ink bg-wash px-4 py-2.5"
        >
          <Mark state="watch" size={22} />
          <p className="flex-1 text-lead leading-[22px] font-[640]">{c.sentence}</p>
          <button type="button" className="press call" onClick={() => setRow(c.suggestion)}>
            Write it as an own row
          </button>
        </div>
      ))}
      <Limits
        of={p}
        elsewhere={
          <Link className="underline" to={`/library/materials/${p.fluid}`}>
            What happens
          </Link>
        }
      />
      <div className="grid grid-cols-2 gap-x-10 max-[1000px]:grid-cols-1">
        <div>
          <Rows pair={p} />
          <Own key={JSON.stringify(row)} row={row} effects={p.effects} ages={p.ages} />
          <History pair={p} />
        </div>
        <Evidence pair={p} />
      </div>
    </main>
  );
}

function Rows({ pair: p }: { pair: PairView }) {
  const lead = useMay("lead");
  const cache = useQueryClient();
  const end = useMutation({
    mutationFn: (row: number) => api.endOwn("resistance", row),
    onSuccess: () => cache.invalidateQueries(),
  });
  return (
    <section aria-label="Rows">
      <h2 className="head border-b border-ink pt-3 pb-1">What the library says</h2>
      {p.rows.length === 0 && (
        <p className="py-3 text-lead leading-[21px]">
          Nothing: this pair is unknown. It is never taken for good, nor averaged away.
        </p>
      )}
      <ul>
        {p.rows.map((r) => (
          <li key={r.ownRow ?? `${r.fromPct} shipped`} className="border-b border-line2 py-1.5">
            <div className="flex items-center gap-3">
              <span className="w-[92px] text-body font-[640] whitespace-nowrap">{band(r)}</span>
              <BandBar row={r} />
              <span className="text-body">{r.effect}</span>
              {r.ownRow !== null && (
                <button
                  type="button"
                  className="press ml-auto px-3"
                  disabled={!lead.may || end.isPending}
                  onClick={() => r.ownRow !== null && end.mutate(r.ownRow)}
                >
                  End it
                </button>
              )}
            </div>
            <p className="text-small leading-[17px] text-muted">
              {r.ownRow !== null ? "This shop's own row" : r.source}, {r.basis}, {r.date}
              {r.under && ". An own row stands over it"}
              {r.note && `. ${r.note}`}
            </p>
            {r.doubts.map((doubt) => (
              <p key={doubt} className="flex items-center gap-2 text-body leading-[19px] font-[640]">
                <Mark state="watch" size={14} /> Look again: it is {doubt}.
              </p>
            ))}
          </li>
        ))}
      </ul>
      {end.error && <Sentence>{end.error.message}</Sentence>}
    </section>
  );
}

/** A row of the shop's own, which counts before every shipped one of its band. */
function Own({ row, effects, ages }: { row: OwnResistance; effects: Effect[]; ages: boolean }) {
  const lead = useMay("lead");
  const cache = useQueryClient();
  const [typed, setTyped] = useState({
    from: String(row.fromPct),
    to: String(row.toPct),
    full: row.fullC === null ? "" : String(inShown(row.fullC, "degC")),
    limited: row.limitedC === null ? "" : String(inShown(row.limitedC, "degC")),
    effect: row.effect,
    note: row.note,
  });
  const read = {
    from: typedNumber(typed.from),
    to: typedNumber(typed.to),
    full: typedNumber(typed.full),
    limited: typedNumber(typed.limited),
  };
  const sound = Object.values(read).every((v) => v !== undefined) && read.from !== null && read.to !== null;
  const write = useMutation({
    mutationFn: () =>
      api.writeOwn({
        fluid: row.fluid,
        material: row.material,
        fromPct: read.from ?? 0,
        toPct: read.to ?? 0,
        fullC: celsius(read.full),
        limitedC: celsius(read.limited),
        effect: typed.effect,
        note: typed.note,
      }),
    onSuccess: () => cache.invalidateQueries(),
  });
  const set = (change: Partial<typeof typed>) => setTyped((now) => ({ ...now, ...change }));
  return (
    <form
      className="pt-4"
      aria-label="An own row"
      onSubmit={(e) => {
        e.preventDefault();
        write.mutate();
      }}
    >
      <h2 className="head border-b border-ink pb-1">This shop's own word</h2>
      <div className="grid grid-cols-4 gap-2.5 pt-2">
        <Typed name="From, %" value={typed.from} set={(from) => set({ from })} />
        <Typed name="To, %" value={typed.to} set={(to) => set({ to })} />
        <Typed name={`Full to, ${unitWord("degC")}`} value={typed.full} set={(full) => set({ full })} />
        <Typed name={`Limited to, ${unitWord("degC")}`} value={typed.limited} set={(limited) => set({ limited })} />
      </div>
      <p className="pt-1 text-small leading-[16px] text-muted">
        Leave the limits empty where it is never fit.{" "}
        {ages
          ? `Life halves for each ${apart(10).slice(1)} between the two.`
          : "Between the two it may be attacked, or never is."}
      </p>
      <div className="flex items-center gap-2 text-body">
        The fluid
        <Choice
          label="What the fluid does to it"
          value={typed.effect ?? ""}
          all="does nothing known"
          of={effects}
          say={(e) => `${e} it`}
          onChange={(effect) => set({ effect: effect || null })}
        />
      </div>
      <label className="block text-small text-muted">
        Why
        <TextInput
          of="OwnResistance.note"
          className="field mt-1 block w-full text-ink"
          typed={typed.note}
          onType={(words) => set({ note: words })}
        />
      </label>
      {write.error instanceof Refused && write.error.faults.length > 0
        ? write.error.faults.map((f) => <Sentence key={f.message}>{f.message}</Sentence>)
        : write.error && <Sentence>{write.error.message}</Sentence>}
      <button type="submit" className="press call mt-2.5" disabled={!lead.may || !sound || write.isPending}>
        {lead.why || "Write the row"}
      </button>
    </form>
  );
}

function celsius(typed: number | null | undefined): number | null {
  return typed == null ? null : Number(ofShown(typed, "degC").toFixed(3));
}

function Typed({ name, value, set }: { name: string; value: string; set: (value: string) => void }) {
  const bad = typedNumber(value) === undefined;
  return (
    <label className="text-small text-muted">
      {name}
      <NumberInput className="mt-1 block w-full text-ink" typed={value} onType={set} invalid={bad} />
    </label>
  );
}

function History({ pair: p }: { pair: PairView }) {
  if (p.history.length === 0) return null;
  return (
    <section aria-label="Changes" className="pt-4">
      <h2 className="head border-b border-ink pb-1">What was changed</h2>
      <ul>
        {p.history.map((h) => (
          <li key={`${h.writtenOn} ${h.line}`} className="border-b border-line2 py-1.5 text-body leading-[18px]">
            <span className="m block text-small break-all">{h.line}</span>
            <span className="text-muted">
              {h.writtenBy}, {h.writtenOn}
              {h.endedBy !== null && `; ended by ${h.endedBy}, ${h.endedOn ?? ""}`}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

const SEEN: Record<string, [State, (v: number) => string]> = {
  hardness: ["watch", (v) => `${v > 0 ? "+" : ""}${rounded(v, 1)} Shore A`],
  swell: ["watch", (v) => `${rounded(v, 1)} % swell`],
  attacked: ["renew", () => "attacked"],
  sound: ["sound", () => "came out sound"],
};

/** What this shop saw of the pair: readings at inspection, runs, and what somebody typed. */
function Evidence({ pair: p }: { pair: PairView }) {
  return (
    <section aria-label="What was seen here">
      <h2 className="head border-b border-ink pt-3 pb-1">What was seen here</h2>
      {p.seen.length + p.runs.length === 0 && (
        <p className="py-3 text-lead text-soft">Nothing yet: no reading, no run of this material in this fluid.</p>
      )}
      <ul>
        {p.runs.map((r) => (
          <li key={r.pump} className="flex min-h-11 items-center gap-4 border-b border-line2 text-body">
            <Link className="w-[72px] font-[700] underline" to={`/pumps/${r.pump}`}>
              {r.pump}
            </Link>
            <svg width={Math.min(30, r.failed.length) * 9 + 2} height="18" aria-hidden>
              {r.failed
                .slice(-30)
                .map((failed, i) =>
                  failed ? (
                    <Failure key={i} x={i * 9 + 5} y={9} h={8} />
                  ) : (
                    <rect key={i} x={i * 9 + 2.5} y={1.5} width={4} height={15} fill="none" stroke="var(--ink)" />
                  ),
                )}
            </svg>
            <span>
              {counted(r.failed.length, "run")}, {r.failed.filter(Boolean).length} failed, longest{" "}
              {rounded(r.longestHours)} h
            </span>
          </li>
        ))}
        {p.seen
          .filter((s) => s.from !== "run")
          .map((s, i) => {
            const [state, say] = SEEN[s.kind] ?? ["unknown", () => s.kind];
            return (
              <li key={i} className="flex items-start gap-3 border-b border-line2 py-1.5 text-body leading-[19px]">
                <span className="pt-0.5">
                  <Mark state={state} size={15} />
                </span>
                <span className="flex-1">
                  <b className="font-[660]">{say(s.reading)}</b> at {quantity(s.temperatureC, "degC", 1)},{" "}
                  {rounded(s.concentrationPct, 1)} %{s.pump && `, ${s.pump}`}
                  <span className="block text-small text-muted">
                    {[s.day, s.who, s.from === "typed" ? "" : s.from, s.note].filter(Boolean).join(", ")}
                  </span>
                </span>
              </li>
            );
          })}
      </ul>
      <Find pair={p} />
    </section>
  );
}

const KINDS: Record<string, string> = {
  hardness: "hardness changed by, Shore A",
  swell: "volume swelled by, %",
  attacked: "it was attacked",
  sound: "it came out sound",
};

function Find({ pair: p }: { pair: PairView }) {
  const work = useMay("work");
  const cache = useQueryClient();
  const [kind, setKind] = useState("hardness");
  const [typed, setTyped] = useState({ reading: "", pct: String(p.rows[0]?.toPct ?? 100), at: "", pump: "", note: "" });
  const measured = kind === "hardness" || kind === "swell";
  const read = { reading: typedNumber(typed.reading), pct: typedNumber(typed.pct), at: typedNumber(typed.at) };
  const find = useMutation({
    mutationFn: () =>
      api.find({
        fluid: p.fluid,
        material: p.material,
        kind,
        ...(typeof read.pct === "number" ? { concentrationPct: read.pct } : {}),
        ...(typeof read.at === "number" ? { temperatureC: celsius(read.at) } : {}),
        ...(measured && typeof read.reading === "number" ? { reading: read.reading } : {}),
        pump: typed.pump.trim().toUpperCase(),
        note: typed.note,
      } as FindingRequest),
    onSuccess: async () => {
      setTyped((now) => ({ ...now, reading: "", note: "" }));
      await cache.invalidateQueries();
    },
  });
  const set = (change: Partial<typeof typed>) => setTyped((now) => ({ ...now, ...change }));
  const unreadable = [typed.reading, typed.pct, typed.at].find((t) => typedNumber(t) === undefined);
  return (
    <form
      className="pt-3"
      aria-label="Something seen"
      onSubmit={(e) => {
        e.preventDefault();
        find.mutate();
      }}
    >
      <div className="flex items-center gap-2 text-body">
        Seen:
        <Choice
          label="What was seen"
          value={kind}
          all={KINDS["hardness"] ?? ""}
          of={Object.keys(KINDS)}
          say={(k) => KINDS[k] ?? k}
          onChange={(k) => setKind(k || "hardness")}
        />
      </div>
      <div className="grid grid-cols-4 gap-2.5">
        {measured && <Typed name="Reading" value={typed.reading} set={(reading) => set({ reading })} />}
        <Typed name={`At, ${unitWord("degC")}`} value={typed.at} set={(at) => set({ at })} />
        <Typed name="Strength, %" value={typed.pct} set={(pct) => set({ pct })} />
        <label className="text-small text-muted">
          Pump
          <TextInput
            of="FindingRequest.pump"
            className="field mt-1 block w-full text-ink"
            typed={typed.pump}
            onType={(words) => set({ pump: words })}
          />
        </label>
      </div>
      <label className="mt-1 block text-small text-muted">
        In words
        <TextInput
          of="FindingRequest.note"
          className="field mt-1 block w-full text-ink"
          typed={typed.note}
          onType={(words) => set({ note: words })}
        />
      </label>
      {unreadable !== undefined && <Sentence>"{unreadable}" is not a number.</Sentence>}
      {find.error instanceof Refused && find.error.faults.length > 0
        ? find.error.faults.map((f) => <Sentence key={f.path + f.message}>{f.message}</Sentence>)
        : find.error && <Sentence>{find.error.message}</Sentence>}
      <button
        type="submit"
        className="press mt-2.5"
        disabled={!work.may || find.isPending || unreadable !== undefined || typed.at === ""}
      >
        {work.why || "Write it down"}
      </button>
    </form>
  );
}
