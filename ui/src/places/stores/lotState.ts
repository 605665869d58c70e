import type { LotStatus } from "../../api/types";
import type { State } from "../../parts/Mark";

/** How the status of a lot is drawn. */
export const LOT_STATE: Record<LotStatus, State> = {
  "in-date": "sound",
  "needs-inspection": "watch",
  "over-age": "renew",
  "makers-date": "unknown",
  "used-up": "unknown",
};
