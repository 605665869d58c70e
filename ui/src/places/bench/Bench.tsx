import { lazy, Suspense } from "react";
import { useParams } from "react-router";
import type { BenchView } from "../../api/types";
import { useBench, type BenchLink } from "../../api/useBench";
import { useSettings } from "../../parts/settings";
import { Failed, Loading } from "../../parts/States";
import { Banners } from "./Banners";
import { Closed, HandBack } from "./HandBack";
import { Decide } from "./Decide";
import { JobHead } from "./JobHead";
import { MakeSafe } from "./MakeSafe";
import { Rails } from "../../drawing/Rails";
import { Resting } from "./Rest";
import { StepInHand } from "./StepInHand";
import { TakeIn } from "./TakeIn";

// Drawn signatures and gauges are fetched when the pump is off, not on the floor.
const Inspect = lazy(() => import("./Inspect"));
const Prove = lazy(() => import("./Prove"));

/** The rebuild in hand. */
export function Bench() {
  const { id = "" } = useParams();
  const { who } = useSettings();
  const link = useBench(id, who);
  if (!link.view) {
    return link.failure ? <Failed error={link.failure} what="this rebuild" /> : <Loading what="the rebuild" />;
  }
  return (
    <main className="flex min-h-[calc(100vh-49.5px)] flex-col">
      <JobHead view={link.view} />
      <Banners link={link} />
      {link.view.pause ? <Resting view={link.view} link={link} /> : <StageInHand view={link.view} link={link} />}
    </main>
  );
}

export interface StageProps {
  view: BenchView;
  link: BenchLink;
}

function StageInHand({ view, link }: StageProps) {
  const props = { view, link };
  switch (view.stage) {
    case "TAKE_IN":
      return <TakeIn {...props} />;
    case "MAKE_SAFE":
      return <MakeSafe {...props} />;
    case "STRIP":
    case "BUILD":
      return (
        <>
          <Rails rails={view.rails.filter((r) => r.inPlan)} />
          <StepInHand {...props} />
        </>
      );
    case "INSPECT":
      return (
        <Suspense fallback={<Loading what="the tray" />}>
          <Inspect {...props} />
        </Suspense>
      );
    case "DECIDE":
      return <Decide {...props} />;
    case "PROVE":
      return (
        <Suspense fallback={<Loading what="the tests" />}>
          <Prove {...props} />
        </Suspense>
      );
    case "HAND_BACK":
      return <HandBack {...props} />;
    default:
      return <Closed {...props} />;
  }
}
