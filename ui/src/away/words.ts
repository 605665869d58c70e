import type { Act, BenchView } from "../api/types";

/** An act in a few words, for the list of what waits. */
export function words(act: Act, view: BenchView): string {
  const now = view.inHand;
  const step = now.stage === "STRIP" || now.stage === "BUILD" ? now.step : null;
  switch (act.kind) {
    case "STEP_DONE":
      return step?.sentence ?? "Step done";
    case "CHECKED":
      return [step?.checks.find((c) => c.id === act.check)?.ask ?? act.check, act.reading?.typed]
        .filter(Boolean)
        .join(": ");
    case "TORQUE_READ":
      return `Bolt ${act.fastener}: ${act.clicked ? "clicked" : (act.reading?.typed ?? "")}`;
    case "PASS_DONE":
      return `Pass ${act.pass} round`;
    case "PLACED":
      return `${step?.places.find((p) => p.place === act.place)?.name ?? act.place} in its place`;
    case "PROVED_SAFE":
    case "CONFIRMED": {
      const id = act.kind === "CONFIRMED" ? act.confirmation : act.hazard;
      return (now.stage === "MAKE_SAFE" && now.gates.find((g) => g.id === id)?.title) || id;
    }
    case "JUDGED": {
      const part = now.stage === "INSPECT" ? now.inspect.find((i) => i.part === act.part)?.name : undefined;
      return `${part ?? act.part}: ${act.verdict}`;
    }
    case "KIT_FITTED":
      return `Lot ${act.lot} fitted`;
    case "PROVED":
      return (now.stage === "PROVE" && now.proof.find((t) => t.id === act.test)?.ask) || act.test;
    case "CLOCK_STARTED":
      return "Clock started";
    case "STAGE_DONE":
      return `${view.stages.find((s) => s.id === act.stage)?.title ?? act.stage} finished`;
    case "NOTED":
      return act.text;
    default:
      return act.kind.toLowerCase().replaceAll("_", " ");
  }
}
