import { useQuery } from "@tanstack/react-query";
import { api } from "../../api/client";
import { PumpsByArea } from "../../parts/PumpsByArea";
import { Empty, Failed, Loading } from "../../parts/States";

/** Which pump does something it should not. */
export default function SymptomsList() {
  const floor = useQuery({ queryKey: ["floor"], queryFn: api.floor });
  if (floor.error && !floor.data) return <Failed error={floor.error} what="the pumps" />;
  if (!floor.data) return <Loading what="the pumps" />;
  const areas = floor.data.areas.filter((a) => a.pumps.length > 0);
  if (areas.length === 0) {
    return (
      <Empty title="No pump, no symptom">
        <p>Symptoms are told of a pump, and no pump stands on the floor yet.</p>
      </Empty>
    );
  }
  return (
    <main className="px-5 py-5">
      <h1 className="border-b-[1.5px] border-ink pb-2 text-head font-[680]">Which pump is it</h1>
      <PumpsByArea areas={areas} to={(tag) => `/symptoms/${tag}`} />
    </main>
  );
}
