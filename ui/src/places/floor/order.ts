import type { Area, Brief } from "../../api/types";

export const WORST_FIRST = "worst first by 30 days";

type Compare = (a: Brief, b: Brief) => number;

const worst: Compare = (a, b) => b.risk30 - a.risk30;

/** Orders of pumps other than the worst first. */
export const ORDERS: Record<string, Compare> = {
  "soonest due first": (a, b) => a.dueDays - b.dueDays,
  "longest run first": (a, b) => b.hours - a.hours,
  "by tag": (a, b) => a.tag.localeCompare(b.tag, "en", { numeric: true }),
};

/**
 * Areas with their pumps in an order, and the areas by their first pump in it. With the worst first
 * a pump on the bench leads its area, but does not move the area up.
 */
export function ordered(areas: Area[], order: string): Area[] {
  const by = ORDERS[order] ?? worst;
  const benchLeads = !ORDERS[order];
  const onBench = (p: Brief) => Number(benchLeads && p.rebuild !== null);
  const lead = (a: Area) => (benchLeads && a.pumps.find((p) => p.rebuild === null)) || a.pumps[0];
  return areas
    .map((a) => ({ ...a, pumps: [...a.pumps].sort((p, q) => onBench(q) - onBench(p) || by(p, q)) }))
    .sort((a, b) => {
      const [p, q] = [lead(a), lead(b)];
      return p && q ? by(p, q) : 0;
    });
}
