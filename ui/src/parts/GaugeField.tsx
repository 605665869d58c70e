import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api } from "../api/client";
import type { GaugeView } from "../api/types";
import { Sentence } from "./States";

/** What a stream said last. */
export interface Sample {
  value: number;
  unit: string;
  steady: boolean;
  batteryPct: number;
}

const LOW_BATTERY = 10;

interface Props {
  /** The rebuild or the pump where the reading belongs, so that the gauge is read at it. */
  rebuild?: number;
  pump?: string;
  subject: string;
  measure: string;
  unit: string;
  /** The one device that may read it; every fitting one where left out. */
  only?: string;
  /** Takes the settled reading and the gauge it came from. */
  onRead: (typed: string, gauge: string) => void;
}

/** Reads a gauge into the field beside it: the readings run in until they stand still. */
export function GaugeReader({ rebuild = 0, pump = "", subject, measure, unit, only, onRead }: Props) {
  const [running, setRunning] = useState("");
  const [sample, setSample] = useState<Sample | null>(null);
  const [silent, setSilent] = useState("");
  const gauges = useQuery({
    queryKey: ["gauges", unit, measure],
    queryFn: () => api.gauges(unit, measure),
    staleTime: 30_000,
  });
  const fitting = (gauges.data ?? []).filter((g, i, all) =>
    only ? g.id === only : g.suits || (i === 0 && !all.some((x) => x.suits)),
  );
  useEffect(() => {
    if (!running) return;
    const stream = new EventSource(api.gaugeStream(running, rebuild, pump, subject, measure));
    stream.addEventListener("sample", (e) => {
      const got = JSON.parse((e as MessageEvent<string>).data) as Sample;
      setSample(got);
      if (got.steady) {
        stream.close();
        setRunning("");
        onRead(`${shown(got.value)} ${got.unit}`, running);
      }
    });
    stream.addEventListener("silent", (e) => {
      setSilent((JSON.parse((e as MessageEvent<string>).data) as { say: string }).say);
      stream.close();
      setRunning("");
    });
    stream.onerror = () => {
      setSilent("The gauge cannot be reached: type the reading.");
      stream.close();
      setRunning("");
    };
    return () => stream.close();
    // onRead is made anew on every render; the stream must not begin again for it.
  }, [running, rebuild, pump, subject, measure]); // eslint-disable-line react-hooks/exhaustive-deps
  if (fitting.length === 0) return null;
  return (
    <div className="flex flex-col gap-1">
      <div className="flex flex-wrap gap-1.5">
        {fitting.slice(0, 1).map((g) => (
          <button
            key={g.id}
            type="button"
            className="press flex h-[50px] w-[116px] items-center gap-2 px-2 text-left leading-4"
            title={`${g.title}, a simulated stand-in, ${g.calibration}`}
            aria-label={`Read ${g.title} ${g.id}`}
            disabled={running !== ""}
            onClick={() => {
              setSilent("");
              setSample(null);
              setRunning(g.id);
            }}
          >
            <GaugeMark live={running === g.id} />
            <span>
              <b className="m text-small">{g.id}</b>
              <span className="block text-small font-[500] text-muted">
                {running === g.id && sample ? shown(sample.value) : "simulated"}
              </span>
            </span>
          </button>
        ))}
      </div>
      {fitting[0]?.overdue && <Overdue gauge={fitting[0]} />}
      {sample && sample.batteryPct < LOW_BATTERY && (
        <p className="text-small text-watch-words">Battery at {sample.batteryPct} %: charge it after this.</p>
      )}
      {silent && <Sentence>{silent}</Sentence>}
    </div>
  );
}

/** A gauge out of calibration is said before it is read. */
function Overdue({ gauge }: { gauge: GaugeView }) {
  return (
    <p className="max-w-[240px] text-small leading-4 text-watch-words">
      {gauge.id} is {gauge.calibration}: its readings are marked.
    </p>
  );
}

function GaugeMark({ live }: { live: boolean }) {
  return (
    <svg width="22" height="20" viewBox="0 0 22 20" fill="none" stroke="var(--accent)" strokeWidth="1.6" aria-hidden>
      <path d="M2,17A9,9 0 1 1 20,17" />
      <path d={live ? "M11,15L17,7" : "M11,15L5,9"} strokeWidth="2" />
      <path d="M2,17H20" stroke="var(--ink)" />
    </svg>
  );
}

/** As a display shows it: no more digits than the device has. */
function shown(value: number): string {
  return String(Number(value.toPrecision(6)));
}
