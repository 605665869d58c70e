import { useState } from "react";
import type { RailPart, StepView } from "../../../api/types";
import { PinMark } from "../../../drawing/PinMark";
import { PressUp } from "../../../drawing/PressUp";
import { Check } from "./Check";
import type { InStage, StageProps } from "../frame/stage";
import { faultAt } from "../../../parts/faults";
import { Foot } from "../frame/Foot";
import { useKey } from "../frame/useKey";
import { NextAndTray } from "./NextAndTray";
import { SmallPart } from "../../../drawing/SmallPart";
import { inHand } from "./inHand";
import { Places } from "./Places";
import { Torque } from "./Torque";
import { useSettings } from "../../../parts/settings";
import { Sentence } from "../../../parts/States";
import { TextInput } from "../../../parts/TextInput";

/** The step of Strip or Build that is in hand: its sentence, what goes with it, what is missing. */
export function StepInHand({ view, now, rails, link }: InStage<"STRIP" | "BUILD">) {
  const step = now.step;
  const [why, setWhy] = useState("");
  const [stuck, setStuck] = useState(false);
  if (!step) return null;
  const open = step.checks.filter((c) => !c.settled);
  const fault = faultAt(link.faults, "torque");
  const held = faultAt(link.faults, "wait");
  const done = async () => {
    if (await link.act({ kind: "STEP_DONE", step: step.id, because: why })) setWhy("");
  };
  return (
    <div className="grid flex-1 grid-cols-[minmax(0,1fr)_424px] max-[1000px]:grid-cols-1">
      <section className="flex flex-col" aria-label="The step in hand">
        <div className="px-5">
          <Pinned step={step} />
          <StepHead step={step} />
          <Beside step={step} />
        </div>
        <div className="flex-1 px-5 pt-2">
          {(open.length > 0 || step.checks.length === 0) && <Cautions step={step} />}
          {fault && <Sentence>{fault}</Sentence>}
          {step.beside.length > 0 && <PressUp parts={step.beside} />}
          {step.places.length > 0 && <Places step={step} link={link} />}
          {open.length > 0 || !step.torque ? (
            <>
              <Checks step={step} link={link} view={view} />
              <PartsInHand parts={inHand(rails)} />
            </>
          ) : (
            <Torque step={step} torque={step.torque} link={link} view={view} />
          )}
        </div>
        {held && (
          <div className="px-5 pb-1">
            <Sentence>{held}</Sentence>
            <label className="flex items-center gap-2 text-body text-soft">
              Why it need not wait
              <TextInput of="StepDone.because" className="field flex-1" typed={why} onType={setWhy} />
            </label>
          </div>
        )}
        {step.stripping && stuck && <Stuck key={step.id} step={step} link={link} close={() => setStuck(false)} />}
        <Foot
          link={link}
          view={view}
          main={step.stripping ? "Off, next step" : "Done, next step"}
          missing={step.missing}
          disabled={step.missing !== ""}
          onMain={() => void done()}
          photograph={{ of: "step", subject: step.id, title: step.sentence }}
        >
          {step.stripping && (
            <button
              type="button"
              className="press h-[60px]"
              aria-expanded={stuck}
              onClick={() => setStuck(!stuck)}
              title="It will not come off this way: another way in is planned from what is off"
            >
              Will not go
            </button>
          )}
        </Foot>
      </section>
      <NextAndTray id={view.id} now={now} />
    </div>
  );
}

/** The step cannot be done: another way in is asked for, from what is off already. */
function Stuck({ step, link, close }: { step: StepView; link: StageProps["link"]; close: () => void }) {
  const [why, setWhy] = useState("");
  const fault = faultAt(link.faults, "step", "because");
  const send = async () => {
    if (await link.act({ kind: "FOUND_IMPOSSIBLE", step: step.id, because: why })) close();
  };
  return (
    <form
      className="px-5 pb-1"
      onSubmit={(e) => {
        e.preventDefault();
        void send();
      }}
    >
      {fault && <Sentence>{fault}</Sentence>}
      <label className="flex items-center gap-2 text-body text-soft">
        What stands against it
        <TextInput
          of="FoundImpossible.because"
          className="field min-w-0 flex-1"
          placeholder="seized, no room, thread gone"
          typed={why}
          onType={setWhy}
        />
        <button type="submit" className="press" disabled={link.busy || !why.trim()}>
          Plan another way in
        </button>
      </label>
    </form>
  );
}

/** What can kill, crush or break at this step stays at the top until it is done. */
function Pinned({ step }: { step: StepView }) {
  if (step.pinned.length === 0) return null;
  return (
    <ul className="-mx-5 flex flex-wrap border-b border-ink bg-card" aria-label="Cautions in force">
      {step.pinned.map((p) => (
        <li key={p.say} className="flex min-h-11 flex-1 basis-[240px] items-center gap-2.5 px-5 py-1.5">
          <PinMark mark={p.mark} />
          <span className="text-body leading-[17px] font-[640] text-balance">{p.say}</span>
        </li>
      ))}
    </ul>
  );
}

/** A sentence of more letters is set smaller, so that what follows it stays in sight. */
const LONG = 75;

function StepHead({ step }: { step: StepView }) {
  const { setBig } = useSettings();
  return (
    <div className="flex items-baseline gap-4 pt-2.5 pb-2">
      <span className="m text-body font-semibold whitespace-nowrap text-accent">
        {step.number}
        <span className="font-medium text-muted">/{step.of}</span>
      </span>
      <h2
        className={`font-[680] tracking-[-.005em] text-balance ${step.sentence.length > LONG ? "text-title leading-[25px]" : "text-head leading-9"}`}
      >
        {step.sentence}
      </h2>
      <button
        type="button"
        className="under ml-auto min-h-11 shrink-0 self-start text-small"
        title="One sentence, one number, one button, to be read from two metres"
        onClick={() => setBig(true)}
      >
        Large
      </button>
    </div>
  );
}

/** How a pump stands, in words: a side keeps its letter. */
function sided(words: string): string {
  return words.replace(/\bside ([ab])\b/, (_, side: string) => `side ${side.toUpperCase()}`);
}

/** What goes with the step: turn the pump, the tool, what goes on, which way round. */
function Beside({ step }: { step: StepView }) {
  const torque = step.torque;
  const items: [keyof typeof ICONS, string, string][] = [];
  if (step.turn) items.push(["turn", sided(step.turn), `it stands ${sided(step.pose)} for this step`]);
  if (step.rotation)
    items.push([
      step.rotation.clockwise ? "clockwise" : "anticlockwise",
      step.rotation.clockwise ? "Clockwise" : "Anticlockwise",
      step.rotation.seenFrom ? `seen from ${step.rotation.seenFrom}` : "",
    ]);
  const [tool, ...more] = step.tools;
  if (tool)
    items.push([
      "tool",
      tool,
      more.length > 0 ? `and ${more.join(", ")}` : step.toolChange ? "change of tool" : "in the hand already",
    ]);
  if (torque)
    items.push([
      "torque",
      torque.wrench ? `Torque wrench ${torque.wrench}` : "No wrench in the crib fits",
      torque.wrenchBecause,
    ]);
  if (step.tightBySign) items.push(["torque", step.tightBySign, "no torque is asked here"]);
  const [apply, ...other] = step.apply;
  if (apply) items.push(["apply", apply, other.join("; ") || "nothing else"]);
  const [facing, ...faces] = step.facings;
  if (facing) items.push(["way", facing, faces.join("; ")]);
  if (items.length === 0) items.push(["hand", "By hand", "no tool for this step"]);
  return (
    <ul className="flex flex-wrap border-y border-line">
      {items.map(([icon, first, second]) => (
        <li
          key={icon}
          className="flex min-h-[50px] min-w-[180px] flex-1 items-center gap-2.5 border-line py-1 pr-3 sm:not-first:border-l sm:not-first:pl-3.5"
        >
          <svg width="34" height="34" viewBox="0 0 34 34" className="shrink-0" aria-hidden>
            {ICONS[icon]}
          </svg>
          <span className="min-w-0 leading-[17px]">
            <b className="block text-body font-[660]">{first}</b>
            {second && <span className="block text-small leading-[15px] text-muted">{second}</span>}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** The parts of the step, large, with what to mind about each. */
function PartsInHand({ parts }: { parts: RailPart[] }) {
  return (
    <ul className="grid grid-cols-3 gap-x-5 gap-y-2 pt-3 max-[760px]:grid-cols-2" aria-label="Parts in hand">
      {parts.map((p) => (
        <li key={p.id} className="flex items-center gap-3">
          <SmallPart glyphName={p.glyph} size={76} />
          <span className="min-w-0 leading-[18px]">
            <b className="block text-lead font-[660]">
              {p.count > 1 && `${p.count} × `}
              {p.name}
            </b>
            {p.care.length > 0 && (
              <span className="block text-body font-[620] text-watch-words">
                {p.care.map((c) => CARE[c] ?? c).join(", ")}
              </span>
            )}
            {p.facing && <span className="block text-body text-soft">{p.facing}</span>}
          </span>
        </li>
      ))}
    </ul>
  );
}

const CARE: Record<string, string> = {
  fragile: "brittle",
  matched: "matched, back to its own place",
  interchangeable: "a swap does no harm",
};

const line = { fill: "none", stroke: "var(--ink)", strokeWidth: 1.7 } as const;
const ROTATION = (
  <g {...line} strokeWidth={2.2}>
    <path d="M17,5A12,12 0 1 1 5,17" />
    <path d="M0.5,19L5,10L9.5,19Z" fill="var(--ink)" stroke="none" />
    <circle cx="17" cy="17" r="3" fill="var(--ink)" stroke="none" />
  </g>
);
const ICONS = {
  tool: (
    <g {...line}>
      <path d="M5,29L17,17M9,32L20,21M5,29C4,31 7,33.5 9,32" />
      <path d="M27,4.5A8,8 0 1 0 30.5,12L25,13.5L21.5,10L23,5.5Z" />
    </g>
  ),
  torque: (
    <g {...line}>
      <path d="M3,23.5L21,13.5M5,27L23,17M3,23.5C1.5,24.5 3.5,28 5,27" />
      <circle cx="25" cy="13.5" r="6" />
      <path d="M25,10.2l2.9,1.65v3.3L25,16.8l-2.9,-1.65v-3.3z" />
    </g>
  ),
  apply: (
    <g {...line}>
      <path d="M12,4H22V9H12ZM14,9V30L17,33L20,30V9M14,14l6,2.2M14,18l6,2.2M14,22l6,2.2" />
      <path d="M6,17C3.2,21 3.2,24 6,24C8.8,24 8.8,21 6,17Z" fill="var(--ink)" stroke="none" />
    </g>
  ),
  way: (
    <g>
      <rect width="34" height="34" fill="var(--ink)" />
      <path d="M17,5L25,15H19.5V29H14.5V15H9Z" fill="var(--card)" />
    </g>
  ),
  turn: (
    <g {...line}>
      <rect x="8" y="14" width="18" height="11" />
      <path d="M4,19.5H8M26,19.5H30M7,9C11,3.5 23,3.5 27,9" />
      <path d="M29,11.5L28.4,5.4L23.6,9.2Z" fill="var(--ink)" stroke="none" />
    </g>
  ),
  clockwise: ROTATION,
  anticlockwise: <g transform="matrix(-1 0 0 1 34 0)">{ROTATION}</g>,
  hand: (
    <g {...line}>
      <path d="M9,32V18L6,14V9Q6,7.5 8,7.5T10,9V15V5Q10,3.5 12,3.5T14,5V14V4Q14,2.5 16,2.5T18,4V14V5Q18,3.5 20,3.5T22,5V16Q26,13 28,16L22,24V32Z" />
    </g>
  ),
};

function Cautions({ step }: { step: StepView }) {
  const many = step.cautions.length > 2 ? "grid grid-cols-2 gap-x-2 max-[760px]:grid-cols-1" : "";
  return (
    <div className={many}>
      {step.cautions.map((c) => (
        <p
          key={c}
          className="mb-1.5 flex items-center gap-3 border-l-[5px] border-watch bg-card py-1.5 pr-3 pl-3.5 text-lead leading-5 font-[620]"
        >
          <svg width="22" height="20" viewBox="0 0 22 20" className="shrink-0" aria-hidden>
            <path
              d="M11,1.5L21,18.5H1Z"
              fill="none"
              stroke="var(--watch-words)"
              strokeWidth="2"
              strokeLinejoin="round"
            />
            <path d="M11,7V13M11,15V17" stroke="var(--watch-words)" strokeWidth="2.2" />
          </svg>
          {c}
        </p>
      ))}
    </div>
  );
}

function Checks({ step, link, view }: { step: StepView } & StageProps) {
  const confirm = (i: number) => {
    const check = step.checks[i];
    if (check?.kind === "confirm" && !check.answered) {
      void link.act({ kind: "CHECKED", step: step.id, check: check.id });
    }
  };
  useKey("1", "altKey", () => confirm(0));
  useKey("2", "altKey", () => confirm(1));
  useKey("3", "altKey", () => confirm(2));
  return (
    <div>
      {step.checks.length > 0 && (
        <ul aria-label="Checks">
          {step.checks.map((c, i) => (
            <Check key={c.id} check={c} number={i + 1} step={step.id} link={link} view={view} />
          ))}
        </ul>
      )}
      {step.torque && (
        <p className="pt-3 text-body text-soft">
          Then the torque: {step.torque.count} × {step.torque.thread}, threads {step.torque.threads}
          {step.torque.locker !== "none" && `, threadlocker ${step.torque.locker}`}
          {step.torque.across && `, ${step.torque.across}`}.
        </p>
      )}
      {step.checks.length === 0 && !step.torque && (
        <p className="pt-2 text-lead text-soft">
          {step.stripping ? "Lay it on the tray by its side." : "Nothing to read at this step."} About{" "}
          <span className="m">{step.minutes}</span> min
          {step.learnedJobs > 0 ? `, from ${step.learnedJobs} jobs here` : ", from the sheet"}.
        </p>
      )}
    </div>
  );
}
