import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { api } from "../../api/client";
import { newKey } from "../../api/outbox";
import type { AnswerView, FaultLine, RailPart, SymptomQuestion, SymptomsView, TestLine } from "../../api/types";
import { BeforeAfter, Wedge } from "../../drawing/BeforeAfter";
import { PumpKind } from "../../drawing/PumpKind";
import { Rails } from "../../drawing/Rails";
import { Rhythm } from "../../drawing/Signature";
import { countdown, Dial, useLeft } from "../../parts/Clock";
import { clock, percent, rounded } from "../../parts/numbers";
import { useSettings } from "../../parts/settings";
import { Failed, Loading, Sentence } from "../../parts/States";
import { useDraft } from "../../parts/useDraft";

const NOTHING: Told = { seen: [], not: [], yes: [], no: [] };

interface Told {
  seen: string[];
  not: string[];
  yes: string[];
  no: string[];
}

/** Before the strip: what it does, what it may be, and the test that settles most for its minutes. */
export default function Symptoms() {
  const { tag = "" } = useParams();
  const [stored, setStored] = useDraft(`symptoms.${tag}`);
  const told = stored ? (JSON.parse(stored) as Told) : NOTHING;
  const view = useQuery({
    queryKey: ["symptoms", tag, stored],
    queryFn: () => api.symptoms(tag, told satisfies SymptomQuestion),
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
        <h1 className="tag text-[44px] leading-[46px]">{view.data.tag}</h1>
        <PumpKind family={view.data.family} scale={1.5} />
        <div className="min-w-0 flex-1 leading-5">
          <p className="truncate text-[16px] font-[600]">{view.data.duty}</p>
          <p className="truncate text-[14px] text-muted">{view.data.fitted}. Before it is stripped.</p>
        </div>
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

type Put = (id: string, into: keyof Told | null, among: (keyof Told)[]) => void;

function WhatItDoes({ view, put }: { view: SymptomsView; put: Put }) {
  const seen = view.symptoms.filter((s) => s.state === "seen").length;
  const not = view.symptoms.filter((s) => s.state === "not").length;
  return (
    <section className="border-r border-line px-4 pt-2.5" aria-label="What it does">
      <h2 className="flex items-baseline justify-between border-b-[1.5px] border-ink pb-1">
        <span className="text-[23px] font-[680]">What it does</span>
        <span className="text-[13px] text-muted">
          {seen} seen, {not} not
        </span>
      </h2>
      <ul>
        {view.symptoms.map((s) => (
          <li key={s.id} className="flex items-center gap-2 border-b border-line2 py-1">
            <Rhythm id={s.drawing} width={64} />
            <span className="min-w-0 flex-1 leading-[15px]">
              <b className="block text-[14px] font-[640]">{s.title}</b>
              <span className="text-[12px] text-muted">{s.say}</span>
            </span>
            <span className="flex" role="group" aria-label={s.title}>
              {(["seen", "not"] as const).map((w) => (
                <button
                  key={w}
                  type="button"
                  aria-pressed={s.state === w}
                  onClick={() => put(s.id, s.state === w ? null : w, ["seen", "not"])}
                  className={`-ml-px flex h-12 w-[46px] flex-col items-center justify-center border text-[12.5px] ${
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
        <span className="text-[23px] font-[680]">What it may be</span>
        <span className="text-[13px] text-muted">
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
                <b className={`min-w-0 flex-1 text-[15.5px] leading-[18px] font-[640] ${i === 0 ? "text-accent" : ""}`}>
                  {f.title}
                </b>
                <BeforeAfter before={f.before} after={f.chance} first={i === 0} width={132} />
                <span className="m w-11 text-right text-[15.5px] font-semibold">
                  {percent(f.chance)}
                  <span className="text-[11px] text-muted">%</span>
                </span>
                <span className="m w-11 text-right text-[15px]">
                  {f.stripMinutes === null ? "0:00" : clock(f.stripMinutes)}
                </span>
              </span>
              <span className="flex flex-wrap gap-x-3 pl-[34px] text-[12.5px] leading-4 text-soft">
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
            <span className="text-[13px] font-[500] text-muted">
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

interface NextProps {
  view: SymptomsView;
  told: Told;
  put: Put;
  clear: () => void;
}

function NextTest({ view, told, put, clear }: NextProps) {
  const [chosen, setChosen] = useState("");
  const test = view.tests.find((t) => t.id === chosen) ?? view.tests[0];
  const others = view.tests.filter((t) => t !== test);
  return (
    <aside
      className="flex flex-col border-l-[1.5px] border-ink bg-card px-5 pt-2.5 pb-3 max-[1180px]:col-span-full max-[1180px]:border-t max-[1180px]:border-l-0"
      aria-label="Next best test"
    >
      {test ? (
        <TestInHand key={test.id} test={test} best={test === view.tests[0]} tag={view.tag} put={put} />
      ) : (
        <p className="py-4 text-[17px] font-[640]">Every test is done: strip to what stands first.</p>
      )}
      {view.done.length > 0 && (
        <>
          <h3 className="head border-b border-ink pt-3 pb-1">Done</h3>
          <ul>
            {view.done.map((d) => (
              <li
                key={d.id}
                className="flex min-h-11 items-center justify-between gap-2 border-b border-line2 text-[14px]"
              >
                <span>
                  <b className="font-[640]">{d.title}:</b> {d.answer.toLowerCase()}
                </span>
                <button
                  type="button"
                  className="min-h-11 px-2 text-[13px] underline"
                  onClick={() => put(d.id, null, ["yes", "no"])}
                >
                  take back
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      {others.length > 0 && (
        <>
          <h3 className="head flex justify-between border-b border-ink pt-3 pb-1">
            Other tests
            <span className="text-[12.5px] font-[500] text-muted">doubt settled, by minutes spent</span>
          </h3>
          <ul>
            {others.slice(0, 4).map((t) => (
              <li key={t.id} className="border-b border-line2">
                <button
                  type="button"
                  className="flex min-h-11 w-full items-center gap-2 text-left text-[14.5px]"
                  onClick={() => setChosen(t.id)}
                >
                  <span className="min-w-0 flex-1 truncate font-[600]">{t.title}</span>
                  <svg width="76" height="10" aria-hidden>
                    <rect y="1" width={Math.max(1, t.share * 76)} height="8" fill="var(--soft)" />
                  </svg>
                  <span className="m w-10 text-right text-[13.5px]">{percent(t.share)}%</span>
                  <span className="m w-14 text-right text-[13.5px] text-soft">{rounded(t.minutes)} min</span>
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      <div className="flex-1" />
      <StripNow view={view} told={told} clear={clear} />
    </aside>
  );
}

const KIND: Record<string, string> = {
  energised: "Live work: by a person licensed for it where the law says so.",
  opens: "It opens the pump: make it safe first.",
};

function TestInHand({ test: t, best, tag, put }: { test: TestLine; best: boolean; tag: string; put: Put }) {
  const [until, setUntil] = useDraft(`symptoms.${tag}.${t.id}.until`);
  const left = useLeft(until || null);
  const answer = (into: "yes" | "no") => {
    setUntil("");
    put(t.id, into, ["yes", "no"]);
  };
  return (
    <>
      <p className="text-[13.5px] text-muted">{best ? "Next best test" : "Another test"}</p>
      <h2 className="flex items-baseline justify-between text-[27px] leading-8 font-[680]">
        {t.title}
        <span className="m text-[20px]">
          {rounded(t.minutes)} <span className="text-[13px] font-[500] text-muted">min</span>
        </span>
      </h2>
      <p className="pt-1 text-[15px] leading-[19px] font-[600]">{t.how}.</p>
      <p className="text-[14px] leading-[18px] text-soft">
        It settles {percent(t.share)} % of the doubt{best && ", the most for a minute spent"}.
        {t.limit && ` Limit: ${t.limit}.`}
      </p>
      {(t.caution || KIND[t.kind]) && (
        <p className="mt-1.5 border-l-[3px] border-watch pl-2.5 text-[14px] leading-[18px] font-[600]">
          {[KIND[t.kind], t.caution && `${t.caution}.`].filter(Boolean).join(" ")}
        </p>
      )}
      <button
        type="button"
        className="press mt-2 flex h-[50px] items-center gap-3 self-start px-3"
        onClick={() => setUntil(new Date(Date.now() + t.minutes * 60_000).toISOString())}
      >
        <Dial share={until ? 1 - left / (t.minutes * 60) : 0} size={30} />
        <span className="m text-[17px] font-semibold">
          {!until ? `start ${countdown(t.minutes * 60)}` : left > 0 ? countdown(left) : "time"}
        </span>
      </button>
      <Answer answer={t.yes} press={() => answer("yes")} />
      <Answer answer={t.no} press={() => answer("no")} />
    </>
  );
}

/** An answer to press, with what it would tell. */
function Answer({ answer: a, press }: { answer: AnswerView; press: () => void }) {
  return (
    <button
      type="button"
      className="mt-2 block border border-ink bg-paper px-3 py-2 text-left hover:bg-wash"
      onClick={press}
    >
      <span className="flex items-baseline justify-between text-[17px] font-[680]">
        {a.say}
        <span className="m text-[14px] font-semibold">
          {percent(a.chance)}% <span className="font-[500] text-muted">likely</span>
        </span>
      </span>
      {a.after.map((f, i) => (
        <span key={f.id} className="flex items-center gap-2 text-[13px]">
          <span className="min-w-0 flex-1 truncate">{f.title}</span>
          <BeforeAfter before={f.before} after={f.chance} first={i === 0} width={104} />
          <span className="m w-9 text-right">{percent(f.chance)}%</span>
        </span>
      ))}
      <span className="mt-1 block border-t border-line pt-1 text-[13.5px] font-[600]">{a.then}</span>
    </button>
  );
}

/** Opens the rebuild with what was told, the parts to reach already asked for. */
function StripNow({ view, told, clear }: { view: SymptomsView; told: Told; clear: () => void }) {
  const { who } = useSettings();
  const go = useNavigate();
  const queries = useQueryClient();
  const first = view.faults.find((f) => f.parts.length > 0);
  const strip = useMutation({
    mutationFn: async () => {
      const reason = view.symptoms
        .filter((s) => s.state === "seen")
        .map((s) => s.title.toLowerCase())
        .join(", ");
      const opened = await api.open(view.tag, who, reason || "symptoms");
      const items = (["seen", "not", "yes", "no"] as const).flatMap((k) => told[k].map((id) => `${k}:${id}`));
      if (opened.stage !== "TAKE_IN" || items.length === 0) return opened;
      return api.act(String(opened.id), {
        key: newKey(),
        seen: opened.seq,
        who,
        kind: "SYMPTOMS_TOLD",
        step: "",
        subject: view.faults[0]?.id ?? "",
        measure: "",
        pass: 0,
        fastener: 0,
        typed: "",
        unit: "",
        text: "",
        items,
      });
    },
    onSuccess: (bench) => {
      if (first) {
        localStorage.setItem(
          `isokinon.draft.${bench.id}.wishes`,
          JSON.stringify(Object.fromEntries(first.parts.map((p) => [p, "inspect"]))),
        );
      }
      clear();
      queries.setQueryData(["bench", String(bench.id)], bench);
      void queries.invalidateQueries({ queryKey: ["floor"] });
      void go(`/bench/${bench.id}`);
    },
  });
  const hindrance = !view.hasSheet
    ? "Its construction has no sheet yet, so a strip cannot be planned."
    : !who
      ? "Say who stands here first, top right."
      : "";
  return (
    <div className="sticky bottom-0 bg-card pt-2.5 pb-2">
      <button
        type="button"
        className="press go h-[58px] w-full px-4 text-[20px]"
        disabled={hindrance !== "" || strip.isPending}
        onClick={() => strip.mutate()}
      >
        {first ? `Strip to the ${first.reach}` : "Strip it"}
      </button>
      {hindrance && <p className="pt-1 text-[13.5px] text-soft">{hindrance}</p>}
      {strip.error && <Sentence>{strip.error.message}</Sentence>}
    </div>
  );
}
