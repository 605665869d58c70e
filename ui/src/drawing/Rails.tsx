import { useState } from "react";
import type { Rail, RailPart } from "../api/types";
import { isLeftShut } from "./leftShut";
import { HeadPlan } from "./HeadPlan";
import { Stack } from "./Stack";

interface Props {
  rails: Rail[];
  onPress?: (parts: RailPart[]) => void;
  bare?: boolean;
  natural?: boolean;
}

/** Whether the plan still has something to take off here. */
function isLeftToDo(rail: Rail): boolean {
  return rail.lines.some((l) => l.parts.some((p) => p.where === "in-place" && !isLeftShut(p)));
}

/** The stack drawing, one side of the pump at a time; the side with a part in hand shows first. */
export function Rails({ rails, ...stack }: Props) {
  const [chosen, setChosen] = useState("");
  const busy = rails.find((r) => r.lines.some((l) => l.parts.some((p) => p.where === "in-hand")));
  const shown = rails.find((r) => r.id === chosen) ?? busy ?? rails.find(isLeftToDo) ?? rails[0];
  if (!shown) return null;
  return (
    <div className="relative">
      {rails.length > 1 && (
        <div className="flex border-b border-line2 bg-card px-3" role="group" aria-label="Side of the pump">
          {rails.map((r) => (
            <button
              key={r.id}
              type="button"
              aria-pressed={r.id === shown.id}
              onClick={() => setChosen(r.id)}
              className={`h-11 px-3 text-body ${
                r.id === shown.id ? "font-[720] underline decoration-2 underline-offset-[6px]" : "font-[560] text-muted"
              }`}
            >
              {r.title}
            </button>
          ))}
        </div>
      )}
      {shown.lines.every((l) => l.view === "plan") ? (
        <HeadPlan rail={shown} {...stack} />
      ) : (
        <Stack rail={shown} {...stack} />
      )}
    </div>
  );
}
