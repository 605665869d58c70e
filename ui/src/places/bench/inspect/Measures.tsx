import { readingDraft } from "./readingDraft";
import { ReadingField } from "../../../parts/ReadingField";
import type { MeasureView } from "../../../api/types";
import { MeasureScale } from "../../../drawing/MeasureScale";
import { GaugeReader } from "../../../parts/GaugeField";
import { SourceMark } from "../../../parts/SourceMark";

import { Sentence } from "../../../parts/States";
import { useDraft } from "../../../parts/useDraft";
import type { StageProps } from "../frame/stage";
import { faultAt } from "../../../parts/faults";
import { quantity, typedInRecords, typedUnit } from "../../../text/shop";

/** What is measured on a part, each with its gauge, its limit and what it read before. */
export function Measures({ part, measures, view, link }: { part: string; measures: MeasureView[] } & StageProps) {
  return (
    <ul>
      {measures.map((m) => (
        <Measure key={m.measure} part={part} measure={m} view={view} link={link} />
      ))}
    </ul>
  );
}

function Measure({ part, measure: m, view, link }: { part: string; measure: MeasureView } & StageProps) {
  const [typed, setTyped, clear] = useDraft(readingDraft(view.id, part, m.measure).typed);
  const [gauge, setGauge] = useDraft(readingDraft(view.id, part, m.measure).gauge);
  const fault = typed ? faultAt(link.faults, m.measure, "gauge") : undefined;
  const record = async () => {
    const done = await link.act({
      kind: "MEASURED",
      part,
      measurement: { measure: m.measure, reading: { typed, gauge, unit: typedUnit(m.unit) } },
    });
    if (done) {
      clear();
      setGauge("");
    }
  };
  return (
    <li className="border-b border-line2 pt-1.5 pb-1">
      <div className="flex items-baseline justify-between gap-3">
        <span className="flex items-center gap-2">
          <label className="text-body font-[640]" htmlFor={`measure-${m.measure}`}>
            {m.name}
          </label>
          <SourceMark source={m.source} />
        </span>
        <span className={`text-small ${m.overdue ? "text-watch-words" : "text-muted"}`}>
          {gauge
            ? `read with ${gauge}; press the unit to keep it`
            : m.value !== null
              ? `${quantity(m.value, m.unit, 3)}, ${m.by}`
              : m.before && `before: ${m.before}`}
        </span>
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <ReadingField
          id={`measure-${m.measure}`}
          className="w-[94px] text-lead font-semibold"
          typed={typed}
          onType={(text) => {
            setTyped(text);
            setGauge("");
            link.clear();
          }}
          unit={m.unit}
          keeps={`Keep the reading of ${m.name.toLowerCase()}`}
          keep={() => void record()}
          busy={link.busy}
          invalid={fault !== undefined}
        />
        <GaugeReader
          rebuild={view.id}
          subject={part}
          measure={m.measure}
          unit={m.unit}
          onRead={(text, from) => {
            setTyped(text);
            setGauge(from);
          }}
        />
        <MeasureScale measure={m} typed={typedInRecords(typed, m.unit)} width={196} />
      </div>
      {fault && <Sentence>{fault}</Sentence>}
    </li>
  );
}
