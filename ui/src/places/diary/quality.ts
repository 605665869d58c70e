import type { PlanSearch } from "../../api/types";
import { counted } from "../../text/counted";
import { rounded } from "../../text/numbers";

/** Under this share nobody could tell two plans apart: it is less than a penny in twenty pounds. */
const NOTHING = 0.0005;

/** How good the plan is, as a sentence. */
export function quality(search: PlanSearch): string {
  const placed =
    search.placed === search.jobs
      ? search.jobs === 1
        ? "The one job is placed"
        : `All ${counted(search.jobs, "job")} placed`
      : `${search.placed} of ${counted(search.jobs, "job")} placed`;
  if (search.gap < NOTHING) return `${placed}; no plan costs less.`;
  const percent = 100 * search.gap;
  return `${placed}; the best plan could cost ${rounded(percent, percent < 10 ? 1 : 0)} % less at most.`;
}
