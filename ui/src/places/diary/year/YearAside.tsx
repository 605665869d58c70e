import type { TriedChange, ChangeQuestion, YearRunView, YearView } from "../../../api/types";
import { density, outline } from "../../../drawing/year/density";
import { rounded } from "../../../text/numbers";
import { currency } from "../../../text/shop";
import { useMay } from "../../../parts/useMay";
import { OwnChange } from "./OwnChange";
import { Playing } from "./Playing";
import { TakeAdvised } from "./TakeAdvised";
import { YearDrivers } from "./YearDrivers";

interface Props {
  year: YearView;
  run: YearRunView | undefined;
  play: (change: ChangeQuestion) => void;
  stop: () => void;
  busy: boolean;
}

/** Where the difference comes from, and one change that is tried beside it. */
export function YearAside({ year, run, play, stop, busy }: Props) {
  const work = useMay("work");
  const tried = run?.changes ?? [];
  const open = year.changes.filter((c) => !tried.some((t) => t.say === c.say));
  const playing = run?.playing ?? "";
  return (
    <aside
      aria-label="What drives the difference"
      className="border-l-[1.5px] border-ink bg-card px-5 pt-3 pb-6 max-[1080px]:border-t-[1.5px] max-[1080px]:border-l-0"
    >
      <YearDrivers year={year} />
      <section aria-label="One change beside it" className="pt-4">
        <h2 className="head flex items-baseline justify-between border-b-[1.5px] border-ink pb-1">
          One change beside it
          <span className="text-small font-[500] text-muted">saves, {currency()} a year</span>
        </h2>
        <Tried tried={tried} />
        {playing && (
          <div className="-mx-5 border-y border-accent bg-wash px-5 py-3">
            <p className="pb-1 text-body font-[640] text-accent">{playing}</p>
            <Playing run={run} stop={stop} />
          </div>
        )}
        {run?.problem && <p className="py-1 text-body text-renew">{run.problem}</p>}
        <ul>
          {open.map((c) => (
            <li key={c.say} className="border-b border-line2">
              <button
                type="button"
                className="flex min-h-11 w-full items-center gap-3 text-left text-body disabled:text-muted"
                disabled={playing !== "" || busy || !work.may}
                title={work.why}
                onClick={() => play({ kind: c.kind, pump: c.pump, kit: c.kit, pieces: c.pieces, cause: c.cause })}
              >
                <span className="flex-1">{c.say}</span>
                <span className="font-[640] text-accent underline">Try it</span>
              </button>
            </li>
          ))}
        </ul>
        <OwnChange disabled={playing !== "" || busy || !work.may} play={play} />
      </section>
      {year.right.policy === "as-advised" && run && <TakeAdvised id={run.id} />}
    </aside>
  );
}

const WIDTH = 346;
const ROW = 26;

/** Changes that were tried, each as how many years save how much. */
function Tried({ tried }: { tried: readonly TriedChange[] }) {
  if (tried.length === 0) return null;
  const all = tried.flatMap((t) => [t.saves.low, t.saves.high]);
  const reach = Math.max(100, ...all.map(Math.abs)) * 1.25;
  const x = (v: number) => ((v + reach) / (2 * reach)) * WIDTH;
  return (
    <ul>
      {tried.map((t) => (
        <li key={t.say} className="border-b border-line2 py-1.5">
          <p className="flex items-baseline justify-between gap-3 text-body font-[640]">
            {t.say}
            <span className="m text-lead">{shown(t.mean)}</span>
          </p>
          <svg
            viewBox={`0 0 ${WIDTH} ${ROW}`}
            width="100%"
            height={ROW}
            role="img"
            aria-label={`${shown(t.saves.low)} to ${shown(t.saves.high)} in nine years of ten`}
          >
            <path d={`M0,${ROW / 2}H${WIDTH}`} stroke="var(--line)" />
            <path d={`M${WIDTH / 2},0V${ROW}`} stroke="var(--ink)" strokeDasharray="2 2" />
            <path
              d={outline(density(t.savesOf, -reach, reach), 0, WIDTH, ROW / 2, 9)}
              fill="var(--wash)"
              stroke="var(--accent)"
              strokeWidth={1.1}
            />
            <path d={`M${x(t.mean)},2V${ROW - 2}`} stroke="var(--accent)" strokeWidth={3} />
          </svg>
          <p className="text-small text-soft">{t.because}</p>
        </li>
      ))}
    </ul>
  );
}

const shown = (amount: number) => {
  const whole = Math.round(amount / 10) * 10;
  return whole === 0 ? "0" : (whole > 0 ? "+" : "") + rounded(whole);
};
