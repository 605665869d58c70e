import { describe, expect, it } from "vitest";
import type { CheckView, StepView, TorqueView } from "../../../api/types";
import { taskOf } from "./task";

const check = (more: Partial<CheckView>) =>
  ({ ask: "Marked face toward the air side", kind: "confirm", settled: false, passed: false, ...more }) as CheckView;

const torque = (more: Partial<TorqueView>) =>
  ({
    count: 8,
    pass: 3,
    fullPass: 3,
    lastRound: 4,
    passes: [],
    nextFastener: 3,
    finished: false,
    ...more,
  }) as TorqueView;

const step = (more: Partial<StepView>) =>
  ({ sentence: "Draw down fluid cap A", checks: [], places: [], torque: null, missing: "", ...more }) as StepView;

describe("the one thing to do now", () => {
  it("is the first open check, then the torque, then the step itself", () => {
    expect(taskOf(step({ checks: [check({})], torque: torque({}) })).kind).toBe("confirm");
    expect(taskOf(step({ checks: [check({ settled: true })], torque: torque({}) }))).toMatchObject({
      kind: "bolt",
      bolt: 3,
      say: "Bolt 3",
    });
    expect(taskOf(step({ torque: torque({ finished: true }) }))).toEqual({
      kind: "done",
      say: "Draw down fluid cap A",
    });
  });
  it("goes round by passes: set, read bolt by bolt, once more", () => {
    const passes = [{ number: 1, percent: 50 }] as TorqueView["passes"];
    expect(taskOf(step({ torque: torque({ pass: 1, passes }) }))).toMatchObject({ kind: "pass", percent: 50 });
    expect(taskOf(step({ torque: torque({ pass: 4 }) })).kind).toBe("round");
  });
  it("is left to the whole view where one button does not do it", () => {
    expect(taskOf(step({ checks: [check({ passed: true, second: true, secondBy: "" })] })).kind).toBe("whole");
    expect(taskOf(step({ checks: [check({ kind: "number", pair: true })] })).kind).toBe("whole");
    expect(taskOf(step({ torque: torque({ nextFastener: null, missing: "Bolt 2 misses" }) }))).toEqual({
      kind: "whole",
      say: "Bolt 2 misses",
    });
  });
});
