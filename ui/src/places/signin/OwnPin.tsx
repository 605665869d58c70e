import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import { heard } from "../../api/session";
import { faultAt, faultsOf } from "../../parts/faults";
import { Sentence } from "../../parts/States";
import { Field } from "./FirstLead";
import { TextInput } from "../../parts/TextInput";

/** A PIN of one's own: at once where a lead set the one that holds, else whenever somebody wants. */
export function OwnPin({ due, who, done }: { due: boolean; who: string; done: () => void }) {
  const queries = useQueryClient();
  const [current, setCurrent] = useState("");
  const [pin, setPin] = useState("");
  const change = useMutation({
    mutationFn: () => api.ownPin(current, pin),
    onSuccess: (session) => {
      heard(session);
      void queries.invalidateQueries(); // what was asked before was refused for the old PIN
      done();
    },
  });
  const wrong = faultAt(faultsOf(change.error), "pin");
  return (
    <form
      className="mx-auto flex w-full max-w-[560px] flex-col gap-5 px-5 py-12"
      onSubmit={(e) => {
        e.preventDefault();
        change.mutate();
      }}
    >
      <h1 className="text-head leading-9 font-[680]">{who}, a PIN of your own</h1>
      <p className="text-lead text-soft">
        {due
          ? "A lead set the one you have. Choose one that only you know; then go on."
          : "Every device you are signed in on locks but this one."}
      </p>
      <Field label="The one you have" say="as you typed it just now" fault={undefined}>
        <TextInput
          of="OwnPin.current"
          className="field"
          type="password"
          autoComplete="off"
          typed={current}
          onType={setCurrent}
        />
      </Field>
      <Field label="Your own" say="four to six digits, or a pass phrase of twelve characters" fault={wrong}>
        <TextInput
          of="OwnPin.pin"
          className="field"
          type="password"
          autoComplete="new-password"

          typed={pin}
          onType={setPin}
        />
      </Field>
      {change.error && !wrong && <Sentence>{change.error.message}</Sentence>}
      <div className="flex gap-3">
        <button type="submit" className="press go flex-1" disabled={!current || !pin || change.isPending}>
          Take it
        </button>
        {!due && (
          <button type="button" className="press" onClick={done}>
            Leave it
          </button>
        )}
      </div>
    </form>
  );
}
