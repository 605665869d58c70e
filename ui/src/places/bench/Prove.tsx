import { useEffect, useState } from "react";
import type { ProofView } from "../../api/types";
import { Mark } from "../../parts/Mark";
import { rounded, unitWord } from "../../parts/numbers";
import { Sentence } from "../../parts/States";
import { useFocus } from "../../parts/useFocus";
import { useDraft } from "../../parts/useDraft";
import type { StageProps } from "./Bench";
import { faultAt, Foot } from "./Foot";

/** The sheet's tests in order, each against its limit; a miss points back at the step behind it. */
export function Prove({ view, link }: StageProps) {
  const open = view.proof.filter((t) => !t.passed);
  const current = open[0]?.id;
  return (
    <div className="flex flex-1 flex-col">
      <section className="flex-1 px-5 pt-2.5" aria-label="Proof">
        <div className="flex items-baseline justify-between">
          <h2 className="text-[31px] leading-9 font-[680]">Prove it</h2>
          <p className="text-[14px] text-muted">Stand clear while it runs. Isolate again before hands go back in.</p>
        </div>
        <ol className="mt-2 border-t-[1.5px] border-ink">
          {view.proof.map((t, i) => (
            <Test key={t.id} test={t} number={i + 1} current={t.id === current} view={view} link={link} />
          ))}
        </ol>
      </section>
      <Foot
        link={link}
        view={view}
        main="Proved, hand it back"
        missing={open.length > 0 ? `${open.length} of ${view.proof.length} still to prove` : ""}
        disabled={open.length > 0}
        onMain={() => void link.act({ kind: "STAGE_DONE", subject: "PROVE" })}
      />
    </div>
  );
}

function Test({
  test: t,
  number,
  current,
  view,
  link,
}: { test: ProofView; number: number; current: boolean } & StageProps) {
  const field = useFocus<HTMLInputElement>(current);
  const [typed, setTyped, clear] = useDraft(`${view.id}.proof.${t.id}`);
  const fault = current || typed ? faultAt(link.faults, "value", "typed", t.id) : undefined;
  const missed = t.answered && !t.passed;
  const record = async () => {
    if (await link.act({ kind: "PROVED", subject: t.id, typed })) clear();
  };
  return (
    <li
      className={`grid min-h-[62px] grid-cols-[34px_26px_minmax(0,1fr)_auto_auto] items-center gap-3 border-b border-line2 py-1.5 max-[760px]:grid-cols-[34px_26px_minmax(0,1fr)] ${current ? "bg-wash" : ""}`}
    >
      <span className="m pl-2 text-[14px] text-muted">{number}</span>
      <Mark state={t.passed ? "sound" : missed ? "renew" : "unknown"} size={20} />
      <div className="min-w-0">
        <p className="text-[17px] leading-[21px] font-[600]">{t.ask}</p>
        {t.kind === "number" && <p className="m text-[13px] text-muted">{limit(t)}</p>}
        {missed && (
          <p className="text-[14.5px] font-[620] text-renew">
            {rounded(t.value ?? 0, 2)} {unitWord(t.unit)} misses the limit.
            {t.backTo && ` Most likely behind it: ${t.backTo}.`}
          </p>
        )}
      </div>
      {t.clockSeconds > 0 && !t.passed ? <Clock seconds={t.clockSeconds} /> : <span />}
      {t.passed ? (
        <p className="pr-3 text-right text-[15px]">
          <b className="m text-[18px]">
            {t.value === null ? "confirmed" : `${rounded(t.value, 2)} ${unitWord(t.unit)}`}
          </b>
          <span className="pl-2 text-muted">{t.by}</span>
        </p>
      ) : t.kind === "number" ? (
        <form
          className="flex pr-3"
          onSubmit={(e) => {
            e.preventDefault();
            void record();
          }}
        >
          <div>
            <input
              className="m field w-[130px] text-right text-[20px] font-semibold"
              inputMode="decimal"
              autoComplete="off"
              ref={field}
              aria-label={`${t.ask}, ${unitWord(t.unit)}`}
              aria-invalid={fault !== undefined}
              value={typed}
              onChange={(e) => setTyped(e.target.value)}
            />
            {fault && <Sentence>{fault}</Sentence>}
          </div>
          <button type="submit" className="press call -ml-px h-[50px] min-w-16" disabled={!typed.trim() || link.busy}>
            {unitWord(t.unit)}
          </button>
        </form>
      ) : (
        <div className="pr-3">
          <button
            type="button"
            className="press call"
            disabled={link.busy}
            onClick={() => void record()}
            aria-label={`Confirm: ${t.ask}`}
          >
            Confirm
          </button>
        </div>
      )}
    </li>
  );
}

function limit(t: ProofView): string {
  const parts = [
    t.min !== null && `at least ${rounded(t.min, 2)}`,
    t.max !== null && `at most ${rounded(t.max, 2)}`,
  ].filter(Boolean);
  return `${parts.join(", ")} ${unitWord(t.unit)}`;
}

/** A clock to hold the test against: started by hand, counts up, says when the time is reached. */
function Clock({ seconds }: { seconds: number }) {
  const [since, setSince] = useState<number | null>(null);
  const [gone, setGone] = useState(0);
  useEffect(() => {
    if (since === null) return;
    const timer = setInterval(() => setGone((Date.now() - since) / 1000), 200);
    return () => clearInterval(timer);
  }, [since]);
  const share = Math.min(1, gone / seconds);
  const a = share * 2 * Math.PI - Math.PI / 2;
  return (
    <button
      type="button"
      className="flex h-12 items-center gap-2 px-2"
      onClick={() => {
        setGone(0);
        setSince(since === null ? Date.now() : null);
      }}
    >
      <svg width="34" height="34" viewBox="0 0 34 34" aria-hidden>
        <circle cx="17" cy="17" r="14" fill="var(--card)" stroke="var(--accent)" strokeWidth="2" />
        {share > 0 && share < 1 && (
          <path
            d={`M17,17V3A14,14 0 ${share > 0.5 ? 1 : 0} 1 ${17 + 14 * Math.cos(a)},${17 + 14 * Math.sin(a)}Z`}
            fill="var(--accent)"
          />
        )}
        {share >= 1 && <circle cx="17" cy="17" r="14" fill="var(--sound)" />}
      </svg>
      <span className="m text-[17px] font-semibold">
        {since === null ? `start ${seconds} s` : share >= 1 ? `${Math.floor(gone)} s, held` : `${Math.floor(gone)} s`}
      </span>
    </button>
  );
}
