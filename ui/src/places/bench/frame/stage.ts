import type { BenchView, Rail, StageView } from "../../../api/types";
import type { BenchLink } from "../../../api/useBench";

/** What every part of the bench may need: the head of the job, and the way to act on it. */
export interface StageProps {
  view: BenchView;
  link: BenchLink;
}

/** What one stage shows. */
export type Now<S extends StageView["stage"]> = Extract<StageView, { stage: S }>;

/** A stage in hand, with the drawing of the pump as it stands. */
export interface InStage<S extends StageView["stage"]> extends StageProps {
  now: Now<S>;
  rails: Rail[];
}
