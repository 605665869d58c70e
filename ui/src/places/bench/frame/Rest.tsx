import { useState } from "react";
import type { BenchView, Rail } from "../../../api/types";
import type { BenchLink } from "../../../api/useBench";
import { Rails } from "../../../drawing/Rails";
import { Sentence } from "../../../parts/States";
import { useDraft } from "../../../parts/useDraft";
import { sentence } from "../../../text/numbers";
import { faultAt } from "../../../parts/faults";
import { TextInput } from "../../../parts/TextInput";

const WAITS = ["kit", "part", "machining", "permit"];

/** Lays a job aside: what it waits for, and a note for whoever takes it up. */
export function RestForm({ link, id, close }: { link: BenchLink; id: number; close: () => void }) {
  const [waits, setWaits] = useState("kit");
  // No wait: somebody else goes on, once they have read the note.
  const [over, setOver] = useState(false);
  const [text, setText, clear] = useDraft(`${id}.rest`);
  const fault = faultAt(link.faults, "waitsFor", "note");
  const rest = async () => {
    const done = await link.act(
      over ? { kind: "HANDED_OVER", note: text } : { kind: "PAUSED", waitsFor: waits, note: text },
    );
    if (done) {
      clear();
      close();
    }
  };
  return (
    <form
      className="border-t border-ink pt-2 pb-2.5"
      onSubmit={(e) => {
        e.preventDefault();
        void rest();
      }}
    >
      <div className="flex flex-wrap items-center gap-2 pb-2" role="group" aria-label="What the job waits for">
        <span className="pr-1 text-body font-[640]">It waits for</span>
        {WAITS.map((w) => (
          <button
            key={w}
            type="button"
            aria-pressed={!over && waits === w}
            className={`press ${!over && waits === w ? "call" : ""}`}
            onClick={() => {
              setWaits(w);
              setOver(false);
            }}
          >
            {w}
          </button>
        ))}
        <span className="px-1 text-body font-[640]">or the next shift goes on:</span>
        <button
          type="button"
          aria-pressed={over}
          className={`press ${over ? "call" : ""}`}
          onClick={() => setOver(true)}
        >
          hand it over
        </button>
      </div>
      <div className="flex gap-2.5">
        <TextInput
          of="Paused.note"
          className="field flex-1"
          aria-label="Note for whoever takes it up"
          placeholder={over ? "How it stands, and what comes next" : "Note for whoever takes it up"}
          typed={text}
          onType={setText}
        />
        <button type="submit" className="press call" disabled={link.busy || (over && !text.trim())}>
          {over ? "Hand the job over" : "Pause the job"}
        </button>
      </div>
      {fault && <Sentence>{fault}</Sentence>}
    </form>
  );
}

/** A job that rests: how it stands, what it waits for, and the one thing to press. */
export function Resting({ view, link, rails }: { view: BenchView; link: BenchLink; rails: Rail[] }) {
  if (!view.pause) return null;
  return (
    <>
      <Rails rails={rails.filter((r) => r.inPlan)} />
      <section className="flex flex-1 flex-col items-start gap-4 px-5 py-6" aria-label="This job is paused">
        <div className="relative w-[min(620px,100%)] border-[1.5px] border-ink bg-card py-4 pr-6 pl-16">
          <svg width="40" height="64" viewBox="0 0 40 64" className="absolute -top-6 left-3" aria-hidden>
            <circle cx="20" cy="46" r="6.5" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.6" />
            <path d="M20,46C18,30 30,24 24,1" fill="none" stroke="var(--ink)" strokeWidth="1.3" />
          </svg>
          <p className="text-body text-muted">
            Paused by {view.pause.who}, {view.pause.at}
          </p>
          <h2 className="text-head leading-9 font-[680] text-balance">{sentence(view.state)}</h2>
          {view.pause.note && <p className="pt-2 text-lead">{view.pause.note}</p>}
        </div>
        <button
          type="button"
          className="press go h-[60px] min-w-[280px]"
          disabled={link.busy}
          onClick={() => void link.act({ kind: "RESUMED" })}
        >
          <span className="text-title">Carry on with it</span>
        </button>
        <p className="text-body text-soft">It opens on any device here, at the step where it was left.</p>
      </section>
    </>
  );
}
