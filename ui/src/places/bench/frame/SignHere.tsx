import { Dialog, DialogPanel, DialogTitle } from "@headlessui/react";
import { useQuery } from "@tanstack/react-query";
import { useCallback, useState } from "react";
import { api } from "../../../api/client";
import { useStanding } from "../../../api/session";
import { KeyPad, Typed } from "../../../parts/KeyPad";
import { PersonTag } from "../../../parts/PersonTag";
import { Sentence } from "../../../parts/States";
import type { BenchLink, Signing } from "../../../api/useBench";

/**
 * Somebody signs for one act with a PIN of their own: another person, who comes to this device, or
 * whoever stands for what was done.
 */
export function SignHere({ signing, link }: { signing: Signing; link: BenchLink }) {
  const people = useQuery({ queryKey: ["people"], queryFn: api.people });
  const { session } = useStanding();
  const me = session?.initials ?? "";
  const [chosen, setChosen] = useState(signing.own ? me : "");
  const [typed, setTyped] = useState("");
  const here = (people.data ?? []).filter((p) => !p.retired && p.role !== "display");
  const { act, clear, sign: ask } = link;
  const sign = useCallback(async () => {
    const done = await act(signing.act, { initials: chosen, pin: typed });
    setTyped("");
    if (done) ask(null);
  }, [act, signing.act, chosen, typed, ask]);
  const enter = useCallback(() => void sign(), [sign]);
  const leave = () => {
    clear();
    ask(null);
  };
  return (
    <Dialog open onClose={leave} className="relative z-40">
      <div className="fixed inset-0 veil" aria-hidden />
      <div className="fixed inset-0 flex items-center justify-center overflow-auto p-4">
        <DialogPanel className="w-full max-w-[860px] border-[1.5px] border-ink bg-card">
          <DialogTitle className="border-b-[1.5px] border-ink px-5 py-3 text-title font-[700]">
            {chosen ? `${chosen} signs for this, and no more` : "Who signs for this?"}
          </DialogTitle>
          <ul className="border-b border-line px-5 py-2">
            {signing.what.map((line) => (
              <li key={line} className="py-1 text-lead font-[640]">
                {line}
              </li>
            ))}
            <li className="text-body text-soft">
              {signing.own
                ? "Who signs stands with their name for what was done."
                : `Look yourself, then sign. ${me} stays signed in; both stand on the record.`}
            </li>
          </ul>
          <div className="grid grid-cols-[minmax(0,1fr)_360px] max-[860px]:grid-cols-1">
            <div className="flex flex-wrap content-start gap-2 overflow-hidden bg-paper px-4 pt-3 pb-2">
              {here.map((p) => {
                const why = signing.mayNot(p);
                return (
                  <PersonTag
                    key={p.initials}
                    person={p}
                    chosen={chosen === p.initials}
                    small
                    disabled={why !== ""}
                    onChoose={() => {
                      setChosen(p.initials);
                      setTyped("");
                    }}
                    last={why ? [why] : []}
                  />
                );
              })}
            </div>
            <div className="flex flex-col gap-3 border-l border-line px-4 pt-3 pb-4">
              <Typed count={typed.length} small />
              <div className="min-h-7">
                {link.faults.map((f) => (
                  <Sentence key={f.message}>{f.message}</Sentence>
                ))}
                {!chosen && <p className="text-body text-soft">Touch your tag, then type your PIN.</p>}
              </div>
              <KeyPad typed={typed} onType={setTyped} shut={!chosen || link.busy} enter="Sign" onEnter={enter} wide />
              <button type="button" className="press" onClick={leave}>
                Not now
              </button>
            </div>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
