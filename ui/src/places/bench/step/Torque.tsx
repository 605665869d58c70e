import { torque as shown } from "../../../text/shop";
import { counted } from "../../../text/counted";
import { NumberInput } from "../../../parts/ReadingField";
import { useState, type ReactNode } from "react";
import { useStanding } from "../../../api/session";
import type { StepView, TorqueView } from "../../../api/types";
import { BoltPattern } from "../../../drawing/BoltPattern";
import { DrawDown } from "../../../drawing/DrawDown";
import { useFocus } from "../../../parts/useFocus";
import { GaugeReader } from "../../../parts/GaugeField";
import { Mark } from "../../../parts/Mark";
import { SourceMark } from "../../../parts/SourceMark";

import { useSettings } from "../../../parts/settings";
import { Sentence } from "../../../parts/States";
import { useDraft } from "../../../parts/useDraft";
import { Adapter } from "./Adapter";
import type { StageProps } from "../frame/stage";
import { faultAt } from "../../../parts/faults";
import { worksNot } from "../frame/worksNot";
import { TextInput } from "../../../parts/TextInput";

type Props = { step: StepView; torque: TorqueView } & StageProps;

/** Tightening a joint: where the bolts lie, how far each has come, the reading in hand. */
export function Torque({ step, torque, link, view }: Props) {
  const [asked, setAsked] = useState<number | null>(null);
  const full = torque.pass === torque.fullPass;
  const bolt = full ? (asked ?? torque.nextFastener ?? torque.order.at(-1) ?? 1) : null;
  return (
    <div>
      <div className="flex flex-wrap items-start gap-x-4 gap-y-2">
        <BoltPattern torque={torque} current={bolt} onChoose={full ? setAsked : undefined} />
        <DrawDown torque={torque} current={bolt} />
        <div className="w-[236px] max-[1000px]:w-full">
          {torque.finished ? (
            <Finished torque={torque} />
          ) : torque.pass < torque.fullPass ? (
            <EarlyPass step={step} torque={torque} link={link} view={view} />
          ) : torque.pass === torque.lastRound ? (
            <LastRound step={step} torque={torque} link={link} view={view} />
          ) : (
            <Reading
              key={`${step.id}.${bolt}`}
              bolt={bolt ?? 1}
              step={step}
              torque={torque}
              link={link}
              view={view}
              onTaken={() => setAsked(null)}
            />
          )}
        </div>
      </div>
      <div className="flex flex-wrap items-center gap-x-5">
        <SourceMark source={torque.source} />
        <p className="text-small text-muted">
          {torque.thread}, threads {torque.threads}
          {torque.locker !== "none" && `, threadlocker ${torque.locker}`}
          {torque.across && `, ${torque.across}`}
          {torque.clampKn > 0 &&
            `, about ${torque.clampKn.toFixed(1)} kN clamp by the nut factor of ${torque.threads} threads`}
          {step.checks.length > 0 && `. ${counted(step.checks.length, "check")} confirmed`}
        </p>
        <Adapter torque={torque} />
      </div>
    </div>
  );
}

function Finished({ torque }: { torque: TorqueView }) {
  return (
    <div className="border-t-2 border-sound pt-3">
      <p className="flex items-center gap-2.5 text-title font-[680]">
        <Mark state="sound" size={22} />
        {torque.count === 1 ? "In range" : `All ${torque.count} in range or answered`}
      </p>
      {torque.retorqueHours > 0 && torque.locker === "none" && (
        <p className="pt-2 text-body text-soft">
          Retorque cold and unpressurised after {torque.retorqueHours} h. The record asks for it.
        </p>
      )}
    </div>
  );
}

/** Passes that only bring the parts together: set the wrench, go round, say so. */
function EarlyPass({ step, torque, link }: Props) {
  const { unit } = useSettings();
  const pass = torque.passes.find((p) => p.number === torque.pass);
  const set = (torque.targetNm * (pass?.percent ?? 100)) / 100;
  return (
    <div>
      <p className="flex justify-between text-lead font-[720] text-accent">
        Pass {torque.pass} of {torque.fullPass}
        <span className="m text-body font-semibold">{pass?.percent} %</span>
      </p>
      <p className="m border-2 border-ink bg-card px-3.5 text-right text-figure leading-[72px] font-semibold tracking-[-.04em]">
        {shown(set, unit)}
        <span className="pl-2 text-body font-medium tracking-normal text-muted">{unit}</span>
      </p>
      <p className="py-1.5 text-body leading-[18px]">
        {torque.pass === 1 ? "Start every bolt by hand, then set" : "Set"} the wrench to this and go round in the order
        drawn.
      </p>
      <PassDone step={step} torque={torque} link={link}>
        Pass {torque.pass} is round
      </PassDone>
    </div>
  );
}

function LastRound({ step, torque, link }: Props) {
  return (
    <div>
      <p className="flex justify-between text-lead font-[720] text-accent">
        Last round <span className="m text-body font-semibold">100 %</span>
      </p>
      <p className="py-2 text-lead leading-[21px]">
        Once more round the circle, 1 to {torque.count}, until none moves.
      </p>
      <PassDone step={step} torque={torque} link={link}>
        None moved
      </PassDone>
    </div>
  );
}

function PassDone({ step, torque, link, children }: Omit<Props, "view"> & { children: ReactNode }) {
  const button = useFocus<HTMLButtonElement>();
  return (
    <button
      type="button"
      className="press call h-[52px] w-full text-lead"
      ref={button}
      disabled={link.busy}
      onClick={() => void link.act({ kind: "PASS_DONE", step: step.id, pass: torque.pass })}
    >
      {children}
    </button>
  );
}

function Reading({ bolt, step, torque, link, view, onTaken }: Props & { bolt: number; onTaken: () => void }) {
  const { unit } = useSettings();
  const [typed, setTyped, clear] = useDraft(`${view.id}.${step.id}.bolt.${bolt}`);
  const [gauge, setGauge] = useState("");
  const fault = faultAt(link.faults, "value", "fastener", "gauge");
  const field = useFocus<HTMLInputElement>();
  const kept = torque.fasteners.find((f) => f.number === bolt);
  const open = torque.fasteners.find((f) => f.lie !== "in-range" && f.acceptedBecause === null);
  // A reading pressed while the one before is on its way is sent after it; the same one is not sent twice.
  const [taking, setTaking] = useState(false);
  const take = async (clicked: boolean) => {
    if (taking || !(clicked || typed.trim())) return;
    setTaking(true);
    const done = await link.act({
      kind: "TORQUE_READ",
      step: step.id,
      pass: torque.pass,
      fastener: bolt,
      clicked,
      ...(clicked ? {} : { reading: { typed, unit, gauge } }),
    });
    setTaking(false);
    if (done) {
      clear();
      onTaken();
    }
  };
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        void take(false);
      }}
    >
      <p className="flex items-baseline justify-between">
        <label htmlFor="reading" className="text-lead font-[720] text-accent">
          {torque.count === 1 ? "The joint" : `Bolt ${bolt}`}
          {torque.fullPass > 1 && `, pass ${torque.pass}`}
        </label>
        <span className="m text-body font-semibold tracking-[-.04em]">
          {shown(torque.minNm, unit)}–{shown(torque.maxNm, unit)}
          <span className="pl-1 text-small font-medium text-muted">{unit}</span>
        </span>
      </p>
      <NumberInput
        id="reading"
        className="h-[76px] w-full px-3.5 text-figure leading-[70px] font-semibold tracking-[-.04em]"
        ref={field}
        placeholder="–"
        typed={typed}
        invalid={fault !== undefined}
        describedBy="reading-fault"
        onType={(text) => {
          setTyped(text);
          setGauge("");
        }}
      />
      <div id="reading-fault">{fault && <Sentence>{fault}</Sentence>}</div>
      <div className="grid grid-cols-[1fr_auto] gap-2 pt-2">
        <button type="submit" className="press call h-[52px] text-lead" disabled={!typed.trim() || taking}>
          Take reading
        </button>
        <button
          type="button"
          className="press h-[52px]"
          disabled={taking}
          onClick={() => void take(true)}
          title="A click wrench gives no reading"
        >
          Clicked
        </button>
      </div>
      {torque.wrench && (
        <div className="pt-2">
          <GaugeReader
            rebuild={view.id}
            subject={step.id}
            measure="torque"
            unit="N·m"
            only={torque.wrench}
            onRead={(text, from) => {
              setTyped(text);
              setGauge(from);
            }}
          />
        </div>
      )}
      {kept && kept.readings.length > 0 && kept.number !== open?.number && (
        <p className="pt-1 text-small text-muted">Read so far: {kept.readings.map((r) => shown(r, unit)).join(", ")}</p>
      )}
      {open && <Answer bolt={open.number} say={open.say} step={step.id} link={link} view={view} />}
    </form>
  );
}

/** A reading out of range is kept and must be answered: taken again, or accepted by the lead. */
function Answer({ bolt, say, step, link, view }: { bolt: number; say: string; step: string } & StageProps) {
  const [open, setOpen] = useState(false);
  const [reason, setReason, clear] = useDraft(`${view.id}.${step}.accept.${bolt}`);
  const { session } = useStanding();
  const lead = session?.role === "lead" ? session.initials : "";
  const fault = faultAt(link.faults, "because");
  const accept = async () => {
    const act = { kind: "TORQUE_ACCEPTED", step, fastener: bolt, because: reason } as const;
    if (!lead) {
      link.sign({
        act,
        what: [say, reason].filter(Boolean),
        mayNot: (p) => worksNot(p) || (p.role === "lead" ? "" : "a lead accepts"),
      });
    } else if (await link.act(act)) clear();
  };
  return (
    <div className="pt-1.5">
      <p className="flex items-start gap-2 text-body leading-[17px]" role="status">
        <Mark state="renew" size={20} />
        <span>
          <b className="font-[680]">{say}</b>{" "}
          {!open && (
            <button type="button" className="font-[620] underline underline-offset-3" onClick={() => setOpen(true)}>
              Lead accepts it
            </button>
          )}
        </span>
      </p>
      {open && (
        <div className="pt-2">
          <TextInput
            of="TorqueAccepted.because"
            className="field w-full"
            aria-label={`Why bolt ${bolt} is accepted`}
            placeholder="Why it is accepted"
            typed={reason}
            autoFocus
            onType={setReason}
          />
          {fault && <Sentence>{fault}</Sentence>}
          <button
            type="button"
            className="press mt-2 w-full"
            disabled={link.busy || !reason.trim()}
            onClick={() => void accept()}
          >
            {lead ? `Accepted by ${lead}` : "A lead signs"}
          </button>
        </div>
      )}
    </div>
  );
}
