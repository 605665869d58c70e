import { useStanding } from "../api/session";
import type { Right } from "../api/types";

const FOR: Record<Right, string> = {
  open: "",
  see: "Sign in first.",
  own: "Sign in first.",
  work: "For a technician or a lead.",
  take: "For those who work here.",
  stock: "For the storekeeper or a lead.",
  lead: "For a lead.",
};

/** Whether who stands here may do something, and who may where they may not. */
export function useMay(right: Right): { may: boolean; why: string } {
  const may = useStanding().session?.rights.includes(right) ?? false;
  return { may, why: may ? "" : FOR[right] };
}
