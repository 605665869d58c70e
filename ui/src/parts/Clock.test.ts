import { describe, expect, it } from "vitest";
import type { WaitKind } from "../api/types";
import { grouped } from "../places/floor/grouped";
import { countdown } from "./Clock";
import { waitWord } from "../text/waitWord";

describe("countdown", () => {
  it.each([
    [0, "0:00"],
    [59.2, "1:00"],
    [60, "1:00"],
    [605, "10:05"],
    [3600, "1:00 h"],
    [83_400, "23:10 h"],
  ])("%d s is %s", (seconds, said) => expect(countdown(seconds)).toBe(said));
});

describe("clocks of the floor", () => {
  const clock = (rebuild: number, kind: WaitKind, subject: string) => ({
    pump: "EFF-02",
    rebuild,
    kind,
    subject,
    title: subject,
    until: "2026-03-17T08:00:00Z",
    over: false,
    work: true,
  });

  it("stand as one where they are of one kind on one pump, the first of them shown", () => {
    const groups = grouped([
      clock(1, "retorque", "cap-a"),
      clock(1, "retorque", "cap-b"),
      clock(1, "cure", "shaft"),
      clock(2, "retorque", "flange"),
    ]);
    expect(groups.map((g) => [g.first.subject, g.count])).toEqual([
      ["cap-a", 2],
      ["shaft", 1],
      ["flange", 1],
    ]);
  });

  it("say what they wait for in words, an unknown kind by itself", () => {
    expect(waitWord("follow-up")).toBe("look at again");
    expect(waitWord("tide")).toBe("tide");
  });
});
