import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { api } from "../../api/client";
import type { FaultLine, RailPart, SymptomQuestion, SymptomsView } from "../../api/types";
import { BeforeAfter, Wedge } from "../../drawing/BeforeAfter";
import { PumpKind } from "../../drawing/PumpKind";
import { Rails } from "../../drawing/Rails";
import { Rhythm } from "../../drawing/Signature";
import { clock, percent, rounded } from "../../text/numbers";
import { Failed, Loading } from "../../parts/States";
import { useDraft } from "../../parts/useDraft";
import { NextTest } from "./NextTest";
import type { Put, Told } from "./told";

const NOTHING: Told = { seen: [], not: [], yes: [], no: [] };

/** Before the strip: what it does, what it may be, and the test that settles most for its minutes. */
export default function Symptoms() {
  const { tag = "" } = useParams();
  const [asked] = useSearchParams();
  const job = asked.get("job");
  const [stored, setStored] = useDraft(job ? `symptoms.${tag}.${job}` : `symptoms.${tag}`);
  const told = stored ? (JSON.parse(stored) as Told) : { ...NOTHING, seen: asked.getAll("seen") };
  const view = useQuery({
    queryKey: ["symptoms", tag, job, told],
    queryFn: () => api.symptoms(tag, { ...told, ...(job && { job: Number(job) }) } satisfies SymptomQuestion),
    placeholderData: keepPreviousData,
  });
  if (view.error && !view.data) return <Failed error={view.error} what={`pump ${tag}`} />;
  if (!view.data) return <Loading what={tag} />;
  const put = (id: string, into: keyof Told | null, among: (keyof Told)[]) => {
    const next = { ...told };
    for (const k of among) next[k] = next[k].filter((x) => x !== id);
    if (into) next[into] = [...next[into], id];
    setStored(Object.values(next).some((l) => (l as string[]).length > 0) ? JSON.stringify(next) : "");
  };
  return (
    <main className="flex min-h-[calc(100vh-49.5px)] flex-col">
      <header className="flex min-h-16 flex-wrap items-center gap-x-6 border-b border-ink px-5 py-1">
        <h1 className="tag text-tag leading-[46px]">{view.data.tag}</h1>
        <PumpKind family={view.data.family} scale={1.5} />
        <div className="min-w-0 flex-1 leading-5">
          <p className="truncate text-lead font-[600]">{view.data.duty}</p>
          {view.data.missed === null ? (
            <p className="truncate text-body text-muted">{view.data.fitted}. Before it is stripped.</p>
          ) : (
            <p className="text-body text-renew">Just rebuilt, does not hold: {view.data.missed || "nothing now"}</p>
          )}
        </div>
        {job && (
          <Link className="press inline-flex items-center" to={`/bench/${job}`}>
            Back to the bench
          </Link>
        )}
        {stored && (
          <button type="button" className="press" onClick={() => setStored("")}>
            Begin again
          </button>
        )}
      </header>
      <div className="grid flex-1 grid-cols-[292px_minmax(0,1fr)_372px] max-[1180px]:grid-cols-[292px_minmax(0,1fr)] max-[760px]:grid-cols-1">
        <WhatItDoes view={view.data} put={put} />
        <WhatItMayBe view={view.data} />
        <NextTest view={view.data} told={told} put={put} clear={() => setStored("")} />
      </div>
    </main>
  );
}

function WhatItDoes({ view, put }: { view: SymptomsView; put: Put }) {
  const seen = view.symptoms.filter((s) => s.state === "seen").length;
  const not = view.symptoms.filter((s) => s.state === "not").length;
  return (
    <section className="border-r border-line px-4 pt-2.5" aria-label="What it does">
      <h2 className="flex items-baseline justify-between border-b-[1.5px] border-ink pb-1">
        <span className="text-title font-[680]">What it does</span>
        <span className="text-small text-muted">
          {seen} seen, {not} not
        </span>
      </h2>
      <ul>
        {view.symptoms.map((s) => (
          <li key={s.id} className="flex items-center gap-2 border-b border-line2 py-1">
            <Rhythm id={s.drawing} width={64} />
            <span className="min-w-0 flex-1 leading-[15px]">
              <b className="block text-body font-[640]">{s.title}</b>
              <span className="text-small text-muted">{s.say}</span>
            </span>
            <span className="flex" role="group" aria-label={s.title}>
              {(["seen", "not"] as const).map((w) => (
                <button
                  key={w}
                  type="button"
                  aria-pressed={s.state === w}
                  onClick={() => put(s.id, s.state === w ? null : w, ["seen", "not"])}
                  className={`-ml-px flex h-12 w-[46px] flex-col items-center justify-center border text-small ${
                    s.state === w
                      ? w === "seen"
                        ? "relative border-ink bg-ink font-[680] text-card"
                        : "relative border-[1.5px] border-ink bg-card font-[680]"
                      : "border-line bg-card text-soft"
                  }`}
                >
                  <svg width="14" height="14" aria-hidden stroke="currentColor" strokeWidth="3">
                    <path d={w === "seen" ? "M7,1V13" : "M1,7H13"} />
                  </svg>
                  {w}
                </button>
              ))}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function WhatItMayBe({ view }: { view: SymptomsView }) {
  const [chosen, setChosen] = useState("");
  const held = view.faults.find((f) => f.id === chosen) ?? view.faults[0];
  const shown = view.faults.filter((f, i) => i < 6 || f.chance > 0.02);
  return (
    <section className="min-w-0 px-5 pt-2.5" aria-label="What it may be">
      <h2 className="flex items-baseline justify-between border-b-[1.5px] border-ink pb-1">
        <span className="text-title font-[680]">What it may be</span>
        <span className="text-small text-muted">
          dashed: before you told it; strip in hours and minutes
          {view.confirmedHere > 0 && `; ${view.confirmedHere} confirmed here count`}
        </span>
      </h2>
      <ol>
        {shown.map((f, i) => (
          <li key={f.id} className={`border-b border-line2 ${held?.id === f.id ? "bg-wash" : ""}`}>
            <button
              type="button"
              className="block min-h-[54px] w-full px-1 py-1.5 text-left"
              aria-pressed={held?.id === f.id}
              onClick={() => setChosen(f.id)}
            >
              <span className="flex items-center gap-2.5">
                <Rank n={i + 1} first={i === 0} />
                <b className={`min-w-0 flex-1 text-body leading-[18px] font-[640] ${i === 0 ? "text-accent" : ""}`}>
                  {f.title}
                </b>
                <BeforeAfter before={f.before} after={f.chance} first={i === 0} width={132} />
                <span className="m w-11 text-right text-body font-semibold">
                  {percent(f.chance)}
                  <span className="text-small text-muted">%</span>
                </span>
                <span className="m w-11 text-right text-body">
                  {f.stripMinutes === null ? "0:00" : clock(f.stripMinutes)}
                </span>
              </span>
              <span className="flex flex-wrap gap-x-3 pl-[34px] text-small leading-4 text-soft">
                {f.raised.slice(0, 3).map((r) => (
                  <span key={r}>
                    <Wedge raised />
                    {r}
                  </span>
                ))}
                {f.lowered.slice(0, 2).map((r) => (
                  <span key={r}>
                    <Wedge raised={false} />
                    {r}
                  </span>
                ))}
                <span className="text-muted">{f.reach}</span>
              </span>
            </button>
          </li>
        ))}
      </ol>
      {view.rails.length > 0 && held && (
        <div className="pt-3">
          <h3 className="head flex justify-between">
            How far in
            <span className="text-small font-[500] text-muted">
              {held.stripMinutes === null
                ? `${held.title}: ${held.reach}`
                : `${rounded(held.stripMinutes)} min of strip to the ${held.reach}`}
            </span>
          </h3>
          <Rails rails={lifted(view, held)} bare natural />
        </div>
      )}
    </section>
  );
}

/** The pump whole, with the parts to reach lifted. */
function lifted(view: SymptomsView, fault: FaultLine) {
  const lift = (p: RailPart): RailPart => (fault.parts.includes(p.id) ? { ...p, where: "in-hand" } : p);
  return view.rails.map((r) => ({ ...r, lines: r.lines.map((l) => ({ ...l, parts: l.parts.map(lift) })) }));
}

function Rank({ n, first }: { n: number; first: boolean }) {
  return (
    <svg width="24" height="24" aria-hidden className="shrink-0">
      <circle
        cx="12"
        cy="12"
        r="10.5"
        fill={first ? "var(--accent)" : "var(--card)"}
        stroke={first ? "var(--accent)" : "var(--ink)"}
        strokeWidth="1.3"
      />
      <text
        className="m"
        x="12"
        y="16.5"
        textAnchor="middle"
        fontSize="13"
        fontWeight="600"
        fill={first ? "var(--card)" : "var(--ink)"}
      >
        {n}
      </text>
    </svg>
  );
}
