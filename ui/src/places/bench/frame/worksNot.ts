import type { Person } from "../../../api/types";

/** Why a person signs for no work at pumps; empty where they do. */
export function worksNot(p: Person): string {
  if (!p.hasPin) return "no PIN yet";
  return p.role === "technician" || p.role === "lead" ? "" : `a ${p.role}`;
}
