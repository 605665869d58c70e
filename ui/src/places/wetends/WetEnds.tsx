import { useQuery } from "@tanstack/react-query";
import { useParams } from "react-router";
import { api } from "../../api/client";
import type { ChooserView } from "../../api/types";
import { useBench } from "../../api/useBench";
import { rounded } from "../../parts/numbers";
import { useSettings } from "../../parts/settings";
import { Failed, Loading, Sentence } from "../../parts/States";
import { useFitKit } from "../bench/useFitKit";
import { Kits } from "./Kits";
import { TemperatureBars } from "./TemperatureBars";

/** Which wet end stands this pump's duty: materials against fluids, kits by what an hour costs. */
export function WetEnds() {
  const { tag = "" } = useParams();
  const chooser = useQuery({ queryKey: ["wet-ends", tag], queryFn: () => api.wetEnds(tag) });
  const pump = useQuery({ queryKey: ["pump", tag], queryFn: () => api.pump(tag) });
  if (chooser.error) return <Failed error={chooser.error} what="the wet ends" />;
  if (!chooser.data || !pump.data) return <Loading what="the library" />;
  return <Chooser chooser={chooser.data} rebuild={pump.data.strip.rebuild} hours={pump.data.strip.hours} />;
}

function Chooser({ chooser, rebuild, hours }: { chooser: ChooserView; rebuild: number | null; hours: number }) {
  return (
    <main>
      <header className="flex min-h-16 flex-wrap items-center gap-x-6 border-b border-ink px-5 py-1">
        <h1 className="tag text-[44px] leading-[46px]">{chooser.tag}</h1>
        <div className="min-w-0 flex-1 leading-5">
          <p className="text-[16px] font-[600]">What goes in this time</p>
          <p className="truncate text-[14px] text-muted">
            {chooser.title}. {chooser.fittedNow} in it, {rounded(hours)} h. Body {chooser.bodyMaterial}.
          </p>
        </div>
        <Key />
      </header>
      <div className="grid grid-cols-[236px_minmax(0,1fr)_404px] max-[1180px]:grid-cols-[minmax(0,1fr)_380px] max-[860px]:grid-cols-1">
        <DutyColumn chooser={chooser} />
        <section aria-label="Materials against fluids" className="min-w-0">
          <TemperatureBars chooser={chooser} />
          <p className="border-t border-line px-5 py-3 text-[13.5px] leading-[18px] text-muted">{chooser.note}</p>
        </section>
        {rebuild === null ? <Kits chooser={chooser} /> : <KitsForRebuild chooser={chooser} rebuild={rebuild} />}
      </div>
    </main>
  );
}

/** Kits of a pump that stands on the bench: while it is in Decide, one can be fitted from here. */
function KitsForRebuild({ chooser, rebuild }: { chooser: ChooserView; rebuild: number }) {
  const { who } = useSettings();
  const link = useBench(String(rebuild), who);
  const fit = useFitKit(link);
  const view = link.view;
  if (!view || view.stage !== "DECIDE") return <Kits chooser={chooser} />;
  return (
    <div>
      {link.faults.map((f) => (
        <div key={f.message} className="border-l-[1.5px] border-ink px-5">
          <Sentence>{f.message}</Sentence>
        </div>
      ))}
      <Kits
        chooser={chooser}
        fitted={view.decide.parts.flatMap((p) => p.lot ?? [])}
        busy={link.busy}
        draftKey={String(rebuild)}
        onFit={async (id, inspected) => {
          const lot = view.decide.lots.find((l) => l.id === id);
          if (lot) await fit(view, lot, inspected);
        }}
      />
    </div>
  );
}

function Key() {
  return (
    <ul className="flex flex-wrap items-center gap-5 text-[14px] text-soft" aria-label="What the bars mean">
      <li className="flex items-center gap-2">
        <svg width="40" height="14" aria-hidden>
          <rect x=".5" y="1" width="39" height="12" fill="var(--soft)" />
        </svg>
        full resistance
      </li>
      <li className="flex items-center gap-2">
        <svg width="40" height="14" aria-hidden>
          <rect x=".5" y="1" width="39" height="12" fill="url(#limited)" stroke="var(--soft)" />
        </svg>
        limited life
      </li>
      <li className="flex items-center gap-2">
        <svg width="12" height="22" aria-hidden>
          <path d="M6,0V22" stroke="var(--ink)" strokeWidth="2" />
          <path d="M1,0H11L6,6Z" fill="var(--ink)" />
        </svg>
        duty temperature
      </li>
    </ul>
  );
}

function DutyColumn({ chooser }: { chooser: ChooserView }) {
  return (
    <section
      aria-label="The duty"
      className="border-r border-line px-5 pt-3.5 pb-5 max-[1180px]:col-span-full max-[1180px]:border-r-0 max-[1180px]:border-b"
    >
      <h2 className="head pb-2.5">The duty</h2>
      <div className="max-[1180px]:grid max-[1180px]:grid-cols-3 max-[1180px]:gap-5 max-[760px]:grid-cols-1">
        {chooser.duty.map((d) => (
          <div key={d.fluid} className="border-t border-ink py-2">
            <p className="text-[16px] leading-[19px] font-[660]">{d.name}</p>
            <p className="min-h-[17px] text-[13px] leading-[17px] text-muted">{d.note}</p>
            <p className="flex items-baseline gap-4 pt-1">
              <span className="m text-[24px] leading-[27px] font-semibold tracking-[-.04em]">
                {rounded(d.temperatureC)}
                <span className="pl-1 text-[13px] font-medium tracking-normal text-muted">°C</span>
              </span>
              <span className="m text-[16px] font-semibold">
                {rounded(d.concentrationPct, 1)}
                <span className="pl-1 text-[13px] font-medium text-muted">%</span>
              </span>
            </p>
            <svg
              viewBox="0 0 196 16"
              className="mt-1 block w-full max-w-[240px]"
              role="img"
              aria-label={`${Math.round(d.share * 100)} percent of the time`}
            >
              <path d="M0,8H150" stroke="var(--line)" />
              <rect y="4" width={150 * d.share} height="8" fill="var(--soft)" />
              <text className="m" x="196" y="12.5" fontSize="13" fontWeight="600" textAnchor="end" fill="var(--ink)">
                {rounded(d.share * 100)}%
              </text>
            </svg>
          </div>
        ))}
        <dl className="border-t border-ink">
          <Fact name="Solids wear" value={chooser.abrasion} />
          <Fact name="Suction lift" value={`${rounded(chooser.suctionLiftM, 1)} m`} />
          <Fact name="Run" value={`${rounded(chooser.hoursPerDay)} h a day`} />
          <Fact name="Body" value={chooser.bodyMaterial} />
          <Fact name="If it fails" value={chooser.consequence === "high" ? "harms" : "stops a line"} />
        </dl>
      </div>
    </section>
  );
}

function Fact({ name, value }: { name: string; value: string }) {
  return (
    <div className="flex h-[34px] items-baseline justify-between border-b border-line2 pt-2">
      <dt className="text-[14px] text-soft">{name}</dt>
      <dd className="m text-[14.5px] font-semibold tracking-[-.02em]">{value}</dd>
    </div>
  );
}
