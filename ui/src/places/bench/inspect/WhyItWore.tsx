import { useState } from "react";
import type { CauseView, FindingView } from "../../../api/types";
import { BeforeAfter, Wedge } from "../../../drawing/BeforeAfter";
import { percent } from "../../../text/numbers";
import { Sentence } from "../../../parts/States";
import { useDraft } from "../../../parts/useDraft";
import type { StageProps } from "../frame/stage";
import { faultAt } from "../../../parts/faults";
import { TextInput } from "../../../parts/TextInput";

/** Causes of the wear in hand, and the answer that is kept with the part. */
export function WhyItWore({ finding, view, link }: { finding: FindingView } & StageProps) {
  const [chosen, setChosen] = useState("");
  if (finding.cause) return <Said finding={finding} />;
  if (finding.causes.length === 0) {
    return (
      <p className="pt-2 text-body text-soft">
        Press the wear it shows, or read a gauge: what may be behind it stands here then.
      </p>
    );
  }
  return (
    <>
      <ul>
        {finding.causes.map((c, i) => (
          <li key={c.id} className={`border-b border-line2 ${chosen === c.id ? "bg-wash" : ""}`}>
            <button
              type="button"
              className="block min-h-12 w-full py-1.5 text-left"
              aria-expanded={chosen === c.id}
              onClick={() => setChosen(chosen === c.id ? "" : c.id)}
            >
              <span className="flex items-center gap-2">
                <b className="min-w-0 flex-1 text-body font-[640]">{c.title}</b>
                <BeforeAfter before={c.before} after={c.chance} first={i === 0} width={120} />
                <span className="m w-11 text-right text-body font-semibold">
                  {percent(c.chance)}
                  <span className="text-small text-muted">%</span>
                </span>
              </span>
              <Because cause={c} all={i === 0 || chosen === c.id} />
            </button>
            {chosen === c.id && <Counter cause={c} finding={finding} view={view} link={link} />}
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="min-h-11 py-2 text-body text-soft underline"
        onClick={() => void link.act({ kind: "CAUSE_FOUND", part: finding.part })}
      >
        Not known
      </button>
    </>
  );
}

function Because({ cause: c, all }: { cause: CauseView; all: boolean }) {
  const raised = all ? c.raised.slice(0, 3) : c.raised.slice(0, 1);
  const lowered = all ? c.lowered.slice(0, 2) : c.lowered.slice(0, 1);
  return (
    <span className="flex flex-wrap gap-x-3 text-small leading-[16px] text-soft">
      {raised.map((r) => (
        <span key={r}>
          <Wedge raised />
          {r}
        </span>
      ))}
      {lowered.map((r) => (
        <span key={r}>
          <Wedge raised={false} />
          {r}
        </span>
      ))}
    </span>
  );
}

/** What is done about it: pressed one by one, then kept. */
function Counter({ cause: c, finding, view, link }: { cause: CauseView; finding: FindingView } & StageProps) {
  const [taken, setTaken] = useState<string[]>(c.counters.slice(0, 1).map((k) => k.id));
  const [text, setText, clear] = useDraft(`${view.id}.cause.${finding.part}`);
  const fault = faultAt(link.faults, "cause", "counters", "note");
  const keep = async () => {
    const done = await link.act({
      kind: "CAUSE_FOUND",
      part: finding.part,
      cause: c.id,
      counters: taken,
      note: text,
    });
    if (done) clear();
  };
  return (
    <div className="pb-2.5">
      <p className="pb-1.5 text-small text-soft">
        {c.say}.{c.outside && " It may sit outside the pump: look there too."} So:
      </p>
      <div className="flex flex-wrap gap-2">
        {c.counters.map((k) => (
          <button
            key={k.id}
            type="button"
            title={k.say}
            aria-pressed={taken.includes(k.id)}
            className={`press px-3 text-body ${taken.includes(k.id) ? "call" : ""}`}
            onClick={() => setTaken(taken.includes(k.id) ? taken.filter((t) => t !== k.id) : [...taken, k.id])}
          >
            {k.title}
          </button>
        ))}
      </div>
      <p className="py-1 text-small text-muted">
        {c.counters
          .filter((k) => taken.includes(k.id))
          .map((k) => k.say)
          .join(". ")}
      </p>
      <div className="flex gap-2">
        <TextInput
          of="CauseFound.note"
          className="field min-w-0 flex-1 text-body"
          aria-label="Where it came from, in your words"
          placeholder="Where it came from"
          typed={text}
          onType={setText}
        />
        <button type="button" className="press call" disabled={link.busy} onClick={() => void keep()}>
          It was this
        </button>
      </div>
      {fault && <Sentence>{fault}</Sentence>}
    </div>
  );
}

function Said({ finding }: { finding: FindingView }) {
  const said = finding.cause;
  if (!said) return null;
  return (
    <div className="pt-2">
      <p className="text-lead leading-6 font-[680]">{said.title}</p>
      <p className="text-body text-soft">
        {said.counters.length > 0 ? `${said.counters.join(", ")}. ` : ""}
        {said.note} <span className="text-muted">{said.by}</span>
      </p>
      {finding.again && (
        <p role="alert" className="mt-2 border-l-[3px] border-renew pl-3 text-body leading-5 font-[640] text-renew">
          {finding.again}
        </p>
      )}
    </div>
  );
}
