import { counted } from "../../../text/counted";
import { skipToken, useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "../../../api/client";
import type { ChooserView, LotView, RenewItem, RoleChoice } from "../../../api/types";
import { Choice } from "../../../parts/Choice";
import { Mark, verdictState } from "../../../parts/Mark";
import { TextInput } from "../../../parts/TextInput";
import { roleWord } from "../../../text/numbers";
import { Sentence } from "../../../parts/States";
import { useDraft } from "../../../parts/useDraft";
import { Kits } from "../../../kits/Kits";
import type { InStage, StageProps } from "../frame/stage";
import { Cover } from "../../../kits/Cover";
import { faultAt } from "../../../parts/faults";
import { Foot } from "../frame/Foot";
import { OutHere } from "./OutHere";
import { fitKit } from "../../../kits/fitKit";

type Here = Omit<InStage<"DECIDE">, "rails">;

/** What goes back in: a material for each role, a lot for each part. */
export function Decide({ view, now, link }: InStage<"DECIDE">) {
  const chooser = useQuery({
    queryKey: ["wet-ends", view.pump.tag],
    queryFn: () => api.wetEnds(view.pump.tag),
  });
  const decide = now.decide;
  const unbooked = decide.parts.filter((p) => p.lot === null);
  const unchosen = decide.roles.filter((r) => r.chosen === null);
  const lots = new Map(decide.lots.map((l) => [l.id, l]));
  // Before the chooser has answered, nobody knows which lots stand among its kits.
  const others = chooser.isPending
    ? []
    : decide.lots.filter(
        (l) => !chooser.data?.kits.some((k) => k.lot === l.id) && decide.parts.some((p) => l.covers.includes(p.part)),
      );
  const kits = chooser.data && chooser.data.kits.length > 0 && decide.parts.length > 0 ? chooser.data : null;
  const cover = decide.cover && decide.parts.length > 0 ? <Cover cover={decide.cover} /> : null;
  const fault = faultAt(link.faults, "lot", "note", "parts", "role");
  const fitLot = async (id: string, inspected: string) => {
    const lot = lots.get(id);
    if (lot) await fitKit(link, lot, inspected);
  };
  return (
    <div className="grid flex-1 grid-cols-[minmax(0,1fr)_404px] max-[1000px]:grid-cols-1">
      <section className="flex flex-col" aria-label="What goes in">
        <div className="flex-1 px-5 pt-2.5">
          <div className="flex items-baseline justify-between">
            <h2 className="text-head leading-9 font-[680]">What goes back in</h2>
            <Link to={`/wet-ends/${view.pump.tag}`} className="under text-body">
              Materials against this duty
            </Link>
          </div>
          {fault && <Sentence>{fault}</Sentence>}
          <Booked parts={decide.parts} />
          <OutHere view={view} out={decide.out} />
          {others.map((l) => (
            <OtherLot key={l.id} lot={l} view={view} now={now} link={link} onFit={fitLot} />
          ))}
          <Singles view={view} now={now} link={link} />
          {decide.roles.length > 0 && <Roles view={view} now={now} link={link} chooser={chooser.data} />}
          {kits && cover}
        </div>
        <Foot
          link={link}
          view={view}
          main="Decided, build it"
          missing={missing(unbooked.length, unchosen.length)}
          disabled={unbooked.length + unchosen.length > 0}
          onMain={() => void link.act({ kind: "STAGE_DONE", stage: "DECIDE" })}
        />
      </section>
      {kits ? (
        <Kits
          chooser={kits}
          onFit={fitLot}
          fitted={decide.parts.flatMap((p) => p.lot ?? [])}
          busy={link.busy}
          draftKey={String(view.id)}
        />
      ) : (
        <aside className="border-l-[1.5px] border-ink bg-card px-5 pb-5 text-body text-soft max-[1000px]:border-t max-[1000px]:border-l-0">
          {cover ?? <p className="pt-3">Nothing has to be bought.</p>}
        </aside>
      )}
    </div>
  );
}

function missing(parts: number, roles: number): string {
  return [
    parts > 0 && `${counted(parts, "part")} without a lot`,
    roles > 0 && `${counted(roles, "role")} without a material`,
  ]
    .filter(Boolean)
    .join(", ");
}

function Booked({ parts }: { parts: RenewItem[] }) {
  if (parts.length === 0) {
    return <p className="pt-4 text-lead text-soft">Nothing is renewed: every part goes back as it came off.</p>;
  }
  return (
    <table className="mt-2 w-full text-left">
      <caption className="sr-only">Parts that are renewed</caption>
      <thead>
        <tr className="border-b-[1.5px] border-ink text-small text-muted">
          <th className="w-7 py-1 font-medium"></th>
          <th className="font-medium">Part</th>
          <th className="font-medium">Why it is renewed</th>
          <th className="text-right font-medium">Lot</th>
        </tr>
      </thead>
      <tbody>
        {parts.map((p) => (
          <tr key={p.part} className="h-9 border-b border-line2">
            <td>
              <Mark state={p.lot ? "renewed" : "renew"} size={15} />
            </td>
            <td className="text-body font-[620]">
              {p.count > 1 && `${p.count} × `}
              {p.name}
            </td>
            <td className="pr-3 text-small text-muted">{p.because}</td>
            <td className="m text-right text-body font-semibold">{p.lot ?? "–"}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Parts that come in no kit on the shelf are booked by the lot number on their bag. */
function Singles({ view, now, link }: Here) {
  const { decide } = now;
  const parts = decide.parts.filter((p) => p.lot === null);
  const [number, setNumber, clear] = useDraft(`${view.id}.singles`);
  if (parts.length === 0) return null;
  const book = async () => {
    if (
      await link.act({
        kind: "KIT_FITTED",
        lot: "single",
        note: number,
        parts: parts.map((p) => p.part),
      })
    )
      clear();
  };
  return (
    <form
      className="flex flex-wrap items-end gap-2.5 border-b border-line py-3"
      onSubmit={(e) => {
        e.preventDefault();
        void book();
      }}
    >
      <label className="min-w-[260px] flex-1 text-body text-soft">
        {parts.length === 1
          ? `${parts[0]?.name} as a single part`
          : `The ${parts.length} without a lot as single parts`}
        : number on the bag
        <TextInput
          of="KitFitted.note"
          className="m field mt-1 block w-full text-ink"
          typed={number}
          onType={setNumber}
        />
      </label>
      <button type="submit" className="press" disabled={!number.trim() || link.busy}>
        Enter single parts
      </button>
    </form>
  );
}

function Roles({ now, link, chooser }: Here & { chooser: ChooserView | undefined }) {
  return (
    <div className="pt-3">
      <h3 className="head border-b border-ink pb-1">Material of each role</h3>
      <ul className="grid grid-cols-2 gap-x-6 max-[760px]:grid-cols-1">
        {now.decide.roles.map((r) => (
          <Role key={r.role} role={r} link={link} chooser={chooser} />
        ))}
      </ul>
    </div>
  );
}

interface RoleProps {
  role: RoleChoice;
  link: StageProps["link"];
  /** The duty to rate by; until it is there only what was in the pump can be chosen. */
  chooser: ChooserView | undefined;
}

function Role({ role, link, chooser }: RoleProps) {
  const rated = useQuery({
    queryKey: ["rate", role.role, chooser?.tag],
    queryFn: chooser ? () => api.rate(role.role, chooser) : skipToken,
    retry: false,
  });
  const ratings = rated.data?.ratings ?? [];
  const of = (code: string) => ratings.find((r) => r.material === code);
  const chosen = of(role.chosen ?? "");
  const suited = ratings.filter((r) => r.verdict !== "unsuited").map((r) => r.material);
  // A role the library has no material for can only go on with what was in it.
  const choices = suited.length > 0 || !role.fitted ? suited : [role.fitted];
  return (
    <li className="flex min-h-12 items-center gap-3 border-b border-line2 text-body">
      <span className="w-20 font-[640]">{roleWord(role.role)}</span>
      <span className="text-muted">{role.fitted ? `${role.fitted} out,` : "not known what came out,"}</span>
      <Choice
        label={`Material of the ${role.role}`}
        value={role.chosen ?? ""}
        all="choose"
        of={choices}
        say={(code) => `${code}, ${of(code)?.verdict ?? "not in the library"}`}
        onChange={(code) => void (code && link.act({ kind: "MATERIAL_CHOSEN", role: role.role, material: code }))}
      />
      {chosen && <Mark state={verdictState(chosen.verdict)} size={15} />}
    </li>
  );
}

function OtherLot({
  lot,
  now,
  link,
  onFit,
}: { lot: LotView; onFit: (id: string, inspected: string) => Promise<void> } & Here) {
  const fitted = now.decide.parts.some((p) => p.lot === lot.id);
  return (
    <div className="flex items-center gap-4 border-b border-line2 py-2">
      <p className="flex-1 text-body leading-[19px]">
        <b className="font-[660]">
          {lot.title}, {lot.material}
        </b>{" "}
        <span className="m text-small">{lot.id}</span>
        <span className="block text-small text-muted">
          {lot.quantity} on shelf {lot.place}, {lot.statusSays}
        </span>
      </p>
      <button
        type="button"
        className="press call"
        disabled={link.busy || fitted}
        onClick={() => void onFit(lot.id, "")}
      >
        {fitted ? "Booked" : "Fit this kit"}
      </button>
    </div>
  );
}
