import type { DecideView, LotView } from "../api/types";
import type { BenchLink } from "../api/useBench";

/**
 * Books a lot for every renewed part it covers, then says for each of their roles which material of
 * the lot goes in. Stops at the first act that is refused.
 */
export function useFitKit(link: BenchLink): (decide: DecideView, lot: LotView, inspected: string) => Promise<boolean> {
  return async (decide, lot, inspected) => {
    const parts = decide.parts.filter((p) => lot.covers.includes(p.part));
    if (parts.length === 0) return false;
    const booked = await link.act({
      kind: "LOT_FITTED",
      subject: lot.id,
      text: inspected,
      items: parts.map((p) => p.part),
    });
    if (!booked) return false;
    // A role the kit does not tell the material of is chosen by hand: an O-ring in a kit of ceramics.
    const wanted = new Set(decide.roles.map((r) => r.role));
    for (const role of new Set(parts.flatMap((p) => p.role ?? []))) {
      const material = lot.materials[role];
      if (material === undefined || !wanted.has(role)) continue;
      if (!(await link.act({ kind: "MATERIAL_CHOSEN", subject: role, items: [material] }))) return false;
    }
    return true;
  };
}
