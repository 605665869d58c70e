import { Link } from "react-router";
import type { SetupTableId, SetupTableInShort } from "../../api/types";
import { Mark } from "../../parts/Mark";
import { counted } from "../../text/counted";

interface Place {
  to: string;
  title: string;
  /** Tables that must have rows: all of one of these lists. */
  needs: SetupTableId[][];
  waits: string;
  says: (pumps: number) => string;
}

const PLACES: Place[] = [
  { to: "/", title: "Floor", needs: [["pumps"]], waits: "waits for pumps", says: (n) => counted(n, "pump") },
  { to: "/bench", title: "Bench", needs: [["pumps"]], waits: "waits for pumps", says: () => "any of them can come" },
  { to: "/library", title: "Library", needs: [[]], waits: "", says: () => "sheets, materials, fluids" },
  {
    to: "/wet-ends",
    title: "Wet ends",
    needs: [["pumps", "duties"]],
    waits: "waits for duties",
    says: () => "chosen by duty",
  },
  {
    to: "/stores",
    title: "Stores",
    needs: [["kits"], ["lots"]],
    waits: "waits for prices or lots",
    says: () => "counts what is there",
  },
  { to: "/diary", title: "Diary", needs: [["shifts"]], waits: "waits for shifts", says: () => "plans within them" },
];

/** Which places a new shop can use already, and what the others wait for. */
export function AlreadyRuns({ tables }: { tables: SetupTableInShort[] }) {
  const rows = (id: SetupTableId) => tables.find((t) => t.table === id)?.rows ?? 0;
  const pumps = rows("pumps");
  const runs = (p: Place) => p.needs.some((all) => all.every((t) => rows(t) > 0));
  return (
    <section aria-label="What already runs" className="pb-5">
      <h2 className="head border-b-[1.5px] border-ink pb-1">What already runs</h2>
      <ul>
        {PLACES.map((p) => (
          <li key={p.to} className="border-b border-line">
            <Link to={p.to} className="flex min-h-11 items-center gap-3">
              <Mark state={runs(p) ? "sound" : "unknown"} size={13} />
              <span className={`flex-1 text-lead font-[640] ${runs(p) ? "" : "text-muted"}`}>{p.title}</span>
              <span className="text-right text-body text-soft">{runs(p) ? p.says(pumps) : p.waits}</span>
            </Link>
          </li>
        ))}
      </ul>
      {pumps > 0 && (
        <Link to="/" className="press go mt-3 flex min-h-[52px] items-center justify-center text-lead">
          Open the Floor
        </Link>
      )}
    </section>
  );
}
