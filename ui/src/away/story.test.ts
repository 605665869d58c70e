import { expect, test } from "vitest";
import type { Act, AheadView, BenchView, MayView } from "../api/types";
import { Story, type Kept } from "./story";

type Check = { id: string; answered: boolean; value: number | null; settled: boolean };

/** The bench at a step with two checks, as far as a story reads it. */
function bench(step: string, checks: Check[], missing: string): BenchView {
  return {
    seq: 7,
    stage: "STRIP",
    parts: [],
    inHand: { stage: "STRIP", step: { id: step, checks, missing } },
  } as unknown as BenchView;
}

const open = (id: string): Check => ({ id, answered: false, value: null, settled: false });
const done = (id: string, value: number | null = null): Check => ({ id, answered: true, value, settled: true });

const band = (least: number | null, most: number | null, outcome: string, say = "", unless = "nothing") => ({
  measure: "",
  least,
  most,
  outcome,
  say,
  unless,
});

const may = (kind: string, of: Record<string, string>, then: number, bands: unknown[] = [], later = "") =>
  ({ kind, of, then, later, bands }) as unknown as MayView;

/** One step: a gap of at most 2 mm and a mark, in any order; then it is off and the next is in hand. */
const AHEAD = {
  seq: 7,
  situations: [
    {
      view: bench("lid", [open("gap"), open("mark")], "2 checks to answer"),
      waits: "",
      may: [
        may("CHECKED", { step: "lid", check: "gap" }, 1, [
          band(2, 2, "goes-on"),
          band(40, 40, "refused", "{typed} mm cannot be."),
          band(null, 2, "goes-on"),
          band(2, 40, "stays", "{typed} misses the limit."),
          band(40, null, "refused", "{typed} mm cannot be."),
        ]),
        may("CHECKED", { step: "lid", check: "mark" }, 2),
      ],
    },
    { view: bench("lid", [done("gap", 1), open("mark")], "1 check to answer"), waits: "", may: [] },
    {
      view: bench("lid", [done("gap", 1), done("mark")], ""),
      waits: "",
      may: [may("STEP_DONE", { step: "lid" }, 3, [band(null, null, "refused", "It dries yet.", "because")])],
    },
    { view: bench("rotor", [], ""), waits: "A second person looks as well: Safe.", may: [] },
  ],
} as unknown as AheadView;

let keys = 0;
const kept = (act: Act): Kept => ({ key: String(++keys), at: 0, act });
const gap = (typed: string): Act => ({ kind: "CHECKED", step: "lid", check: "gap", reading: { typed } });
const MARK: Act = { kind: "CHECKED", step: "lid", check: "mark" };

function stepOf(story: Story) {
  const now = story.view().inHand;
  return now.stage === "STRIP" ? now.step : null;
}

test("checks are answered in any order, and what is shown is what was read", () => {
  const story = new Story(AHEAD, [kept(MARK)]);
  expect(stepOf(story)?.checks.map((c) => c.settled)).toEqual([false, true]);
  expect(stepOf(story)?.missing).toBe("1 check to answer");
  story.tell(kept(gap("1,4")));
  expect(stepOf(story)?.missing).toBe("");
  expect(stepOf(story)?.checks[0]?.value).toBe(1.4);
  expect(story.waits).toBe("");
});

test("a reading leads where the rules lead: on, to be read again, or nowhere", () => {
  const story = new Story(AHEAD, []);
  expect(story.answer(gap("2"), 0)).toMatchObject({ outcome: "goes-on", then: 1 });
  expect(story.answer(gap("2.5"), 0)).toEqual({ outcome: "stays", say: "2.5 misses the limit." });
  expect(story.answer(gap("250"), 0)).toEqual({ outcome: "refused", path: "value", say: "250 mm cannot be." });
  expect(story.answer(gap("two"), 0).outcome).toBe("refused");
  story.tell(kept(gap("2.5")));
  expect(stepOf(story)?.checks[0]?.settled).toBe(false);
});

test("a reason lifts a refusal that asks for one, and where a second person signs it ends", () => {
  const story = new Story(AHEAD, [kept(gap("1")), kept(MARK)]);
  const off = (because: string): Act => ({ kind: "STEP_DONE", step: "lid", because });
  expect(story.answer(off(""), 0)).toMatchObject({ outcome: "refused", say: "It dries yet." });
  story.tell(kept(off("hot air used")));
  expect(stepOf(story)?.id).toBe("rotor");
  expect(story.waits).toBe("A second person looks as well: Safe.");
});

test("what nobody worked out is kept for the server; what only it can do is not begun", () => {
  const story = new Story(AHEAD, []);
  story.tell(kept({ kind: "NOTED", text: "wet floor" }));
  expect(story.later).toEqual([]);
  story.tell(kept({ kind: "FOUND_IMPOSSIBLE", step: "lid", because: "seized" }));
  expect(story.later).toHaveLength(1);
  expect(story.answer({ kind: "STEP_UNDONE", step: "lid" }, 0).outcome).toBe("refused");
});
