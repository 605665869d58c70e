import { scaleLinear } from "d3-scale";
import type { ResistanceLine } from "../../api/types";
import { thickness } from "../../drawing/known";
import { rounded } from "../../text/numbers";
import { quantity, shownNumber } from "../../text/shop";

const WIDTH = 226;
const HOTTEST = 160;
const t = scaleLinear().domain([0, HOTTEST]).range([0, WIDTH]).clamp(true);

/** A row of the library as a bar of temperature, solid to full resistance, hatched to the last limit. */
export function BandBar({ row: r }: { row: ResistanceLine }) {
  const full = r.fullC ?? 0;
  const last = r.limitedC ?? 0;
  const faint = r.under;
  const high = thickness(r.known, 13);
  const ink = faint ? "var(--ruled-out)" : "var(--soft)";
  return (
    <svg width={WIDTH + 62} height={20} role="img" aria-label={said(r)} className="block shrink-0">
      <path d={`M0,10H${WIDTH}M${WIDTH},7V13`} stroke="var(--line)" />
      {last > full && (
        <rect x={t(full)} y={10 - high / 2} width={t(last) - t(full)} height={high} fill="url(#limited)" stroke={ink} />
      )}
      {full > 0 && <rect y={10 - high / 2} width={t(full)} height={high} fill={ink} />}
      <text
        className="m"
        x={t(last) + 6}
        y={14.5}
        fontSize={12.5}
        fontWeight={600}
        fill={faint ? "var(--muted)" : "var(--ink)"}
        paintOrder="stroke"
        stroke="var(--paper)"
        strokeWidth={5}
      >
        {r.limitedC === null
          ? "never"
          : `${r.fullC === null ? "–" : shownNumber(full, "degC")}/${shownNumber(last, "degC")}`}
      </text>
    </svg>
  );
}

/** How well a row is known, in words. */
const KNOWN_WORDS = { known: "well known", usual: "as it usually is", thin: "thinly known" } as const;

/** A band of strengths in words. */
export function band(r: Pick<ResistanceLine, "fromPct" | "toPct">): string {
  return r.fromPct === 0 && r.toPct === 100 ? "any strength" : `${rounded(r.fromPct, 2)} to ${rounded(r.toPct, 2)} %`;
}

export function said(r: ResistanceLine): string {
  const limits =
    r.limitedC === null
      ? "never fit"
      : `full resistance to ${r.fullC === null ? "nothing" : quantity(r.fullC, "degC")}, limited to ${quantity(r.limitedC, "degC")}`;
  return `${band(r)}: ${limits}${r.effect ? `, ${r.effect}` : ""}${r.ownRow !== null ? ", own row" : `, ${KNOWN_WORDS[r.known]}`}`;
}
