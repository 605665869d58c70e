import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import type { Person, PersonRole } from "../../api/types";
import { LicensedMark } from "../../parts/PersonTag";
import { faultsOf } from "../../parts/faults";
import { Failed, Loading, Sentence } from "../../parts/States";
import { TextInput } from "../../parts/TextInput";

const ROLES: [PersonRole, string][] = [
  ["technician", "works at pumps"],
  ["storekeeper", "keeps the shelf"],
  ["lead", "decides, sets people up"],
  ["display", "a screen on a wall"],
];

/** Who works here: a lead adds people, says what they may do, gives PINs and badges, retires them. */
export default function People() {
  const people = useQuery({ queryKey: ["people"], queryFn: api.people });
  const [open, setOpen] = useState("");
  if (people.isError) return <Failed error={people.error} what="the people" />;
  if (!people.data) return <Loading what="the people" />;
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)_420px] max-[1000px]:grid-cols-1">
      <section className="px-5 pt-4 pb-8" aria-label="People">
        <h1 className="pb-3 text-head leading-9 font-[680]">Who works here</h1>
        <ul className="border-t-[1.5px] border-ink">
          {people.data.map((p) => (
            <li key={p.initials} className={`border-b border-line ${p.retired ? "text-muted" : ""}`}>
              <button
                type="button"
                aria-expanded={open === p.initials}
                className="flex min-h-14 w-full items-center gap-5 text-left"
                onClick={() => setOpen(open === p.initials ? "" : p.initials)}
              >
                <span className="tag w-20 text-head">{p.initials}</span>
                <span className="w-32 text-lead font-[640]">{p.role}</span>
                <span className="flex flex-1 items-center gap-2 text-body">
                  {p.licensedElectrical && (
                    <>
                      licensed <LicensedMark />
                    </>
                  )}
                </span>
                <span className="text-body text-soft">{p.retired ? "has left" : p.hasPin ? "" : "no PIN yet"}</span>
                <span className="under text-body">{open === p.initials ? "close" : "change"}</span>
              </button>
              {open === p.initials && <Change person={p} />}
            </li>
          ))}
        </ul>
      </section>
      <AddPerson />
    </main>
  );
}

function useChanged() {
  const queries = useQueryClient();
  return (people: Person[]) => queries.setQueryData(["people"], people);
}

function Roles({ role, choose }: { role: PersonRole; choose: (role: PersonRole) => void }) {
  return (
    <div className="grid grid-cols-2 gap-2" role="group" aria-label="What this person does">
      {ROLES.map(([r, say]) => (
        <button
          key={r}
          type="button"
          aria-pressed={role === r}
          onClick={() => choose(r)}
          className={`min-h-14 border px-3 text-left text-body leading-[18px] ${
            role === r ? "border-2 border-accent bg-wash" : "border-line"
          }`}
        >
          <b className="block text-lead font-[680]">{r}</b>
          {say}
        </button>
      ))}
    </div>
  );
}

function Change({ person: p }: { person: Person }) {
  const changed = useChanged();
  const [pin, setPin] = useState("");
  const [badge, setBadge] = useState("");
  const [said, setSaid] = useState("");
  const change = useMutation({
    mutationFn: (to: Partial<Pick<Person, "role" | "licensedElectrical" | "retired">>) =>
      api.changePerson(p.initials, {
        role: to.role ?? p.role,
        licensedElectrical: to.licensedElectrical ?? p.licensedElectrical,
        retired: to.retired ?? p.retired,
      }),
    onSuccess: changed,
  });
  const reset = useMutation({
    mutationFn: () => api.resetPin(p.initials, pin),
    onSuccess: (all) => {
      changed(all);
      setPin("");
      setSaid(`${p.initials} signs in with it once and then chooses another.`);
    },
  });
  const give = useMutation({
    mutationFn: () => api.badge(p.initials, badge),
    onSuccess: (all) => {
      changed(all);
      setSaid(badge ? `The badge is ${p.initials}’s now.` : `${p.initials} has no badge now.`);
      setBadge("");
    },
  });
  const error = change.error ?? reset.error ?? give.error;
  return (
    <div className="flex max-w-[760px] flex-col gap-3 pb-5 pl-[100px] text-ink max-[760px]:pl-0">
      <Roles role={p.role} choose={(role) => change.mutate({ role })} />
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="press"
          aria-pressed={p.licensedElectrical}
          onClick={() => change.mutate({ licensedElectrical: !p.licensedElectrical })}
        >
          {p.licensedElectrical ? "Not licensed for electrical work" : "Licensed for electrical work"}
        </button>
        <button type="button" className="press" onClick={() => change.mutate({ retired: !p.retired })}>
          {p.retired ? `${p.initials} is back` : `${p.initials} has left`}
        </button>
      </div>
      <form
        className="flex gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          reset.mutate();
        }}
      >
        <TextInput
          of="NewPin.pin"
          className="field min-w-0 flex-1"
          type="password"
          autoComplete="new-password"
          aria-label={`Another PIN for ${p.initials}`}
          placeholder="Another PIN, four to six digits"
          typed={pin}
          onType={setPin}
        />
        <button type="submit" className="press" disabled={!pin || reset.isPending}>
          Give it
        </button>
      </form>
      <form
        className="flex gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          give.mutate();
        }}
      >
        <TextInput
          of="NewBadge.badge"
          className="field min-w-0 flex-1"
          aria-label={`Badge of ${p.initials}`}
          placeholder="Hold a badge to the reader; empty takes it away"
          typed={badge}
          onType={setBadge}
        />
        <button type="submit" className="press" disabled={give.isPending}>
          Badge
        </button>
      </form>
      {error && <Sentence>{error.message}</Sentence>}
      {said && (
        <p role="status" className="text-body font-[600] text-sound">
          {said}
        </p>
      )}
    </div>
  );
}

function AddPerson() {
  const changed = useChanged();
  const [initials, setInitials] = useState("");
  const [role, setRole] = useState<PersonRole>("technician");
  const [licensed, setLicensed] = useState(false);
  const [pin, setPin] = useState("");
  const add = useMutation({
    mutationFn: () => api.addPerson({ initials, role, licensedElectrical: licensed, pin }),
    onSuccess: (all) => {
      changed(all);
      setInitials("");
      setPin("");
    },
  });
  return (
    <form
      className="flex flex-col gap-3 border-l-[1.5px] border-ink bg-card px-5 pt-4 pb-8 max-[1000px]:border-t max-[1000px]:border-l-0"
      aria-label="A person comes new"
      onSubmit={(e) => {
        e.preventDefault();
        add.mutate();
      }}
    >
      <h2 className="head border-b-[1.5px] border-ink pb-1">Somebody comes new</h2>
      <TextInput
        of="NewPerson.initials"
        className="field"
        aria-label="Initials"
        placeholder="Initials, two to four letters"

        typed={initials}
        onType={(words) => setInitials(words.toUpperCase())}
      />
      <Roles role={role} choose={setRole} />
      <label className="flex min-h-11 items-center gap-3 text-lead">
        <input type="checkbox" className="size-6" checked={licensed} onChange={(e) => setLicensed(e.target.checked)} />
        Licensed for electrical work
      </label>
      <TextInput
        of="NewPerson.pin"
        className="field"
        type="password"
        autoComplete="new-password"
        aria-label="First PIN"
        placeholder="First PIN; replaced at the first use"
        typed={pin}
        onType={setPin}
      />
      {faultsOf(add.error).map((f) => (
        <Sentence key={f.message}>{f.message}</Sentence>
      ))}
      <button type="submit" className="press go" disabled={!initials || !pin || add.isPending}>
        Add
      </button>
    </form>
  );
}
