import { useEffect, useEffectEvent } from "react";
import type { Rail, StepView } from "../../../api/types";
import { BoltPattern } from "../../../drawing/BoltPattern";
import { SmallPart } from "../../../drawing/SmallPart";
import { faultAt } from "../../../parts/faults";
import { NumberInput } from "../../../parts/ReadingField";
import { useSettings } from "../../../parts/settings";
import { Sentence } from "../../../parts/States";
import { useDraft } from "../../../parts/useDraft";
import { useFocus } from "../../../parts/useFocus";
import { limitWords } from "../../../text/limits";
import { torque as shown, typedUnit, unitWord } from "../../../text/shop";
import type { InStage } from "../frame/stage";
import { inHand } from "../step/inHand";
import { taskOf, type Task } from "./task";
import { canSpeak, useAloud } from "./useAloud";

type Props = InStage<"STRIP" | "BUILD"> & { step: StepView; rails: Rail[] };

/** One sentence, one number, one button: to be read from two metres, pressed with an elbow or a foot. */
export function BigStep({ view, step, rails, link }: Props) {
  const { unit, setBig, aloud, setAloud } = useSettings();
  const task = taskOf(step);
  const [typed, setTyped, clear] = useDraft(`${view.id}.${step.id}.big.${task.kind}.${task.say}`);
  const number = theNumber(task, unit);
  const cautions = [...step.pinned.map((p) => p.say), ...step.cautions];
  const again = useAloud([...cautions, step.sentence, task.say, number?.aloud ?? ""].join(". "), aloud);
  const reads = task.kind === "bolt" || task.kind === "number";
  const send = async (clicked = false) => {
    const done = await link.act(actOf(task, step, typed, unit, clicked));
    if (done) clear();
  };
  const ready = task.kind !== "whole" && (!reads || typed.trim() !== "");
  // A foot switch or a headset is a keyboard with one key: pressed it is done, held it is said again.
  const pressed = useEffectEvent((e: KeyboardEvent) => {
    if (e.key !== "Enter" || e.altKey || e.ctrlKey) return;
    if (e.target instanceof HTMLButtonElement) return;
    e.preventDefault();
    if (e.repeat) again();
    else if (ready && !link.busy) void send();
  });
  useEffect(() => {
    window.addEventListener("keydown", pressed);
    return () => window.removeEventListener("keydown", pressed);
  }, []);
  const fault = faultAt(link.faults, "value", "fastener", "gauge", "torque", "wait", "", "step", "check");
  return (
    <div
      className="fixed inset-0 z-30 flex flex-col overflow-y-auto bg-paper"
      role="region"
      aria-label="The step, large"
    >
      <div className="flex min-h-[72px] flex-wrap items-center gap-x-5 border-b-[1.5px] border-ink bg-card px-6 max-[640px]:gap-x-2.5 max-[640px]:px-4">
        <span className="tag text-tag leading-[56px] max-[640px]:text-head">{view.pump.tag}</span>
        <span className="text-title font-[640] text-accent">{step.stripping ? "Strip" : "Build"}</span>
        <span className="m text-title">
          {step.number}
          <span className="text-muted">/{step.of}</span>
        </span>
        {canSpeak() && (
          <button
            type="button"
            aria-pressed={aloud}
            className={`press ml-auto h-14 px-5 text-lead max-[640px]:px-2.5 ${aloud ? "call" : ""}`}
            onClick={() => setAloud(!aloud)}
          >
            Say it
          </button>
        )}
        <button
          type="button"
          className={`press h-14 px-5 text-lead max-[640px]:px-2.5 ${canSpeak() ? "" : "ml-auto"}`}
          onClick={() => setBig(false)}
        >
          All of it
        </button>
      </div>
      {cautions.length > 0 && (
        <ul className="border-b border-ink bg-card">
          {cautions.map((c) => (
            <li key={c} className="border-l-[8px] border-watch px-6 py-1.5 text-title leading-7 font-[640]">
              {c}
            </li>
          ))}
        </ul>
      )}
      <div className="grid flex-1 grid-cols-[minmax(0,1fr)_340px] items-start gap-x-6 px-6 pt-4 max-[900px]:grid-cols-1">
        <div>
          {task.say !== step.sentence && <p className="text-title leading-7 font-[560] text-soft">{step.sentence}</p>}
          <h2 className="text-tag leading-[48px] font-[680] tracking-[-.01em] text-balance max-[640px]:text-head max-[640px]:leading-9">
            {task.say}
          </h2>
          {number && (
            <p className="flex flex-wrap items-baseline gap-x-5 pt-2">
              {number.text && <BigNumber text={number.text} />}
              <span className="text-head leading-9 font-[640]">{number.unit}</span>
              <span className="m text-head leading-9 text-muted">{number.within}</span>
            </p>
          )}
          {reads && (
            <Reading
              key={task.say}
              typed={typed}
              type={setTyped}
              name={`${task.say}, ${number?.unit ?? ""}`}
              wrong={!!fault}
            />
          )}
          {task.kind === "whole" && (
            <p className="pt-3 text-title leading-7 text-soft">This takes more than one button: see all of it.</p>
          )}
          {fault && (
            <div className="pt-2 [&_p]:text-title [&_p]:leading-7">
              <Sentence>{fault}</Sentence>
            </div>
          )}
          {link.carried.waiting.length > 0 && (
            <p role="status" className="mt-3 bg-ink px-4 py-2 text-title leading-7 font-[640] text-card">
              The server is away: {link.carried.waiting.length} kept here. {link.carried.waits}
            </p>
          )}
        </div>
        <div className="max-[900px]:hidden [&>svg]:h-[320px] [&>svg]:w-[320px]">
          {"torque" in task ? (
            <BoltPattern torque={task.torque} current={task.kind === "bolt" ? task.bolt : null} onChoose={undefined} />
          ) : (
            inHand(rails)
              .slice(0, 1)
              .map((p) => <SmallPart key={p.id} glyphName={p.glyph} size={320} />)
          )}
        </div>
      </div>
      <div className="sticky bottom-0 flex gap-3 bg-paper px-6 pt-3 pb-5">
        {task.kind === "bolt" && (
          <button type="button" className="press h-[116px] px-7" disabled={link.busy} onClick={() => void send(true)}>
            <span className="text-head">Clicked</span>
          </button>
        )}
        {task.kind === "whole" ? (
          <button type="button" className="press go h-[116px] flex-1 px-7 text-left" onClick={() => setBig(false)}>
            <span className="text-tag max-[640px]:text-head">All of it</span>
          </button>
        ) : (
          <button
            type="button"
            className="press go h-[116px] flex-1 px-7 text-left"
            disabled={!ready || link.busy}
            onClick={() => void send()}
          >
            <span className="text-tag max-[640px]:text-head">{buttonOf(task, step)}</span>
          </button>
        )}
      </div>
    </div>
  );
}

interface ReadingProps {
  typed: string;
  type: (typed: string) => void;
  name: string;
  wrong: boolean;
}

function Reading({ typed, type, name, wrong }: ReadingProps) {
  const field = useFocus<HTMLInputElement>();
  return (
    <NumberInput
      ref={field}
      label={name}
      className="mt-2 h-[92px] w-[340px] max-w-full px-4 text-figure! font-semibold"
      placeholder="–"
      typed={typed}
      onType={type}
      invalid={wrong}
    />
  );
}

/** A number as high as the screen lets it be read from two metres. */
function BigNumber({ text }: { text: string }) {
  const width = Math.max(1, text.length) * 62;
  return (
    <svg width={width} height="118" viewBox={`0 0 ${width} 118`} role="img" aria-label={text}>
      <text
        x="0"
        y="104"
        fontSize="132"
        fontWeight="700"
        fill="var(--ink)"
        textLength={width - 6}
        lengthAdjust="spacingAndGlyphs"
      >
        {text}
      </text>
    </svg>
  );
}

interface TheNumber {
  text: string;
  unit: string;
  within: string;
  aloud: string;
}

function theNumber(task: Task, unit: "N·m" | "ft·lbf"): TheNumber | null {
  switch (task.kind) {
    case "bolt": {
      const { targetNm, minNm, maxNm } = task.torque;
      const within = `${shown(minNm, unit)}–${shown(maxNm, unit)}`;
      return { text: shown(targetNm, unit), unit, within, aloud: `${shown(targetNm, unit)} ${SPOKEN[unit]}` };
    }
    case "pass": {
      const set = shown((task.torque.targetNm * task.percent) / 100, unit);
      return { text: set, unit, within: `${task.percent} %`, aloud: `set the wrench to ${set} ${SPOKEN[unit]}` };
    }
    case "number": {
      const within = limitWords(task.check, 2, task.check.unit).join(", ");
      return { text: "", unit: unitWord(task.check.unit), within, aloud: within };
    }
    default:
      return null;
  }
}

const SPOKEN = { "N·m": "newton metres", "ft·lbf": "pound feet" } as const;

function buttonOf(task: Task, step: StepView): string {
  switch (task.kind) {
    case "confirm":
      return "Confirm";
    case "number":
    case "bolt":
      return "Take reading";
    case "pass":
      return `Pass ${task.torque.pass} is round`;
    case "round":
      return "None moved";
    default:
      return step.stripping ? "Off, next step" : "Done, next step";
  }
}

function actOf(task: Task, step: StepView, typed: string, unit: string, clicked: boolean) {
  switch (task.kind) {
    case "confirm":
      return { kind: "CHECKED" as const, step: step.id, check: task.check.id };
    case "number":
      return {
        kind: "CHECKED" as const,
        step: step.id,
        check: task.check.id,
        reading: { typed, unit: typedUnit(task.check.unit) },
      };
    case "bolt":
      return {
        kind: "TORQUE_READ" as const,
        step: step.id,
        pass: task.torque.pass,
        fastener: task.bolt,
        clicked,
        ...(clicked ? {} : { reading: { typed, unit } }),
      };
    case "pass":
    case "round":
      return { kind: "PASS_DONE" as const, step: step.id, pass: task.torque.pass };
    default:
      return { kind: "STEP_DONE" as const, step: step.id, because: "" };
  }
}
