import { lazy, Suspense } from "react";
import { useParams } from "react-router";
import type { Rail, StepView } from "../../../api/types";
import { useBench } from "../../../api/useBench";
import { useLive } from "../../../api/useLive";
import { useStanding } from "../../../api/session";
import { useSendShots } from "../../../away/useShots";
import { useDrawing } from "../../../api/useDrawing";
import { useLowScreen } from "../../../parts/useLowScreen";
import { Failed, Loading } from "../../../parts/States";
import { useSettings } from "../../../parts/settings";
import { BigStep } from "../big/BigStep";
import { TwoStories } from "../away/TwoStories";
import { Banners } from "./Banners";
import { Closed, HandBack } from "../handback/HandBack";
import { Decide } from "../decide/Decide";
import { HandedOver } from "./HandedOver";
import { JobHead } from "./JobHead";
import { SignHere } from "./SignHere";
import { MakeSafe } from "../makesafe/MakeSafe";
import { Rails } from "../../../drawing/Rails";
import { Resting } from "./Rest";
import type { StageProps } from "./stage";
import { StepInHand } from "../step/StepInHand";
import { TakeIn } from "../takein/TakeIn";

// Drawn signatures and gauges are fetched when the pump is off, not on the floor.
const Inspect = lazy(() => import("../inspect/Inspect"));
const Prove = lazy(() => import("../prove/Prove"));

/** The rebuild in hand. */
export default function Bench() {
  const { id = "" } = useParams();
  const link = useBench(id);
  const rails = useDrawing(link.view, link.carried.held?.ahead?.drawing);
  const others = useLive(id);
  useSendShots(id, useStanding().session?.initials ?? "");
  if (!link.view) {
    return link.failure ? <Failed error={link.failure} what="this rebuild" /> : <Loading what="the rebuild" />;
  }
  return (
    <main className="flex min-h-[calc(100vh-49.5px)] flex-col">
      <JobHead view={link.view} alone={link.carried.ready ? `live, held here to ${link.carried.reaches}` : ""} />
      <Banners link={link} others={others} />
      {link.carried.stories ? (
        <TwoStories link={link} stories={link.carried.stories} />
      ) : link.view.handover ? (
        <HandedOver view={link.view} link={link} rails={rails} />
      ) : link.view.pause ? (
        <Resting view={link.view} link={link} rails={rails} />
      ) : (
        <StageInHand view={link.view} link={link} rails={rails} />
      )}
      {link.signing && <SignHere signing={link.signing} link={link} />}
    </main>
  );
}

/**
 * The drawing above the step. On a low screen it gives way: to the ring of a joint that is being
 * tightened, which is a drawing itself, and its tray to a step with much to read.
 */
function RailsOfTheStep({ rails, step }: { rails: Rail[]; step: StepView | null }) {
  const low = useLowScreen();
  const open = step?.checks.filter((c) => !c.settled).length ?? 0;
  if (low && step?.torque && open === 0) return null;
  const much = open + (step?.cautions.length ?? 0) > 2;
  return <Rails rails={rails.filter((r) => r.inPlan)} bare={low && much} />;
}

function StageInHand({ rails, ...props }: StageProps & { rails: Rail[] }) {
  const now = props.view.inHand;
  const { big } = useSettings();
  switch (now.stage) {
    case "TAKE_IN":
      return <TakeIn {...props} now={now} rails={rails} />;
    case "MAKE_SAFE":
      return <MakeSafe {...props} now={now} rails={rails} />;
    case "STRIP":
    case "BUILD":
      return (
        <>
          <RailsOfTheStep rails={rails} step={now.step} />
          <StepInHand {...props} now={now} rails={rails} />
          {big && now.step && !props.link.signing && (
            <BigStep key={now.step.id} {...props} now={now} step={now.step} rails={rails} />
          )}
        </>
      );
    case "INSPECT":
      return (
        <Suspense fallback={<Loading what="the tray" />}>
          <Inspect {...props} now={now} rails={rails} />
        </Suspense>
      );
    case "DECIDE":
      return <Decide {...props} now={now} rails={rails} />;
    case "PROVE":
      return (
        <Suspense fallback={<Loading what="the tests" />}>
          <Prove {...props} now={now} rails={rails} />
        </Suspense>
      );
    case "HAND_BACK":
      return <HandBack {...props} now={now} rails={rails} />;
    case "CLOSED":
      return <Closed {...props} now={now} rails={rails} />;
  }
}
