import type { ReactNode } from "react";
import type { ChooserView, KitChoice } from "../../api/types";
import { Mark, verdictState } from "../../parts/Mark";
import { roleWord, rounded } from "../../text/numbers";
import { hundreds, shelfWord } from "../../kits/Kits";
import { currency, money } from "../../text/shop";

/** Two wet ends beside each other, line by line; what differs stands out. */
export function Compare({ chooser, kits, onDone }: { chooser: ChooserView; kits: KitChoice[]; onDone: () => void }) {
  const [a, b] = kits;
  if (!a || !b) return null;
  const roles = [...new Set(kits.flatMap((k) => k.parts.map((p) => p.role)))];
  return (
    <div className="sticky top-0 px-5 pt-3 pb-5">
      <div className="flex items-baseline justify-between">
        <h2 className="text-title leading-7 font-[680]">Beside each other</h2>
        <button type="button" className="press call" onClick={onDone}>
          Back to the bars
        </button>
      </div>
      <table className="mt-3 w-full table-fixed text-left">
        <caption className="sr-only">
          {a.id} and {b.id}
        </caption>
        <thead>
          <tr className="border-b-[1.5px] border-ink">
            <th className="w-[136px]">
              <span className="sr-only">What</span>
            </th>
            {kits.map((k) => (
              <th key={k.id} className="py-1.5 pr-3 text-title leading-6 font-[720]">
                <span className="flex items-center gap-2">
                  <Mark state={verdictState(k.verdict)} size={18} />
                  {k.id}
                </span>
                {k.fittedNow && <span className="text-small font-medium text-muted">in it now</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <Line name="What decides" of={kits} say={(k) => k.because} words />
          <Line name={`${currency()} per 1000 h`} of={kits} say={costs} better={(k) => k.costPer1000h} />
          <Line
            name="Expected life"
            of={kits}
            say={(k) => life(k)}
            better={(k) => (k.lifeHours === null ? null : -k.lifeHours)}
          />
          <Line name="Gives out first" of={kits} say={(k) => roleWord(k.lifeRole) || "not known"} />
          <Line
            name="Best changed at"
            of={kits}
            say={(k) =>
              k.lifeHours === null ? "–" : k.changeAtHours === null ? "when it fails" : `${hundreds(k.changeAtHours)} h`
            }
          />
          <Line
            name="Stops in 10 000 h"
            of={kits}
            say={(k) => (k.stopsPer1000h === null ? "–" : rounded(k.stopsPer1000h * 10, 1))}
            better={(k) => k.stopsPer1000h}
          />
          <Line name="Kit" of={kits} say={(k) => `${money(k.price)}, ${Math.round(k.labourMinutes)} min`} />
          <Line
            name="Besides"
            of={kits}
            say={(k) =>
              (k.hardwareNote || "nothing else") + (k.hardwarePrice > 0 ? `, ${money(k.hardwarePrice)} once` : "")
            }
            words
          />
          <Line name="Shelf" of={kits} say={shelfWord} />
          <Line name="History" of={kits} say={(k) => k.evidence} />
          {roles.map((r) => (
            <tr key={r} className="border-b border-line2">
              <th className="py-1.5 text-body font-medium text-soft">{roleWord(r)}</th>
              {kits.map((k) => {
                const part = k.parts.find((p) => p.role === r);
                return (
                  <td key={k.id} className="py-1.5 pr-3 align-top text-body">
                    {part ? (
                      <>
                        <span className="flex items-center gap-2">
                          <Mark state={verdictState(part.verdict)} size={14} />
                          <b className="font-[660]">{part.material}</b>
                          {!part.renewed && <span className="text-small text-muted">stays</span>}
                        </span>
                        <span className="block text-small leading-[16px] text-muted">
                          {chooser.roles.find((x) => x.role === r)?.materials.find((m) => m.material === part.material)
                            ?.reason ?? ""}
                        </span>
                      </>
                    ) : (
                      "–"
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

interface LineProps {
  name: string;
  of: KitChoice[];
  say: (kit: KitChoice) => ReactNode;
  /** Less is better; the better one is set heavier. */
  better?: (kit: KitChoice) => number | null;
  words?: boolean;
}

function Line({ name, of, say, better, words = false }: LineProps) {
  const scores = of.map((k) => better?.(k) ?? null);
  const least = scores.every((s) => s !== null) ? Math.min(...scores) : null;
  const tied = new Set(scores).size === 1;
  return (
    <tr className="border-b border-line2">
      <th className="py-1.5 align-top text-body font-medium text-soft">{name}</th>
      {of.map((k, i) => {
        const best = least !== null && scores[i] === least && !tied;
        return (
          <td
            key={k.id}
            className={`py-1.5 pr-3 align-top leading-[19px] ${words ? "text-body" : "m text-body tracking-[-.02em]"} ${best ? "font-bold text-accent" : ""}`}
          >
            {say(k)}
          </td>
        );
      })}
    </tr>
  );
}

function costs(k: KitChoice): string {
  return k.costPer1000h === null
    ? "–"
    : `${money(Math.round(k.costPer1000h))}, ${rounded(Math.round(k.costLow ?? 0))} to ${rounded(Math.round(k.costHigh ?? 0))}`;
}

function life(k: KitChoice): string {
  return k.lifeHours === null ? "–" : `${hundreds(k.lifeHours)} h, ${hundreds(k.lifeLow)} to ${hundreds(k.lifeHigh)}`;
}
