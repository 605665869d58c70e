import { Link } from "react-router";
import type { Area } from "../api/types";
import { PumpKind } from "../drawing/PumpKind";
import { Mark } from "./Mark";

/** Every pump of the floor by area, to choose one for a place. */
export function PumpsByArea({ areas, to }: { areas: Area[]; to: (tag: string) => string }) {
  return (
    <div className="grid grid-cols-2 gap-x-10 max-[860px]:grid-cols-1">
      {areas.map((a) => (
        <section key={a.name} className="pt-4" aria-label={a.name}>
          <h2 className="head">{a.name}</h2>
          <ul className="border-t border-ink">
            {a.pumps.map((p) => (
              <li key={p.tag} className="border-b border-line2">
                <Link to={to(p.tag)} className="flex min-h-12 items-center gap-3 hover:bg-card">
                  <Mark state={p.state} size={16} />
                  <span className="w-[70px] text-lead font-[700] narrow">{p.tag}</span>
                  <PumpKind family={p.family} />
                  <span className="min-w-0 flex-1 truncate text-body">{p.dutyTitle}</span>
                  <span className="text-body font-[660]">{p.material}</span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
