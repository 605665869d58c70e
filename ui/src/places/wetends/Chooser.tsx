import { useState, type ReactNode } from "react";
import { api } from "../../api/client";
import type { ChoiceQuestion, ChooserView, DutyForm } from "../../api/types";
import { thickness } from "../../drawing/known";
import { Meetings } from "../../parts/Meetings";
import { faultsOf } from "../../parts/faults";
import { Sentence } from "../../parts/States";
import { Compare } from "./Compare";
import { DutyColumn } from "./DutyColumn";
import { DutyEditor } from "./DutyEditor";
import type { Beside } from "../../kits/Kits";
import { TemperatureBars } from "./TemperatureBars";

interface Props {
  chooser: ChooserView;
  question: ChoiceQuestion;
  /** The duty as it is tried now, ahead of the answer. */
  duty: DutyForm;
  onDuty: (duty: DutyForm) => void;
  error: Error | null;
  title: ReactNode;
  trial: ReactNode;
  kits: (beside: Beside) => ReactNode;
}

const MOST_BESIDE = 2;

/** The duty, the materials against it, what can go in: the three columns of every choice. */
export function Chooser({ chooser, question, duty, onDuty, error, title, trial, kits }: Props) {
  const [editing, setEditing] = useState(false);
  const [chosen, setChosen] = useState<string[]>([]);
  const beside: Beside = {
    chosen,
    toggle: (id) =>
      setChosen(chosen.includes(id) ? chosen.filter((c) => c !== id) : [...chosen, id].slice(-MOST_BESIDE)),
  };
  const two = chooser.kits.filter((k) => chosen.includes(k.id));
  const faults = faultsOf(error);
  return (
    <main>
      <header className="flex min-h-16 flex-wrap items-center gap-x-6 border-b border-ink px-5 py-1">
        {title}
        <Key />
        <Print question={{ ...question, duty }} name={chooser.tag || "typed duty"} />
      </header>
      {chooser.offer && !trial && (
        <p className="border-b border-ink bg-wash px-5 py-2.5 text-lead leading-[22px] font-[640]">{chooser.offer}</p>
      )}
      {trial && (
        <div className="flex flex-wrap items-center gap-2.5 border-b border-ink bg-wash px-5 py-2">{trial}</div>
      )}
      {error && faults.length === 0 && (
        <div className="border-b border-ink px-5 py-1">
          <Sentence>{error.message}</Sentence>
        </div>
      )}
      <Meetings meetings={chooser.meetings} />
      <div className="grid grid-cols-[236px_minmax(0,1fr)_404px] max-[1180px]:grid-cols-[minmax(0,1fr)_380px] max-[860px]:grid-cols-1">
        <DutyColumn
          chooser={chooser}
          duty={duty}
          faults={faults}
          onDuty={onDuty}
          editing={editing}
          onEdit={() => setEditing(!editing)}
        />
        <section aria-label="Materials against fluids" className="min-w-0">
          {editing ? (
            <DutyEditor duty={duty} faults={faults} onDuty={onDuty} onDone={() => setEditing(false)} />
          ) : two.length === MOST_BESIDE ? (
            <Compare chooser={chooser} kits={two} onDone={() => setChosen([])} />
          ) : (
            <>
              <Ways chooser={chooser} duty={duty} onDuty={onDuty} />
              <TemperatureBars chooser={chooser} duty={duty} onDuty={onDuty} />
              <Turns chooser={chooser} />
            </>
          )}
          <p className="border-t border-line px-5 py-3 text-small leading-[18px] text-muted">{chooser.note}</p>
        </section>
        {kits(beside)}
      </div>
    </main>
  );
}

/** Nothing fits: what would let something in, each tried with one press. */
function Ways({ chooser, duty, onDuty }: Pick<Props, "chooser" | "duty" | "onDuty">) {
  if (chooser.ways.length === 0) return null;
  const tried = (way: ChooserView["ways"][number]): DutyForm => {
    if (way.kind === "kept-out") {
      const rest = duty.exposures.filter((_, i) => i !== way.exposure);
      const left = rest.reduce((sum, e) => sum + (e.share ?? 0), 0);
      return {
        ...duty,
        exposures: rest.map((e) => ({ ...e, share: left > 0 ? (e.share ?? 0) / left : 1 / rest.length })),
      };
    }
    return {
      ...duty,
      exposures: duty.exposures.map((e, i) =>
        i !== way.exposure
          ? e
          : way.kind === "cooler"
            ? { ...e, temperatureC: way.to, usualC: Math.min(e.usualC ?? way.to, way.to) }
            : { ...e, concentrationPct: way.to },
      ),
    };
  };
  return (
    <section aria-label="What to change" className="border-b-[1.5px] border-ink bg-card px-5 pt-3 pb-3">
      <h2 className="text-title leading-7 font-[680]">Nothing here stands all of this duty</h2>
      <ul>
        {chooser.ways.map((w) => (
          <li key={w.sentence} className="flex items-center gap-4 border-b border-line2 py-1.5">
            <span className="flex-1 text-lead leading-[21px]">{w.sentence}</span>
            <button type="button" className="press" onClick={() => onDuty(tried(w))}>
              Try it
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What would change the choice, in sentences. */
function Turns({ chooser }: { chooser: ChooserView }) {
  if (chooser.turns.length === 0) return null;
  return (
    <section aria-label="What would change the choice" className="border-t-[1.5px] border-ink px-5 pt-2 pb-3">
      <h2 className="head pb-1">What would change it</h2>
      <ul className="grid grid-cols-2 gap-x-6 max-[1180px]:grid-cols-1">
        {chooser.turns.map((t) => (
          <li key={t.sentence} className="border-b border-line2 py-1.5 text-body leading-[19px]">
            {t.sentence}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The choice with its reasons as a sheet of paper. */
function Print({ question, name }: { question: ChoiceQuestion; name: string }) {
  const [failed, setFailed] = useState("");
  const print = async () => {
    try {
      const url = URL.createObjectURL(await api.choiceSheet(question));
      const link = document.createElement("a");
      link.href = url;
      link.download = `Wet end ${name}.pdf`;
      link.click();
      URL.revokeObjectURL(url);
      setFailed("");
    } catch (e) {
      setFailed(e instanceof Error ? e.message : "The sheet could not be made.");
    }
  };
  return (
    <span className="flex items-center gap-2">
      {failed && <Sentence>{failed}</Sentence>}
      <button type="button" className="press" onClick={() => void print()}>
        Print the choice
      </button>
    </span>
  );
}

function Key() {
  return (
    <ul
      className="flex flex-wrap items-center gap-4 text-small text-soft max-[1100px]:hidden"
      aria-label="What the bars mean"
    >
      <li className="flex items-center gap-2">
        <svg width="32" height="14" aria-hidden>
          <rect x=".5" y="1" width="31" height="12" fill="var(--soft)" />
        </svg>
        full resistance
      </li>
      <li className="flex items-center gap-2">
        <svg width="32" height="14" aria-hidden>
          <rect x=".5" y="1" width="31" height="12" fill="url(#limited)" stroke="var(--soft)" />
        </svg>
        limited life
      </li>
      <li className="flex items-center gap-2">
        <svg width="32" height="14" aria-hidden fill="var(--soft)">
          {(["known", "usual", "thin"] as const).map((k, i) => (
            <rect key={k} x={i * 11} y={7 - thickness(k, 12) / 2} width="9" height={thickness(k, 12)} />
          ))}
        </svg>
        well known to thin
      </li>
      <li className="flex items-center gap-2">
        <svg width="10" height="20" aria-hidden>
          <path d="M2,0v20m0,-16 5,-4m-5,10 5,-4m-5,10 5,-4" fill="none" stroke="var(--ink)" strokeWidth="1.4" />
        </svg>
        ceiling of the fluid
      </li>
      <li className="flex items-center gap-2">
        <svg width="12" height="22" aria-hidden>
          <path d="M6,0V22" stroke="var(--ink)" strokeWidth="2" />
          <path d="M1,0H11L6,6Z" fill="var(--ink)" />
        </svg>
        the duty, drag it
      </li>
    </ul>
  );
}
