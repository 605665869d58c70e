import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "../../../api/client";
import { Empty, Failed, Loading } from "../../../parts/States";

/** The rebuilds in hand. */
export default function BenchList() {
  const running = useQuery({ queryKey: ["running"], queryFn: api.running });
  if (running.error && !running.data) return <Failed error={running.error} what="the bench" />;
  if (!running.data) return <Loading what="the bench" />;
  if (running.data.length === 0) {
    return (
      <Empty title="The bench is clear">
        <p>No rebuild is in hand. The floor shows what comes down next.</p>
        <p className="pt-5">
          <Link className="press go inline-flex items-center" to="/">
            Look at the floor
          </Link>
        </p>
      </Empty>
    );
  }
  return (
    <main className="mx-auto w-full max-w-[860px] px-5 py-6">
      <h1 className="border-b-[1.5px] border-ink pb-2 text-head font-[680]">In hand</h1>
      <ul>
        {running.data.map((r) => (
          <li key={r.id} className="border-b border-line2">
            <Link to={`/bench/${r.id}`} className="flex min-h-[72px] flex-wrap items-center gap-x-6 py-2 hover:bg-card">
              <span className="tag w-36 text-head">{r.pump}</span>
              <span className="w-28 text-lead font-[680] text-accent">{r.stage}</span>
              <span className="min-w-0 flex-1 leading-[19px] max-[560px]:basis-full">
                <b className="block truncate text-lead font-[640]">{r.state}</b>
                <span className="block truncate text-body text-muted">{r.reason}</span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </main>
  );
}
