import type { ReactNode } from "react";
import type { FluidSheet } from "../../api/types";
import { Mark } from "../../parts/Mark";
import { inSentence } from "../../text/numbers";
import { band } from "./BandBar";

interface Props {
  of: Pick<FluidSheet, "ceilings" | "apart">;
  /** Only the names of what it must not meet, and where to read what happens. */
  elsewhere?: ReactNode;
}

/** What holds of the fluid whatever the pump is made of: its ceilings, and what it must not meet. */
export function Limits({ of: f, elsewhere }: Props) {
  if (f.ceilings.length === 0 && f.apart.length === 0) return null;
  return (
    <section aria-label="Whatever the pump is made of" className="border-b border-ink py-2 text-body leading-[20px]">
      {f.ceilings.length > 0 && (
        <p>
          <b className="font-[660]">Ceiling: </b>
          {f.ceilings.map((c) => `${band(c)}: ${inSentence(c.say)}`).join("; ")}. No material helps past it.
        </p>
      )}
      {elsewhere
        ? f.apart.length > 0 && (
            <Never>
              <b className="font-[700] text-renew">Never with: </b>
              {f.apart.map((a) => inSentence(a.group)).join(", ")}. {elsewhere}
            </Never>
          )
        : f.apart.map((a) => (
            <Never key={a.group}>
              <b className="font-[700] text-renew">Never with {inSentence(a.group)}: </b>
              {a.happens} {a.apart}
            </Never>
          ))}
    </section>
  );
}

function Never({ children }: { children: ReactNode }) {
  return (
    <p className="flex items-start gap-2 pt-1">
      <span className="pt-1">
        <Mark state="renew" size={13} />
      </span>
      <span>{children}</span>
    </p>
  );
}
