import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api } from "../../../api/client";
import type { BenchView, HandBackView, WaitView } from "../../../api/types";
import type { InStage, Now, StageProps } from "../frame/stage";
import { Choice } from "../../../parts/Choice";
import { countdown, useLeft } from "../../../parts/Clock";
import { sentence } from "../../../text/numbers";
import { faultAt } from "../../../parts/faults";
import { Foot } from "../frame/Foot";
import { worksNot } from "../frame/worksNot";
import { OutHere } from "../decide/OutHere";
import { Sandglass, Waits } from "../frame/Waits";
import { TextInput } from "../../../parts/TextInput";

/** What goes back with the pump: signed off first, then handed back. */
export function HandBack({ view, now, link }: InStage<"HAND_BACK">) {
  const signed = now.handBack.signedOff;
  const signOff = () =>
    link.sign({
      act: { kind: "SIGNED_OFF" },
      what: [`${view.pump.tag}: made safe, built and proved as its record says`, `Next due ${now.handBack.nextDue}`],
      mayNot: worksNot,
      own: true,
    });
  return (
    <div className="flex flex-1 flex-col">
      <section className="flex-1 px-5 pt-2.5" aria-label="Hand back">
        <h2 className="text-head leading-9 font-[680]">
          {signed ? "Proved and signed off. Hand it back with its record" : "Proved. Sign it off, then hand it back"}
        </h2>
        <WhatItWas fault={now.fault} link={link} />
        <OutHere view={view} out={now.out} />
        <Waits waits={view.waits.filter((w) => w.open && w.kind !== "test")} />
        <Summary handBack={now.handBack} />
      </section>
      <Foot
        link={link}
        view={view}
        main={signed ? "Hand it back" : "Sign it off"}
        missing={signed ? "stock is booked out, the next due date set" : "your PIN: you stand for what was done"}
        onMain={signed ? () => void link.act({ kind: "HANDED_BACK" }) : signOff}
      >
        <RecordLink view={view} />
      </Foot>
    </div>
  );
}

/** Joints to tighten again and glands to follow up, pressed when done. */
function Again({ view, link }: StageProps) {
  const open = view.waits.filter((w) => w.open && (w.kind === "retorque" || w.kind === "follow-up"));
  if (open.length === 0) return null;
  return (
    <ul className="pt-2" aria-label="To do again">
      {open.map((w) => (
        <One key={w.kind + w.subject} wait={w} link={link} />
      ))}
    </ul>
  );
}

function One({ wait: w, link }: { wait: WaitView; link: StageProps["link"] }) {
  const [why, setWhy] = useState("");
  const left = useLeft(w.until);
  const fault = faultAt(link.faults, "wait", "subject");
  return (
    <li className="flex flex-wrap items-center gap-3 border-b border-line2 py-1 text-body">
      <Sandglass />
      <b className="m w-24 text-body">{left > 0 ? countdown(left) : "due now"}</b>
      <span className="min-w-0 flex-1">
        {w.kind === "retorque" ? "Tighten again, cold and unpressurised: " : "Look at it again: "}
        {w.title}
      </span>
      {left > 0 && (
        <TextInput
          of="Settled.because"
          className="field w-64 text-body"
          aria-label="Why it is done before its time"
          placeholder="Why before its time"
          typed={why}
          onType={setWhy}
        />
      )}
      <button
        type="button"
        className="press call"
        disabled={link.busy || (left > 0 && !why.trim())}
        onClick={() => void link.act({ kind: "SETTLED", subject: w.subject, because: why })}
      >
        Done
      </button>
      {fault && <span className="basis-full text-body text-renew">{fault}</span>}
    </li>
  );
}

/** What was wrong with it after all: it teaches the next diagnosis. */
function WhatItWas({ fault: f, link }: { fault: Now<"HAND_BACK">["fault"]; link: StageProps["link"] }) {
  if (f.told.length === 0 && !f.said) return null;
  const names = new Map(f.choices.map((c) => [c.title, c.id]));
  return (
    <p className="flex flex-wrap items-center gap-x-2 py-1 text-body">
      <span className="text-soft">
        It came with: {f.told.join(", ").toLowerCase()}. Likeliest then: {f.likeliest.toLowerCase()}. It was
      </span>
      <Choice
        label="What it was"
        value={f.said}
        all="not said yet"
        of={[...names.keys(), "Something else"]}
        onChange={(title) => title && void link.act({ kind: "FAULT_FOUND", fault: names.get(title) ?? "" })}
      />
    </p>
  );
}

/** A rebuild that is over. */
export function Closed({ view, now, link }: InStage<"CLOSED">) {
  const log = useQuery({ queryKey: ["log", view.id, view.seq], queryFn: () => api.log(view.id) });
  const lines = log.data ?? [];
  return (
    <div className="flex flex-1 flex-col">
      <section className="flex-1 px-5 pt-2.5" aria-label="Handed back">
        <h2 className="text-head leading-9 font-[680]">Handed back</h2>
        <Again view={view} link={link} />
        <Summary handBack={now.handBack} />
        <h3 className="head border-b-[1.5px] border-ink pt-5 pb-1">What was done, {lines.length} entries</h3>
        <ol className="columns-2 gap-8 pt-1 max-[900px]:columns-1">
          {lines.map((l) => (
            <li
              key={l.seq}
              className="flex break-inside-avoid gap-3 border-b border-line2 py-1 text-small leading-[17px]"
            >
              <span className="m text-small whitespace-nowrap text-muted" title={l.at}>
                {l.time}
              </span>
              <b className="m text-small">{l.who}</b>
              <span className="min-w-0 break-words">{l.say}</span>
            </li>
          ))}
        </ol>
      </section>
      <Foot link={link} view={view}>
        <RecordLink view={view} />
        <Link to="/" className="press go inline-flex h-[60px] flex-1 items-center justify-center text-title">
          Back to the floor
        </Link>
      </Foot>
    </div>
  );
}

function RecordLink({ view }: { view: BenchView }) {
  return (
    <a
      className="press call inline-flex h-[60px] items-center"
      href={api.recordUrl(view.id)}
      target="_blank"
      rel="noreferrer"
    >
      Record as PDF
    </a>
  );
}

function Summary({ handBack: h }: { handBack: HandBackView }) {
  return (
    <div className="grid grid-cols-3 gap-8 pt-3 max-[900px]:grid-cols-1">
      <Block title="Next due" lines={[sentence(h.nextDue)]} none="" />
      <div>
        <Block title="Renewed" lines={h.renewed} none="Nothing was renewed." />
        <div className="pt-4">
          <Block title="Used up" lines={h.consumed} none="No grease, oil or locker." />
        </div>
      </div>
      <div>
        {h.signedOff && (
          <div className="pb-4">
            <Block title="Signed off" lines={[`${h.signedOff.who}, ${h.signedOff.at}`]} none="" />
          </div>
        )}
        <Block title="On watch" lines={h.watched} none="No part went back on watch." />
        <div className="pt-4">
          <Block title="Retorque after settling" lines={h.retorques} none="Nothing to retorque." />
        </div>
      </div>
    </div>
  );
}

function Block({ title, lines, none }: { title: string; lines: string[]; none: string }) {
  return (
    <div>
      <h3 className="head border-b-[1.5px] border-ink pb-1">{title}</h3>
      <ul>
        {lines.map((l) => (
          <li key={l} className="border-b border-line2 py-1.5 text-body leading-[19px]">
            {l}
          </li>
        ))}
      </ul>
      {lines.length === 0 && <p className="py-2 text-body text-soft">{none}</p>}
    </div>
  );
}
