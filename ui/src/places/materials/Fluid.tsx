import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import { api } from "../../api/client";
import type { FluidSheet } from "../../api/types";

import { Failed, Loading } from "../../parts/States";
import { band, BandBar } from "./BandBar";
import { Limits } from "./Limits";
import { quantity } from "../../text/shop";

/** A fluid against every material of the library. */
export default function Fluid() {
  const { fluid = "" } = useParams();
  const sheet = useQuery({ queryKey: ["fluid", fluid], queryFn: () => api.fluid(fluid) });
  if (sheet.error) return <Failed error={sheet.error} what="this fluid" />;
  if (!sheet.data) return <Loading what="the fluid" />;
  const f = sheet.data;
  const known = f.pairs.filter((p) => p.rows.length > 0);
  const unknown = f.pairs.filter((p) => p.rows.length === 0);
  return (
    <main className="px-5 pt-3 pb-10">
      <div className="flex flex-wrap items-end justify-between gap-4 border-b-[1.5px] border-ink pb-2">
        <div>
          <h1 className="text-head leading-9 font-[680]">{f.name}</h1>
          <p className="text-body text-soft">{f.aliases.join(", ")}</p>
        </div>
        <span className="flex gap-5">
          <a
            className="under"
            href={`/api/v1/materials/fluids/${encodeURIComponent(f.code)}.pdf`}
            target="_blank"
            rel="noreferrer"
          >
            On paper
          </a>
          <Link className="under" to="/library/materials">
            All fluids
          </Link>
        </span>
      </div>
      <Care fluid={f} />
      <Limits of={f} />
      <ul className="grid grid-cols-2 gap-x-8 max-[1100px]:grid-cols-1">
        {known.map((p) => (
          <li key={p.material} className="border-b border-line2">
            <Link
              to={`/library/materials/${f.code}/${encodeURIComponent(p.material)}`}
              className="flex min-h-12 items-center gap-3 py-1 hover:bg-card"
            >
              <span className="w-[132px] shrink-0 text-lead leading-[18px] font-[700] narrow">{p.material}</span>
              <span className="min-w-0 flex-1">
                {p.rows.map((r) => (
                  <span
                    key={r.ownRow ?? `${r.fromPct} shipped`}
                    className="flex items-center gap-2 text-small text-muted"
                  >
                    <span className="w-[78px] shrink-0 whitespace-nowrap">
                      {r.ownRow !== null && <b className="text-accent">own </b>}
                      {band(r)}
                    </span>
                    <BandBar row={r} />
                    <span className="truncate">{r.effect}</span>
                  </span>
                ))}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {unknown.length > 0 && (
        <p className="pt-4 text-body leading-6">
          <b className="font-[660]">Not known: </b>
          {unknown.map((p, i) => (
            <span key={p.material}>
              {i > 0 && ", "}
              <Link className="underline" to={`/library/materials/${f.code}/${encodeURIComponent(p.material)}`}>
                {p.material}
              </Link>
            </span>
          ))}
          .
        </p>
      )}
    </main>
  );
}

function Care({ fluid: f }: { fluid: FluidSheet }) {
  return (
    <p className="border-b border-ink py-2 text-body leading-[20px]">
      <b className="font-[660]">Hurts: </b>
      {f.hurts.join(", ")}. <b className="font-[660]">Wear: </b>
      {f.wear.join(", ").toLowerCase()}. <b className="font-[660]">Spilt: </b>
      {f.spilt} {f.flashC !== null && <b className="font-[660]">Flash point {quantity(f.flashC, "degC")}. </b>}
      <span className="text-muted">The safety data sheet of what is really there comes first.</span>
    </p>
  );
}
