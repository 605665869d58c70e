import type { LotView } from "../api/types";
import type { BenchLink } from "../api/useBench";

/** Books a lot for every renewed part it covers, with the materials that it brings: one act. */
export function fitKit(link: BenchLink, lot: LotView, inspected: string): Promise<boolean> {
  return link.act({ kind: "KIT_FITTED", lot: lot.id, parts: lot.covers, materials: lot.materials, note: inspected });
}
