import type { ClockView } from "../../api/types";

export interface Group {
  first: ClockView;
  count: number;
}

/** Clocks of one kind on one pump stand as one: the first to be over, and how many there are. */
export function grouped(clocks: ClockView[]): Group[] {
  const groups = new Map<string, Group>();
  for (const c of clocks) {
    const key = `${c.rebuild} ${c.kind}`;
    const held = groups.get(key);
    groups.set(key, { first: held?.first ?? c, count: (held?.count ?? 0) + 1 });
  }
  return [...groups.values()];
}
