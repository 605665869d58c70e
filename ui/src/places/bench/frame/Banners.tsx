import type { Present } from "../../../api/useLive";
import type { BenchLink } from "../../../api/useBench";
import { AwayLine } from "../away/AwayLine";

/** What the bench must say before anything else: the server is away, or someone else acted first. */
export function Banners({ link, others }: { link: BenchLink; others: Present[] }) {
  return (
    <>
      <AwayLine link={link} job={String(link.view?.id ?? "")} />
      {others.length > 0 && (
        <p role="status" className="border-b border-line bg-card px-5 py-1 text-body">
          <b className="font-[660]">{[...new Set(others.map((p) => p.initials))].join(", ")}</b>
          {others.length === 1 ? " has" : " have"} this job open too, {others.map((p) => `on ${p.device}`).join(", ")}:
          what they do shows here at once.
        </p>
      )}
      {link.stale && (
        <div role="alert" className="flex items-center gap-4 border-b-[1.5px] border-ink bg-wash px-5 py-2">
          <p className="flex-1 text-lead leading-5 font-[620]">{link.stale}</p>
          <button type="button" className="press call" onClick={link.clear}>
            Seen
          </button>
        </div>
      )}
    </>
  );
}
