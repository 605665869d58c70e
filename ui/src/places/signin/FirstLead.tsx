import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import { heard } from "../../api/session";
import { faultAt, faultsOf } from "../../parts/faults";
import { Sentence } from "../../parts/States";
import { useSettings } from "../../parts/settings";
import { TextInput } from "../../parts/TextInput";

/** A shop in which no lead can sign in yet: whoever started the server says who the first one is. */
export function FirstLead() {
  const { device } = useSettings();
  const queries = useQueryClient();
  const [code, setCode] = useState("");
  const [initials, setInitials] = useState("");
  const [pin, setPin] = useState("");
  const make = useMutation({
    mutationFn: () => api.firstLead({ code, initials, pin, device }),
    onSuccess: (session) => {
      heard(session);
      void queries.invalidateQueries();
    },
  });
  const faults = faultsOf(make.error);
  return (
    <form
      className="mx-auto flex w-full max-w-[560px] flex-col gap-5 px-5 py-12"
      onSubmit={(e) => {
        e.preventDefault();
        make.mutate();
      }}
    >
      <h1 className="text-head leading-9 font-[680]">The first lead</h1>
      <p className="text-lead text-soft">
        Nobody can sign in here yet. The server has printed a start code where it was started; with it you say who the
        first lead is, who then sets everybody else up.
      </p>
      <Field label="Start code" say="six digits, where the server was started" fault={faultAt(faults, "code")}>
        <TextInput
          of="FirstLead.code"
          className="field m w-[180px]"
          inputMode="numeric"
          autoComplete="off"
          typed={code}
          onType={setCode}
        />
      </Field>
      <Field label="Your initials" say="two to four capital letters" fault={faultAt(faults, "initials")}>
        <TextInput
          of="FirstLead.initials"
          className="field w-[180px]"

          typed={initials}
          onType={(words) => setInitials(words.toUpperCase())}
        />
      </Field>
      <Field
        label="Your PIN"
        say="four to six digits, or a pass phrase of twelve characters"
        fault={faultAt(faults, "pin")}
      >
        <TextInput
          of="FirstLead.pin"
          className="field"
          type="password"
          autoComplete="new-password"

          typed={pin}
          onType={setPin}
        />
      </Field>
      {make.error && faults.every((f) => !f.path) && <Sentence>{make.error.message}</Sentence>}
      <button type="submit" className="press go" disabled={!code || !initials || !pin || make.isPending}>
        Begin
      </button>
    </form>
  );
}

interface FieldProps {
  label: string;
  say: string;
  fault: string | undefined;
  children: React.ReactNode;
}

/** A field with what it takes, and what is wrong with it. */
export function Field({ label, say, fault, children }: FieldProps) {
  return (
    <label className="flex flex-col gap-1">
      <span className="text-lead font-[680]">
        {label} <span className="pl-2 text-small font-[500] text-muted">{say}</span>
      </span>
      {children}
      {fault && <Sentence>{fault}</Sentence>}
    </label>
  );
}
