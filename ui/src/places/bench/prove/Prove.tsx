import { ReadingField } from "../../../parts/ReadingField";
import { useState } from "react";
import type { ProofView } from "../../../api/types";
import { Rails } from "../../../drawing/Rails";
import { TestPlot } from "../../../drawing/TestPlot";
import { countdown, Dial, useLeft } from "../../../parts/Clock";
import { GaugeReader } from "../../../parts/GaugeField";
import { Mark } from "../../../parts/Mark";
import { SourceMark } from "../../../parts/SourceMark";
import { limitWords } from "../../../text/limits";

import { Sentence } from "../../../parts/States";
import { useFocus } from "../../../parts/useFocus";
import { useDraft } from "../../../parts/useDraft";
import type { InStage, StageProps } from "../frame/stage";
import { faultAt } from "../../../parts/faults";
import { Foot } from "../frame/Foot";
import { Waits } from "../frame/Waits";
import { Suspects } from "./Suspects";
import { TextInput } from "../../../parts/TextInput";
import { quantity, shownNumber, typedInRecords, typedUnit, unitWord } from "../../../text/shop";

/** So many tests leave room for the pump beneath them. */
const ROOM_FOR_DRAWING = 6;

/** The sheet's tests one after the other, each against its limit, its clock and the test before. */
export default function Prove({ view, now, rails, link }: InStage<"PROVE">) {
  const [chosen, setChosen] = useState("");
  const open = now.proof.filter((t) => !t.passed);
  const current = now.proof.find((t) => t.id === chosen && !t.passed) ?? open[0];
  return (
    <div className="flex flex-1 flex-col">
      <section className="flex-1 px-5 pt-2" aria-label="Proof">
        <div className="flex items-baseline justify-between">
          <h2 className="text-head leading-9 font-[680]">Prove it</h2>
          <p className="text-body text-muted">Stand clear while it runs. Isolate again before hands go back in.</p>
        </div>
        <Waits waits={view.waits.filter((w) => w.open && w.kind !== "test")} />
        <ol className="mt-1.5 border-t-[1.5px] border-ink">
          {now.proof.map((t, i) =>
            t.id === current?.id ? (
              <InHand key={t.id} test={t} number={i + 1} view={view} link={link} passed={() => setChosen("")} />
            ) : (
              <Line key={t.id} test={t} number={i + 1} choose={() => setChosen(t.id)} />
            ),
          )}
        </ol>
        {now.proof.length <= ROOM_FOR_DRAWING && (
          <div className="pt-4">
            <Rails rails={rails.filter((r) => r.inPlan)} bare />
          </div>
        )}
      </section>
      <Foot
        link={link}
        view={view}
        main="Proved, hand it back"
        missing={open.length > 0 ? `${open.length} of ${now.proof.length} still to prove` : ""}
        disabled={open.length > 0}
        onMain={() => void link.act({ kind: "STAGE_DONE", stage: "PROVE" })}
      />
    </div>
  );
}

/** A test that is done or still to come, in one line. */
function Line({ test: t, number, choose }: { test: ProofView; number: number; choose: () => void }) {
  const missed = t.missed;
  return (
    <li className="grid min-h-12 grid-cols-[34px_26px_minmax(0,1fr)_auto] items-center gap-3 border-b border-line2 py-1">
      <span className="m pl-2 text-body text-muted">{number}</span>
      <Mark state={t.passed ? "sound" : missed ? "renew" : "unknown"} size={20} />
      {t.passed ? (
        <p className="min-w-0 text-lead leading-5 font-[600]">
          {t.ask} {t.says && <span className="text-small font-[500] text-muted">{t.says}</span>}
        </p>
      ) : (
        <button
          type="button"
          className="min-h-11 min-w-0 text-left text-lead leading-5 font-[600] text-soft"
          onClick={choose}
        >
          {t.ask}
        </button>
      )}
      <p className="pr-3 text-right text-body">
        {t.answered && (
          <b className={`m text-lead ${missed ? "text-renew" : ""}`}>
            {t.value === null ? "confirmed" : quantity(t.value, t.unit, 3)}
          </b>
        )}
        {t.missed && t.value === null && <b className="text-lead text-renew">does not hold</b>}
        {!t.answered && !t.missed && t.clockSeconds > 0 && (
          <span className="m text-muted">{countdown(t.clockSeconds)}</span>
        )}
        <span className="pl-2 text-muted">{t.by}</span>
      </p>
    </li>
  );
}

interface InHandProps extends StageProps {
  test: ProofView;
  number: number;
  passed: () => void;
}

/** The test in hand: what to do, its clock, its reading, and what the numbers come to. */
function InHand({ test: t, number, view, link, passed }: InHandProps) {
  const field = useFocus<HTMLInputElement>(true);
  const [typed, setTyped, clear] = useDraft(`${view.id}.proof.${t.id}`);
  const [gauge, setGauge] = useState("");
  const [why, setWhy] = useState("");
  const [saying, setSaying] = useState(false);
  const [seen, setSeen] = useState("");
  const fault = faultAt(link.faults, "value", "gauge", t.id);
  const held = faultAt(link.faults, "clock", "wait");
  const record = async () => {
    const done = await link.act({
      kind: "PROVED",
      test: t.id,
      reading: { typed, gauge, unit: typedUnit(t.unit) },
      timing: why,
    });
    if (done) {
      clear();
      setGauge("");
      setWhy("");
      passed();
    }
  };
  return (
    <li className="border-b border-ink bg-wash px-2 py-2.5">
      <div className="flex flex-wrap items-start gap-x-5 gap-y-2">
        <span className="m pt-1 text-body text-muted">{number}</span>
        <div className="min-w-[260px] flex-1">
          <p className="ask text-title leading-[25px] font-[660]">{t.ask}</p>
          {t.kind === "number" && (
            <p className="flex flex-wrap items-center gap-x-3">
              <span className="m text-body text-muted">{limit(t)}</span>
              <SourceMark source={t.source} />
            </p>
          )}
          {t.says && <p className="text-body leading-[19px]">{t.says}</p>}
          {t.missed && (
            <p className="text-body font-[640] text-renew">
              {t.value === null
                ? `It does not hold${t.seen ? `: ${t.seen}` : ""}.`
                : `${quantity(t.value, t.unit, 3)} misses the limit.`}
            </p>
          )}
        </div>
        {t.clockSeconds > 0 && <TestClock test={t} link={link} view={view} />}
        {t.kind === "number" && <TestPlot test={t} typed={typedInRecords(typed, t.unit)} />}
      </div>
      <div className="flex flex-wrap items-start gap-2.5 pt-2 pl-8">
        {t.kind === "number" ? (
          <>
            <ReadingField
              className="w-[150px] text-title font-semibold"
              ref={field}
              label={`${t.ask}, ${unitWord(t.unit)}`}
              typed={typed}
              onType={(text) => {
                setTyped(text);
                setGauge("");
                link.clear();
              }}
              unit={t.unit}
              keep={() => void record()}
              busy={link.busy}
              invalid={fault !== undefined}
            />
            <GaugeReader
              rebuild={view.id}
              subject="proof"
              measure={t.id}
              unit={t.unit}
              onRead={(text, from) => {
                setTyped(text);
                setGauge(from);
              }}
            />
          </>
        ) : (
          <>
            <button
              type="button"
              className="press call min-w-[150px]"
              disabled={link.busy}
              onClick={() => void record()}
              aria-label={`Confirm: ${t.ask}`}
            >
              Confirm
            </button>
            {!saying && (
              <button type="button" className="press" onClick={() => setSaying(true)}>
                Does not hold
              </button>
            )}
          </>
        )}
        {saying && (
          <form
            className="flex min-w-[280px] flex-1 items-center gap-2 text-body"
            onSubmit={(e) => {
              e.preventDefault();
              void link.act({ kind: "NOT_MET", test: t.id, what: seen }).then((done) => {
                if (done) setSaying(false);
              });
            }}
          >
            <label className="flex min-w-0 flex-1 items-center gap-2">
              <span className="whitespace-nowrap text-soft">What was seen</span>
              <TextInput of="NotMet.what" className="field min-w-0 flex-1" typed={seen} autoFocus onType={setSeen} />
            </label>
            <button type="submit" className="press border-renew text-renew" disabled={link.busy}>
              Record
            </button>
          </form>
        )}
        {held && (
          <label className="flex min-w-[280px] flex-1 items-center gap-2 text-body">
            <span className="whitespace-nowrap text-soft">
              {t.afterWaits ? "Why it may start" : "How it was timed"}
            </span>
            <TextInput of="Proved.timing" className="field min-w-0 flex-1" typed={why} onType={setWhy} />
          </label>
        )}
      </div>
      {t.calibration && t.runs.length > 0 && (
        <p className="m pt-1.5 pl-8 text-body text-soft">
          {t.runs.map((r) => shownNumber(r, t.unit, 2)).join(", ")} {unitWord(t.unit)}
        </p>
      )}
      {t.missed && <Suspects key={t.seen + String(t.value)} test={t} view={view} link={link} />}
      {fault && <Sentence>{fault}</Sentence>}
      {held && <Sentence>{held}</Sentence>}
    </li>
  );
}

function limit(t: ProofView): string {
  return `${limitWords(t, 3, t.unit).join(", ")} ${unitWord(t.unit)}`;
}

/** The clock of a test: started here, kept on the server, so that it runs on whatever happens. */
function TestClock({ test: t, link }: { test: ProofView } & StageProps) {
  const left = useLeft(t.clockUntil);
  const runs = t.clockUntil !== null;
  return (
    <button
      type="button"
      className="press flex h-[56px] min-w-[150px] items-center gap-2.5 px-3"
      disabled={link.busy}
      aria-label={runs ? `Clock, ${left > 0 ? `${countdown(left)} to go` : "held"}; start it again` : "Start the clock"}
      onClick={() => void link.act({ kind: "CLOCK_STARTED", test: t.id })}
    >
      <Dial share={runs ? 1 - left / t.clockSeconds : 0} />
      <span className="m text-lead font-semibold">
        {!runs ? `start ${countdown(t.clockSeconds)}` : left > 0 ? countdown(left) : "held"}
      </span>
    </button>
  );
}
