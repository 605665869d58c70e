import type { Act, AheadView, BenchView, MayView } from "../api/types";
import { changed, mixed } from "./mixed";
import { typedReading } from "../text/shop";
import { timeOfDay } from "../text/timeOfDay";

/** An act that waits, and when it was done. */
export interface Kept {
  key: string;
  at: number;
  act: Act;
}

/** What an act leads to without the server. */
export type Answer =
  | { outcome: "goes-on"; then: number; later: string }
  | { outcome: "stays"; say: string }
  | { outcome: "refused"; path: string; say: string }
  /** Nothing is worked out for it: it is kept, and the server works it out. */
  | { outcome: "later"; say: string };

/** Where a job stands in what was worked out ahead. */
interface Place {
  situation: number;
  /** Places after `situation` of acts done there, of those that may come in any order. */
  done: ReadonlySet<number>;
}

type Fields = Record<string, unknown>;

/** Acts that stand beside the work: they change nothing of what comes next. */
export const BESIDE = new Set(["NOTED", "MEASURED", "CAUSE_FOUND", "FAULT_FOUND", "CHECK_LEFT"]);

/** Acts that only the server can answer, and why. */
const SERVER_ONLY: Record<string, string> = {
  STEP_UNDONE: "A step is taken back with the server: note it for now.",
  PAUSED: "A job is paused with the server: note why, and go on later.",
  RESUMED: "A job is carried on with the server.",
  HANDED_OVER: "A job is handed over with the server: write a note for now.",
  TAKEN_ON: "A job is taken on with the server.",
  TAKEN_IN: "A pump is taken in with the server.",
  SENT_BACK: "Which steps are behind a failed test is worked out with the server.",
  SIGNED_OFF: "A job is signed off with the server.",
  HANDED_BACK: "A pump is handed back with the server.",
  WAY_CHOSEN: "Another way is planned with the server.",
};

function fits(may: MayView, act: Act): boolean {
  const fields = act as Fields;
  return may.kind === act.kind && Object.entries(may.of).every(([name, value]) => String(fields[name]) === value);
}

/** What was typed for a band to be looked up by: a number for each measure, or the words that are none. */
function readings(act: Act): { measure: string; typed: string; unit: string; gauge: boolean }[] {
  const fields = act as Fields;
  const of = (measure: string, reading: Fields | undefined) => {
    const typed = typeof reading?.typed === "string" ? reading.typed : "";
    const unit = typeof reading?.unit === "string" ? reading.unit : "";
    return typed.trim() ? [{ measure, typed, unit, gauge: Boolean(reading?.gauge) }] : [];
  };
  const measured = (fields.measurements as { measure: string; reading: Fields }[] | undefined) ?? [];
  return [...of("", fields.reading as Fields | undefined), ...measured.flatMap((m) => of(m.measure, m.reading))];
}

/** What is held against the limits: a number in the unit of the records, of a pair the difference. */
function valueOf(act: Act, typed: string, unit: string): number | null {
  const value = typedReading(typed, unit);
  const right = (act as { right?: { typed?: string } }).right?.typed;
  if (value === null || right === undefined) return value;
  const other = typedReading(right, unit);
  return other === null ? null : Math.abs(value - other);
}

const given = (act: Act, field: string): boolean => {
  const words = (act as Fields)[field];
  return typeof words === "string" && words.trim() !== "";
};

/** Whether the clock of a test has run out. */
function ranOut(act: Act, view: BenchView, now: number): boolean {
  if (act.kind !== "PROVED" || view.inHand.stage !== "PROVE") return false;
  const test = view.inHand.proof.find((t) => t.id === act.test);
  return Boolean(test && test.clockUntil !== null && !test.afterWaits && now >= Date.parse(test.clockUntil));
}

/** A job carried on without the server: what is shown, and what an act would lead to. */
export class Story {
  private place: Place = { situation: 0, done: new Set() };
  private readonly kept: Kept[] = [];
  /** What the server has still to work out. */
  readonly later: string[] = [];

  constructor(
    private readonly ahead: AheadView,
    acts: readonly Kept[],
  ) {
    acts.forEach((k) => this.tell(k));
  }

  private situation() {
    const here = this.ahead.situations[this.place.situation];
    if (!here) throw new RangeError("no situation");
    return here;
  }

  /** Why nothing goes on here without the server; empty where something does. */
  get waits(): string {
    const here = this.situation();
    const left = here.may.some((m) => m.then > this.place.situation && !this.place.done.has(m.then));
    return left ? "" : here.waits;
  }

  /** What an act leads to. */
  answer(act: Act, now: number): Answer {
    const only = SERVER_ONLY[act.kind];
    if (only) return { outcome: "refused", path: "", say: only };
    if (BESIDE.has(act.kind)) return { outcome: "later", say: "" };
    if (act.kind === "STAGE_DONE" && act.stage === "INSPECT" && this.later.length > 0) {
      return {
        outcome: "refused",
        path: "",
        say: "What was found bad may change the plan: it is worked out with the server, then you decide.",
      };
    }
    const may = this.situation().may.find((m) => fits(m, act));
    if (!may) return { outcome: "later", say: "Kept. What it leads to is worked out with the server." };
    const read = readings(act);
    let stays = "";
    for (const r of read.length > 0 ? read : [{ measure: "", typed: "", unit: "", gauge: false }]) {
      const value = r.typed ? valueOf(act, r.typed, r.unit) : null;
      if (r.typed && value === null) {
        return {
          outcome: "refused",
          path: r.measure || "value",
          say: `"${r.typed}" is no number. Without the server type the number alone.`,
        };
      }
      const band = may.bands.find(
        (b) =>
          b.measure === r.measure &&
          (value === null ? b.least === null && b.most === null : true) &&
          (b.least === null || (value !== null && value >= b.least)) &&
          (b.most === null || (value !== null && value <= b.most)),
      );
      if (!band) continue;
      const say = band.say.replace("{typed}", r.typed.trim());
      const lifted =
        band.unless === "because"
          ? given(act, "because")
          : band.unless === "timing" && (given(act, "timing") || ranOut(act, this.view(), now));
      if (band.outcome === "refused" && !lifted) {
        return { outcome: "refused", path: band.unless === "timing" ? "clock" : r.measure || faultPath(act), say };
      }
      if (band.outcome === "stays") stays = say;
    }
    return stays ? { outcome: "stays", say: stays } : { outcome: "goes-on", then: may.then, later: may.later };
  }

  /** Takes an act that waits into the story. */
  tell(kept: Kept): Answer {
    const answer = this.answer(kept.act, kept.at);
    this.kept.push(kept);
    if (answer.outcome !== "goes-on") {
      if (answer.outcome === "later" && answer.say) this.later.push(answer.say);
      return answer;
    }
    if (answer.later) this.later.push(answer.later);
    const { situation } = this.place;
    if (answer.then === situation) return answer;
    const slots = new Set(
      this.situation()
        .may.map((m) => m.then)
        .filter((then) => then > situation),
    );
    const done = new Set(this.place.done).add(answer.then);
    this.place =
      done.size === slots.size ? { situation: Math.max(situation, ...slots), done: new Set() } : { situation, done };
    return answer;
  }

  /** What the bench shows: as it was worked out, with what was really read. */
  view(): BenchView {
    const { situation, done } = this.place;
    const most = Math.max(0, ...this.situation().may.map((m) => m.then - situation));
    const views = this.ahead.situations.slice(situation, situation + most + 1).map((s) => s.view);
    const places = new Set([...done].map((d) => d - situation));
    const shown = mixed(views, places);
    return this.kept.reduce(withRead, shown);
  }
}

/** At which field the bench shows a fault of an act that names no other. */
function faultPath(act: Act): string {
  return act.kind === "JUDGED" ? "because" : "value";
}

/** A view with what an act really read, where it shows only what was supposed. */
function withRead(view: BenchView, { act, at }: Kept): BenchView {
  const [read] = readings(act);
  const value = read ? valueOf(act, read.typed, read.unit) : null;
  switch (act.kind) {
    case "CHECKED":
      return value === null
        ? view
        : changed(view, "inHand.step.checks", (c) => (c.id === act.check && c.answered ? { ...c, value } : c));
    case "PROVED_SAFE":
      return changed(view, "inHand.gates", (g) =>
        g.id === act.hazard && g.answered ? { ...g, value, at: timeOfDay(at) } : g,
      );
    case "CONFIRMED":
      return changed(view, "inHand.gates", (g) =>
        g.id === act.confirmation && g.answered ? { ...g, at: timeOfDay(at) } : g,
      );
    case "PROVED":
      return value === null
        ? view
        : changed(view, "inHand.proof", (t) => (t.id === act.test && t.answered ? { ...t, value } : t));
    case "CLOCK_STARTED":
      return changed(view, "inHand.proof", (t) =>
        t.id === act.test ? { ...t, clockUntil: new Date(at + Number(t.clockSeconds) * 1000).toISOString() } : t,
      );
    case "JUDGED": {
      const state = act.verdict;
      const said = [...readings(act).map((r) => r.typed), act.because].filter(Boolean).join(", ");
      const items = changed(view, "inHand.inspect", (i) => (i.part === act.part ? { ...i, state, measured: said } : i));
      return changed(items, "parts", (p) => (p.id === act.part ? { ...p, state, word: state } : p));
    }
    case "TORQUE_READ":
      return value === null ? view : withTorque(view, act.step, act.fastener ?? 1, value);
    default:
      return view;
  }
}

/** The readings of a bolt: those that were typed, in the place of the one that was supposed. */
function withTorque(view: BenchView, step: string, fastener: number, nm: number): BenchView {
  if (view.inHand.stage !== "BUILD" || view.inHand.step?.id !== step || !view.inHand.step.torque) return view;
  const torque = view.inHand.step.torque;
  const fasteners = torque.fasteners.map((f) => (f.number === fastener ? { ...f, readings: [nm] } : f));
  return {
    ...view,
    inHand: { ...view.inHand, step: { ...view.inHand.step, torque: { ...torque, fasteners } } },
  };
}
