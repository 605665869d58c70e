import { counted } from "../../text/counted";
import { NumberInput } from "../../parts/ReadingField";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { LifeView, PolicyView } from "../../api/types";
import { PolicyStrip } from "../../drawing/policyStrip";
import { rounded } from "../../text/numbers";
import { Sentence } from "../../parts/States";
import { typedNumber } from "../../text/typedNumber";
import { useMay } from "../../parts/useMay";
import { currency, money, unitWord } from "../../text/shop";

interface Props {
  life: LifeView;
  set: (change: Record<string, string>) => void;
}

const STRIP = 342;

/** The three ways to keep the part, what they cost, and the one that is set. */
export function Policies({ life, set }: Props) {
  const t = life.terms;
  const chosen = life.policies.find((p) => p.chosen);
  const [picked, setPicked] = useState<string | null>(null);
  const way = life.policies.find((p) => p.way === picked && p.bar === "none") ?? chosen;
  return (
    <aside
      aria-label="Three policies"
      className="border-l-[1.5px] border-ink bg-card px-5 pt-4 pb-6 max-[1080px]:border-t-[1.5px] max-[1080px]:border-l-0"
    >
      <Costs life={life} set={set} />
      <div className="flex items-baseline justify-between border-b-[1.5px] border-ink pt-4 pb-1.5">
        <h2 className="head text-lead">Three policies</h2>
        <span className="text-small text-muted">
          {counted(t.positions, "position")}, {rounded(t.hoursPerYear)} h a year
        </span>
      </div>
      {life.policies.map((p) => (
        <Policy key={p.way} policy={p} life={life} picked={way?.way === p.way} onPick={() => setPicked(p.way)} />
      ))}
      {life.policies.length === 0 && <p className="py-3 text-body text-soft">{t.say}</p>}
      {life.changes.length > 0 && (
        <section aria-label="What would change this" className="pt-4">
          <h2 className="head border-b-[1.5px] border-ink pb-1">What would change this</h2>
          <dl>
            {life.changes.map((c) => (
              <div key={c.when} className="flex justify-between gap-3 border-b border-line2 py-1.5 text-body">
                <dt className="font-[640]">{c.when}</dt>
                <dd className="text-right text-soft">{c.then}</dd>
              </div>
            ))}
          </dl>
        </section>
      )}
      {t.harms && (
        <p className="pt-3 text-body leading-[18px] text-soft">
          A failure here harms people or the place, so the tool never proposes to run it until it fails. The site's own
          procedure and the maker's manual come first.
        </p>
      )}
      {way && <SetIt life={life} way={way} key={way.way} />}
      <p className="flex flex-wrap justify-between gap-x-4 pt-2 text-body">
        <Link className="under" to="/life/score">
          How often it was right
        </Link>
        <Link className="under" to="/life/history">
          Past runs in and out
        </Link>
        <a className="under" href="/api/v1/history.csv" download="runs.csv">
          Save runs as a table
        </a>
      </p>
    </aside>
  );
}

function Policy({
  policy: p,
  life,
  picked,
  onPick,
}: {
  policy: PolicyView;
  life: LifeView;
  picked: boolean;
  onPick: () => void;
}) {
  const barred = p.bar !== "none";
  const looks = p.way === "look" && p.every ? life.terms.hoursPerYear / p.every : 0;
  return (
    <button
      type="button"
      disabled={barred}
      aria-pressed={picked}
      onClick={onPick}
      className={`relative block w-full border-b border-line py-2.5 text-left ${
        picked ? "before:absolute before:inset-y-0 before:-left-5 before:w-[5px] before:bg-accent" : ""
      }`}
    >
      <span className="flex items-start justify-between gap-2">
        <span className="min-w-0">
          <b className={`text-lead font-[680] ${p.chosen ? "text-accent" : barred ? "text-muted" : ""}`}>{p.title}</b>
          <span className={`block text-small ${barred && p.bar !== "dear" ? "font-[640] text-renew" : "text-muted"}`}>
            {p.say}
          </span>
        </span>
        <span className={`whitespace-nowrap ${p.bar === "dear" ? "invisible" : ""}`}>
          <span className="text-body text-muted">{currency()}</span>
          <b className="m text-title font-semibold tracking-[-.03em]">{rounded(p.per1000h)}</b>
          <span className="m text-small text-muted"> /1000 h</span>
        </span>
      </span>
      {p.bar !== "dear" && (
        <>
          <PolicyStrip
            year={{ way: p.way, failures: p.failuresPerYear, renewals: p.renewalsPerYear, looks }}
            width={STRIP}
          />
          <span className="flex justify-between text-body font-[640]">
            <span>{money(p.perYear)} a year</span>
            <span>{rounded(p.failuresPerYear, p.failuresPerYear < 10 ? 1 : 0)} failures a year</span>
          </span>
        </>
      )}
    </button>
  );
}

const FIELDS = [
  ["planned", "A renewal", "¤"],
  ["failed", "A failure, all in", "¤"],
  ["look", "A look", "¤"],
] as const;

/** What it costs, each to be typed over. */
function Costs({ life, set }: Props) {
  const t = life.terms;
  return (
    <section aria-label="What it costs">
      <div className="grid grid-cols-4 gap-2">
        {FIELDS.map(([name, label, unit]) => (
          <Cost
            key={`${name} ${t[name]}`}
            label={label}
            unit={unit}
            value={t[name] === null ? "" : String(Math.round(t[name] ?? 0))}
            onTyped={(v) => set({ [name]: v })}
          />
        ))}
        <Cost
          key={`w ${t.warning}`}
          label="Life left at first sign"
          unit="%"
          value={String(Math.round(t.warning * 100))}
          onTyped={(v) => set({ warning: v ? String(Number(v) / 100) : "" })}
        />
      </div>
      <p className="pt-1.5 text-small leading-[16px] text-muted">{t.say}</p>
    </section>
  );
}

function Cost(p: { label: string; unit: string; value: string; onTyped: (value: string) => void }) {
  const [text, setText] = useState(p.value);
  const number = typedNumber(text);
  const wrong = text.trim() !== "" && !((number ?? 0) > 0);
  const send = () => {
    if (!wrong && text !== p.value) p.onTyped(text.trim() === "" ? "" : String(number));
  };
  return (
    <label className="block text-small leading-[15px] text-muted">
      <span className="flex h-[30px] items-end pb-0.5">
        {p.label}, {unitWord(p.unit)}
      </span>
      <NumberInput
        className="w-full px-2 text-lead text-ink"
        typed={text}
        invalid={wrong}
        onType={setText}
        onLeave={send}
        onEnter={send}
      />
    </label>
  );
}

function SetIt({ life, way }: { life: LifeView; way: PolicyView }) {
  const lead = useMay("lead");
  const cache = useQueryClient();
  const pumps = life.running.map((r) => r.pump);
  const every = way.every === null ? null : Math.round(way.every / 10) * 10;
  const keep = useMutation({
    mutationFn: () => api.keep(pumps, way.way, every, `${way.title}, ${way.say}: ${money(way.per1000h)} per 1000 h`),
    onSuccess: () => cache.invalidateQueries(),
  });
  if (pumps.length === 0) return null;
  const sure = life.estimate?.tells ?? false;
  const these = pumps.length === 1 ? pumps[0] : `these ${pumps.length}`;
  const label =
    way.way === "fixed"
      ? `Set ${rounded(every ?? 0)} h for ${these}`
      : way.way === "look"
        ? `Look every ${rounded(every ?? 0)} h at ${these}`
        : `Run ${these} until it fails`;
  return (
    <div className="pt-4">
      <button
        type="button"
        className={`press h-14 w-full text-lead ${sure ? "go" : "call"}`}
        disabled={!lead.may || keep.isPending}
        title={lead.why}
        onClick={() => keep.mutate()}
      >
        {label}
      </button>
      {!sure && (
        <p className="pt-2 text-small leading-[17px] text-soft">
          This rests on the library's word, not on what ran here.
        </p>
      )}
      {keep.error && <Sentence>{keep.error.message}</Sentence>}
      {keep.isSuccess && (
        <p role="status" className="pt-2 text-body">
          Set for {pumps.join(", ")}. The floor counts to it.
        </p>
      )}
    </div>
  );
}
