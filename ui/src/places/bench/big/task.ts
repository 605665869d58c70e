import type { CheckView, StepView, TorqueView } from "../../../api/types";

/** The one thing to do now at a step, in the order in which it is done. */
export type Task =
  | { kind: "confirm"; say: string; check: CheckView }
  | { kind: "number"; say: string; check: CheckView }
  | { kind: "pass"; say: string; torque: TorqueView; percent: number }
  | { kind: "round"; say: string; torque: TorqueView }
  | { kind: "bolt"; say: string; torque: TorqueView; bolt: number }
  | { kind: "done"; say: string }
  /** What needs more than one button: it is done in the whole view. */
  | { kind: "whole"; say: string };

const whole = (say: string): Task => ({ kind: "whole", say });

function ofCheck(c: CheckView): Task {
  if (c.passed && c.second && !c.secondBy) return whole(`A second person looks: ${c.ask}`);
  if (c.answered && !c.passed && c.kind !== "number") return whole(c.ask);
  if (c.pair) return whole(`Two readings: ${c.ask}`);
  return { kind: c.kind === "number" ? "number" : "confirm", say: c.ask, check: c };
}

function ofTorque(torque: TorqueView, sentence: string): Task | null {
  if (torque.finished) return null;
  if (torque.pass < torque.fullPass) {
    const percent = torque.passes.find((p) => p.number === torque.pass)?.percent ?? 100;
    const go = torque.pass === 1 ? "Start every bolt by hand, then go round" : "Go round";
    return { kind: "pass", say: `${go} in the order drawn`, torque, percent };
  }
  if (torque.pass === torque.lastRound) {
    return { kind: "round", say: `Once more round, 1 to ${torque.count}, until none moves`, torque };
  }
  if (torque.nextFastener === null) return whole(torque.missing || sentence);
  return {
    kind: "bolt",
    say: torque.count === 1 ? sentence : `Bolt ${torque.nextFastener}`,
    torque,
    bolt: torque.nextFastener,
  };
}

/** The one thing to do now at a step. */
export function taskOf(step: StepView): Task {
  const open = step.checks.find((c) => !c.settled);
  if (open) return ofCheck(open);
  if (step.places.length > 0 && step.missing) return whole(step.sentence);
  const torque = step.torque ? ofTorque(step.torque, step.sentence) : null;
  if (torque) return torque;
  return step.missing ? whole(step.sentence) : { kind: "done", say: step.sentence };
}
