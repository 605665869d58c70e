import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "../../api/client";
import { PumpKind } from "../../drawing/PumpKind";
import { asState, Mark } from "../../parts/Mark";
import { Empty, Failed, Loading } from "../../parts/States";

/** Whose duty to choose a wet end for. */
export function WetEndsList() {
  const floor = useQuery({ queryKey: ["floor"], queryFn: api.floor });
  if (floor.error && !floor.data) return <Failed error={floor.error} what="the pumps" />;
  if (!floor.data) return <Loading what="the pumps" />;
  const areas = floor.data.areas.filter((a) => a.pumps.length > 0);
  if (areas.length === 0) {
    return (
      <Empty title="No pump, no duty">
        <p>Wet ends are chosen for a pump's duty, and no pump stands on the floor yet.</p>
      </Empty>
    );
  }
  return (
    <main className="px-5 py-5">
      <div className="flex flex-wrap items-center justify-between border-b-[1.5px] border-ink pb-2">
        <h1 className="text-[27px] font-[680]">Whose wet end</h1>
        <Link className="press call inline-flex items-center" to="/wet-ends/typed">
          A duty typed in
        </Link>
      </div>
      <div className="grid grid-cols-2 gap-x-10 max-[860px]:grid-cols-1">
        {areas.map((a) => (
          <section key={a.name} className="pt-4" aria-label={a.name}>
            <h2 className="head">{a.name}</h2>
            <ul className="border-t border-ink">
              {a.pumps.map((p) => (
                <li key={p.tag} className="border-b border-line2">
                  <Link to={`/wet-ends/${p.tag}`} className="flex min-h-12 items-center gap-3 hover:bg-card">
                    <Mark state={asState(p.state)} size={16} />
                    <span className="w-[70px] text-[18px] font-[700] narrow">{p.tag}</span>
                    <PumpKind family={p.family} />
                    <span className="min-w-0 flex-1 truncate text-[15px]">{p.dutyTitle}</span>
                    <span className="text-[14.5px] font-[660]">{p.material}</span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
    </main>
  );
}
