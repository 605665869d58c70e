import type { BenchView, Rail } from "../../../api/types";
import { api } from "../../../api/client";
import { useStanding } from "../../../api/session";
import type { BenchLink } from "../../../api/useBench";
import { Rails } from "../../../drawing/Rails";
import { Sentence } from "../../../parts/States";
import { counted } from "../../../text/counted";
import { sentence } from "../../../text/numbers";

/** A job between two people: the note in large, what must change hands with it, the one thing to press. */
export function HandedOver({ view, link, rails }: { view: BenchView; link: BenchLink; rails: Rail[] }) {
  const me = useStanding().session?.initials ?? "";
  const h = view.handover;
  if (!h) return null;
  const own = h.who === me;
  const theirs = h.locks.filter((l) => l.by !== me);
  return (
    <>
      <Rails rails={rails.filter((r) => r.inPlan)} />
      <div className="grid flex-1 grid-cols-[minmax(0,1fr)_388px] max-[1000px]:grid-cols-1">
        <section className="flex flex-col px-5 pt-3" aria-label="Handed over">
          <p className="text-body font-[640] text-accent">
            {h.who} hands this job over, {h.at}
          </p>
          <h2 className="max-w-[26em] text-head leading-9 font-[680] text-balance whitespace-pre-line">{h.note}</h2>
          <p className="pt-1 text-body text-soft">
            {sentence(view.state)}. {counted(h.off, "part")} off
            {h.toLook > 0 && `, ${h.toLook} to look at`}.
          </p>
          <div className="flex-1" />
          {link.faults.map((f) => (
            <Sentence key={f.message}>{f.message}</Sentence>
          ))}
          <div className="sticky bottom-0 flex flex-wrap gap-2.5 bg-paper pt-3 pb-2">
            <a
              className="press flex h-[60px] items-center px-5"
              href={api.handoverUrl(view.id)}
              target="_blank"
              rel="noreferrer"
            >
              Print the card
            </a>
            <button
              type="button"
              className="press go flex h-[60px] min-w-[280px] flex-1 items-center justify-between gap-4 px-[22px]"
              disabled={link.busy}
              onClick={() => void link.act({ kind: "TAKEN_ON" })}
            >
              <span className="text-left text-title">{own ? "Carry on myself" : `Read, I take it on, ${me}`}</span>
              <span className="max-w-[46%] text-right text-body leading-4 font-[560]">
                {own ? "nobody has taken it on yet" : `${h.who} is told`}
              </span>
            </button>
          </div>
        </section>
        <aside className="border-l-[1.5px] border-ink bg-card px-6 pt-3 pb-5 max-[1000px]:border-t max-[1000px]:border-l-0">
          <h3 className="head border-b-[1.5px] border-ink pb-1">Locks change hands</h3>
          {theirs.length === 0 ? (
            <p className="py-2 text-body text-soft">
              {h.locks.length === 0 ? "No energy was cut yet: nothing is locked." : "All locks are yours already."}
            </p>
          ) : (
            <ul>
              {h.locks.map((l) => (
                <li key={l.energy} className="flex items-baseline gap-3 border-b border-line2 py-1.5 text-body">
                  <b className="m w-9 font-bold">{l.by}</b>
                  <span className="min-w-0 flex-1">
                    {l.energy}
                    <span className="block text-small text-muted">{l.where}</span>
                  </span>
                </li>
              ))}
            </ul>
          )}
          <p className="pt-2 text-body leading-[18px] font-[600]">
            {theirs.length > 0 && "Put your own lock on first, then the other may come off. "}
            Prove again what you cannot see. The site's own procedure for changing locks comes before this.
          </p>
        </aside>
      </div>
    </>
  );
}
