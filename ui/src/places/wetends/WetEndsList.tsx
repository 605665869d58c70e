import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "../../api/client";
import { PumpsByArea } from "../../parts/PumpsByArea";
import { Empty, Failed, Loading } from "../../parts/States";

/** Whose duty to choose a wet end for. */
export default function WetEndsList() {
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
        <h1 className="text-head font-[680]">Whose wet end</h1>
        <Link className="press call inline-flex items-center" to="/wet-ends/typed">
          A duty typed in
        </Link>
      </div>
      <PumpsByArea areas={areas} to={(tag) => `/wet-ends/${tag}`} />
    </main>
  );
}
