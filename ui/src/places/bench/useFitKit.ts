import type { BenchView, LotView } from "../../api/types";
import type { BenchLink } from "../../api/useBench";

/**
 * Books a lot for every renewed part it covers, then says for each of their roles whose material is
 * known that the lot's goes in. Stops at the first act that is refused.
 */
export function useFitKit(link: BenchLink): (view: BenchView, lot: LotView, inspected: string) => Promise<boolean> {
  return async (view, lot, inspected) => {
    const parts = view.decide.parts.filter((p) => lot.covers.includes(p.part));
    if (parts.length === 0) return false;
    const booked = await link.act({
      kind: "LOT_FITTED",
      subject: lot.id,
      text: inspected,
      items: parts.map((p) => p.part),
    });
    if (!booked) return false;
    // A role whose material was not known does not follow the kit: an O-ring in a kit of ceramics.
    const known = new Set(view.decide.roles.filter((r) => r.fitted !== "").map((r) => r.role));
    const roles = new Set(parts.flatMap((p) => p.role ?? []).filter((r) => known.has(r)));
    for (const role of roles) {
      if (!(await link.act({ kind: "MATERIAL_CHOSEN", subject: role, items: [lot.materials[role] ?? lot.material] })))
        return false;
    }
    return true;
  };
}
