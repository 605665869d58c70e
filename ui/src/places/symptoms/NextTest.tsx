import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api } from "../../api/client";
import { newKey } from "../../api/newKey";
import type { AnswerView, SymptomsView, TestLine } from "../../api/types";
import { BeforeAfter } from "../../drawing/BeforeAfter";
import { countdown, Dial, useLeft } from "../../parts/Clock";
import { percent, rounded } from "../../text/numbers";
import { Sentence } from "../../parts/States";
import { useDraft } from "../../parts/useDraft";
import type { Put, Told } from "./told";
import { useMay } from "../../parts/useMay";

/** From this chance on a further test is hardly worth its minutes (shop rule). */
const SURE = 0.9;

interface NextProps {
  view: SymptomsView;
  told: Told;
  put: Put;
  clear: () => void;
}

/** The test that settles most for its minutes, what each answer would tell, and the way to the bench. */
export function NextTest({ view, told, put, clear }: NextProps) {
  const [chosen, setChosen] = useState("");
  const test = view.tests.find((t) => t.id === chosen) ?? view.tests[0];
  const others = view.tests.filter((t) => t !== test);
  const first = view.faults[0];
  return (
    <aside
      className="flex flex-col border-l-[1.5px] border-ink bg-card px-5 pt-2.5 pb-3 max-[1180px]:col-span-full max-[1180px]:border-t max-[1180px]:border-l-0"
      aria-label="Next best test"
    >
      {first && first.chance >= SURE && (
        <p className="mb-2 border-l-[5px] border-accent bg-wash px-3 py-2 text-body leading-[19px] font-[640]">
          Sure enough: {first.title.toLowerCase()}.{" "}
          {first.stripMinutes === null
            ? "It sits outside the pump."
            : `${rounded(first.stripMinutes)} min of strip reach it.`}
        </p>
      )}
      {test ? (
        <TestInHand key={test.id} test={test} best={test === view.tests[0]} tag={view.tag} put={put} />
      ) : (
        <p className="py-4 text-lead font-[640]">Every test is done: strip to what stands first.</p>
      )}
      {view.done.length > 0 && (
        <>
          <h3 className="head border-b border-ink pt-3 pb-1">Done</h3>
          <ul>
            {view.done.map((d) => (
              <li
                key={d.id}
                className="flex min-h-11 items-center justify-between gap-2 border-b border-line2 text-body"
              >
                <span>
                  <b className="font-[640]">{d.title}:</b> {d.answer.toLowerCase()}
                </span>
                <button
                  type="button"
                  className="min-h-11 px-2 text-small underline"
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
            <span className="text-small font-[500] text-muted">doubt settled, by minutes spent</span>
          </h3>
          <ul>
            {others.slice(0, 4).map((t) => (
              <li key={t.id} className="border-b border-line2">
                <button
                  type="button"
                  className="flex min-h-11 w-full items-center gap-2 text-left text-body"
                  onClick={() => setChosen(t.id)}
                >
                  <span className="min-w-0 flex-1 truncate font-[600]">{t.title}</span>
                  <svg width="76" height="10" aria-hidden>
                    <rect y="1" width={Math.max(1, t.share * 76)} height="8" fill="var(--soft)" />
                  </svg>
                  <span className="m w-10 text-right text-small">{percent(t.share)}%</span>
                  <span className="m w-14 text-right text-small text-soft">{rounded(t.minutes)} min</span>
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      <div className="flex-1" />
      {view.missed === null && <StripNow view={view} told={told} clear={clear} />}
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
      <p className="text-small text-muted">{best ? "Next best test" : "Another test"}</p>
      <h2 className="flex items-baseline justify-between text-head leading-8 font-[680]">
        {t.title}
        <span className="m text-title">
          {rounded(t.minutes)} <span className="text-small font-[500] text-muted">min</span>
        </span>
      </h2>
      <p className="pt-1 text-body leading-[19px] font-[600]">{t.how}.</p>
      <p className="text-body leading-[18px] text-soft">
        After it {percent(t.share)} % less is in doubt{best && ", the most for a minute spent"}.
        {t.limit && ` Limit: ${t.limit}.`}
      </p>
      {(t.caution || KIND[t.kind]) && (
        <p className="mt-1.5 border-l-[3px] border-watch pl-2.5 text-body leading-[18px] font-[600]">
          {[KIND[t.kind], t.caution && `${t.caution}.`].filter(Boolean).join(" ")}
        </p>
      )}
      <button
        type="button"
        className="press mt-2 flex h-[50px] items-center gap-3 self-start px-3"
        onClick={() => setUntil(new Date(Date.now() + t.minutes * 60_000).toISOString())}
      >
        <Dial share={until ? 1 - left / (t.minutes * 60) : 0} size={30} />
        <span className="m text-lead font-semibold">
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
      <span className="flex items-baseline justify-between text-lead font-[680]">
        {a.say}
        <span className="m text-body font-semibold">
          {percent(a.chance)}% <span className="font-[500] text-muted">likely</span>
        </span>
      </span>
      {a.after.map((f, i) => (
        <span key={f.id} className="flex items-center gap-2 text-small">
          <span className="min-w-0 flex-1 truncate">{f.title}</span>
          <BeforeAfter before={f.before} after={f.chance} first={i === 0} width={104} />
          <span className="m w-9 text-right">{percent(f.chance)}%</span>
        </span>
      ))}
      <span className="mt-1 block border-t border-line pt-1 text-small font-[600]">{a.then}</span>
    </button>
  );
}

/** Opens the rebuild with what was told, the parts to reach already asked for. */
function StripNow({ view, told, clear }: { view: SymptomsView; told: Told; clear: () => void }) {
  const work = useMay("work");
  const go = useNavigate();
  const queries = useQueryClient();
  const first = view.faults.find((f) => f.parts.length > 0);
  const strip = useMutation({
    mutationFn: async () => {
      const reason = view.symptoms
        .filter((s) => s.state === "seen")
        .map((s) => s.title.toLowerCase())
        .join(", ");
      const opened = await api.open(view.tag, reason || "symptoms");
      const observations = (["seen", "not", "yes", "no"] as const).flatMap((kind) =>
        told[kind].map((id) => ({ kind, id })),
      );
      if (opened.stage !== "TAKE_IN" || observations.length === 0) return opened;
      return api.act(String(opened.id), {
        key: newKey(),
        seen: opened.seq,
        act: { kind: "SYMPTOMS_TOLD", suspected: view.faults[0]?.id ?? "", observations },
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
    : work.why
      ? work.why
      : "";
  return (
    <div className="sticky bottom-0 bg-card pt-2.5 pb-2">
      <button
        type="button"
        className="press go h-[58px] w-full px-4 text-title"
        disabled={hindrance !== "" || strip.isPending}
        onClick={() => strip.mutate()}
      >
        {first ? `Strip to the ${first.reach}` : "Strip it"}
      </button>
      {hindrance && <p className="pt-1 text-small text-soft">{hindrance}</p>}
      {strip.error && <Sentence>{strip.error.message}</Sentence>}
    </div>
  );
}
