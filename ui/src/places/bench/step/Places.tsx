import type { PlaceView, StepView } from "../../../api/types";
import type { BenchLink } from "../../../api/useBench";
import { Sentence } from "../../../parts/States";
import { faultAt } from "../../../parts/faults";

/** Matched parts go back to the place they came from: for each place, which piece from the tray. */
export function Places({ step, link }: { step: StepView; link: BenchLink }) {
  const refused = faultAt(link.faults, "place", "piece", "placed");
  return (
    <div className="mb-3">
      <h3 className="head border-b border-ink pb-1">Back to its own place</h3>
      {refused && <Sentence>{refused}</Sentence>}
      <ul>
        {step.places.map((p) => (
          <Place key={p.place} place={p} step={step.id} link={link} />
        ))}
      </ul>
    </div>
  );
}

function Place({ place: p, step, link }: { place: PlaceView; step: string; link: BenchLink }) {
  return (
    <li className="flex min-h-[52px] flex-wrap items-center gap-x-3 gap-y-1 border-b border-line2 py-1">
      <span className="w-[190px] text-lead font-[660]">{p.name}</span>
      {p.placed ? (
        <span className="flex items-center gap-2 text-body">
          <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden>
            <path d="M2,9.5L7,14.5L16,3.5" fill="none" stroke="var(--sound)" strokeWidth="2.6" />
          </svg>
          {p.placed} is in
        </span>
      ) : (
        <span className="flex flex-wrap gap-2" role="group" aria-label={`Piece for the place of ${p.name}`}>
          {p.candidates.map((c) => (
            <button
              key={c.id}
              type="button"
              className="press"
              disabled={link.busy}
              onClick={() => void link.act({ kind: "PLACED", step, place: p.place, piece: c.id })}
            >
              {c.name}
            </button>
          ))}
          {p.candidates.length === 0 && <span className="text-body text-muted">nothing left on the tray</span>}
        </span>
      )}
    </li>
  );
}
