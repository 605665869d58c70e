import { Link } from "react-router";
import type { LifeView } from "../../api/types";
import { Choice } from "../../parts/Choice";
import { roleWord } from "../../text/numbers";
import { Sentence } from "../../parts/States";

interface Props {
  life: LifeView;
  set: (change: Record<string, string>) => void;
  error: Error | null;
  /** On the way in: nothing is chosen yet. */
  unasked?: boolean;
}

const PLURALS: Record<string, string> = { bushing: "bushings", hose: "hoses", tube: "tubes" };

const plural = (role: string) => PLURALS[role] ?? `${roleWord(role)}s`;

const YEARS: Record<string, string> = { "1": "1 year", "2": "2 years", "3": "3 years", "5": "5 years" };

/** Failure modes by the Weibull shape that wear of that kind usually has. */
const MODES: Record<string, string> = {
  "2.5": "fatigue, shape 2.5",
  "2": "abrasion, shape 2.0",
  "1.5": "chemical attack, shape 1.5",
  "1": "handling, shape 1.0",
};

/** Whose life is shown, as a sentence whose words can be chosen. */
export function Asked({ life, set, error, unasked = false }: Props) {
  const of = life.of;
  const inRole = life.groups.filter((g) => g.role === of.role);
  const inMaterial = inRole.filter((g) => g.material === of.material);
  const clear = { pump: "", level: "", planned: "", failed: "", look: "", mode: "" };
  const choose = (role: string, material: string, duty: string) => set({ ...clear, role, material, duty });
  const mode = String(life.estimate?.mode ?? 2);
  return (
    <div className="flex min-h-12 flex-wrap items-center gap-x-1 border-b border-line px-5 text-body">
      {unasked && <span className="text-muted">Or look at the</span>}
      <span className={unasked ? "lowercase" : ""}>{of.pump ? `Life of the ${roleWord(of.role)} in` : "Life of"}</span>
      {of.pump ? (
        <b className="px-1 font-[700]">{of.pump}</b>
      ) : (
        <Choice
          label="Part"
          value={of.role}
          onChange={(role) => {
            const first = life.groups.filter((g) => g.role === role).sort((a, b) => b.failures - a.failures)[0];
            if (first) choose(role, first.material, first.duty);
          }}
          then=","
          all=""
          of={unique(life.groups.map((g) => g.role))}
          say={plural}
        />
      )}
      <Choice
        label="Material"
        value={of.material}
        onChange={(material) => {
          const first = inRole.filter((g) => g.material === material).sort((a, b) => b.failures - a.failures)[0];
          if (first) choose(of.role, material, first.duty);
        }}
        then=", in"
        all=""
        of={unique(inRole.map((g) => g.material))}
      />
      <Choice
        label="Duty"
        value={of.duty || "air"}
        onChange={(duty) => choose(of.role, of.material, duty)}
        then=","
        all=""
        of={inMaterial.map((g) => g.duty)}
        say={(d) => life.groups.find((g) => g.duty === d)?.dutyName.toLowerCase() ?? d}
      />
      <Choice
        label="Taken together"
        value={of.level}
        onChange={(level) => set({ level })}
        then=", over"
        all="as wide as needed"
        of={of.levels.map((l) => l.level)}
        say={(v) => of.levels.find((l) => l.level === v)?.title ?? v}
      />
      <Choice
        label="Years"
        value={of.years ? String(of.years) : ""}
        onChange={(years) => set({ years })}
        then="."
        all="all years"
        of={Object.keys(YEARS)}
        say={(v) => YEARS[v] ?? v}
      />
      <span className="pl-3 text-muted">Fails by</span>
      <Choice
        label="Failure mode"
        value={mode in MODES ? mode : ""}
        onChange={(m) => set({ mode: m })}
        all={mode in MODES ? "what the library says" : `shape ${mode}`}
        of={Object.keys(MODES)}
        say={(v) => MODES[v] ?? v}
      />
      <Link className="under ml-auto" to={unasked ? "/life/score" : "/life"}>
        {unasked ? "How often it was right" : "All that was found"}
      </Link>
      {error && (
        <div className="w-full pb-2">
          <Sentence>{error.message}</Sentence>
        </div>
      )}
    </div>
  );
}

function unique(values: string[]): string[] {
  return [...new Set(values)];
}
