import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { api } from "./client";
import type { BenchView, Rail } from "./types";

/**
 * The drawing of a job as it stands now. The drawing itself is fetched once, and again when a choice
 * changes it; how each part stands comes with every view. Nothing is drawn before it is here.
 *
 * @param held the drawing that this device holds of the job, for when the server is away
 */
export function useDrawing(view: BenchView | undefined, held: Rail[] | undefined): Rail[] {
  const id = String(view?.id ?? "");
  const made = view?.drawing ?? 0;
  const drawing = useQuery({
    queryKey: ["drawing", id, made],
    queryFn: () => api.drawing(id),
    enabled: view !== undefined,
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  const parts = view?.parts;
  return useMemo(() => standing(drawing.data ?? held ?? [], parts ?? []), [drawing.data, held, parts]);
}

/** The drawing with its parts as they stand; a line is in the plan where the plan takes a part off it. */
export function standing(drawing: Rail[], parts: BenchView["parts"]): Rail[] {
  const now = new Map(parts.map((p) => [p.id, p]));
  return drawing.map((rail) => {
    const lines = rail.lines.map((line) => ({
      ...line,
      parts: line.parts.map((p) => ({ ...p, ...now.get(p.id) })),
    }));
    return { ...rail, lines, inPlan: lines.some((l) => l.parts.some((p) => p.reached)) };
  });
}
