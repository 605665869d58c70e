import type { FluidSheet } from "../../api/types";
import { Mark } from "../../parts/Mark";
import { inSentence } from "../../text/numbers";
import { band } from "./BandBar";

/** What holds of the fluid whatever the pump is made of: its ceilings, and what it must not meet. */
export function Limits({ of: f }: { of: Pick<FluidSheet, "ceilings" | "apart"> }) {
  if (f.ceilings.length === 0 && f.apart.length === 0) return null;
  return (
    <section aria-label="Whatever the pump is made of" className="border-b border-ink py-2 text-body leading-[20px]">
      {f.ceilings.length > 0 && (
        <p>
          <b className="font-[660]">Ceiling: </b>
          {f.ceilings.map((c) => `${band(c)}: ${inSentence(c.say)}`).join("; ")}. No material helps past it.
        </p>
      )}
      {f.apart.map((a) => (
        <p key={a.group} className="flex items-start gap-2 pt-1">
          <span className="pt-1">
            <Mark state="renew" size={13} />
          </span>
          <span>
            <b className="font-[700] text-renew">Never with {inSentence(a.group)}: </b>
            {a.happens} {a.apart}
          </span>
        </p>
      ))}
    </section>
  );
}
