import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState, type ReactNode } from "react";
import { api } from "../../api/client";
import type { ShopForm, ShopView } from "../../api/types";
import { faultAt, faultsOf } from "../../parts/faults";
import { Sentence } from "../../parts/States";
import { useMay } from "../../parts/useMay";
import { rounded } from "../../text/numbers";
import { wordOf } from "../../text/shop";
import type { ShownUnit } from "../../text/shownIn";
import { typedNumber } from "../../text/typedNumber";

type Amount = "labourPerHour" | "overtimePerHour" | "watchFromPct" | "renewFromPct" | "worthAYear";
type Typed = Omit<ShopForm, Amount> & Record<Amount, string>;
type Word = "name" | "currency" | "zone" | Amount;
type Unit = "torque" | "temperature" | "pressure" | "volume";

const typed = (shop: ShopView): Typed => ({
  name: shop.name,
  labourPerHour: rounded(shop.labourPerHour, 2),
  overtimePerHour: rounded(shop.overtimePerHour, 2),
  watchFromPct: rounded(shop.watchFromPct, 1),
  renewFromPct: rounded(shop.renewFromPct, 1),
  worthAYear: rounded(shop.worthAYear),
  currency: shop.currency,
  zone: shop.zone,
  dayOrder: shop.shownIn.dayOrder,
  torque: shop.shownIn.torque,
  temperature: shop.shownIn.temperature,
  pressure: shop.shownIn.pressure,
  volume: shop.shownIn.volume,
});

const UNITS: Record<Unit, ShownUnit[]> = {
  torque: ["newton-metre", "pound-foot"],
  temperature: ["celsius", "fahrenheit"],
  pressure: ["bar", "psi"],
  volume: ["litre", "us-gallon"],
};

const DAYS = [
  ["day-first", "17 Mar 2026"],
  ["month-first", "Mar 17, 2026"],
] as const;

const LINE = "border-b-[1.5px] border-ink bg-transparent font-[720] disabled:border-line";

/** What the shop says of itself, in a sentence whose words are typed over. */
export function ShopSaid() {
  const shop = useQuery({ queryKey: ["shop"], queryFn: api.shop });
  return shop.data ? <Said key={JSON.stringify(shop.data)} shop={shop.data} /> : null;
}

function Said({ shop }: { shop: ShopView }) {
  const lead = useMay("lead");
  const cache = useQueryClient();
  const [now, setNow] = useState(() => typed(shop));
  const say = useMutation({
    mutationFn: () =>
      api.sayShop({
        ...now,
        labourPerHour: typedNumber(now.labourPerHour) ?? 0,
        overtimePerHour: typedNumber(now.overtimePerHour) ?? typedNumber(now.labourPerHour) ?? 0,
        watchFromPct: typedNumber(now.watchFromPct) ?? 0,
        renewFromPct: typedNumber(now.renewFromPct) ?? 0,
        worthAYear: typedNumber(now.worthAYear) ?? 0,
      }),
    onSuccess: () => cache.invalidateQueries(),
  });
  const faults = faultsOf(say.error);
  const same = JSON.stringify(now) === JSON.stringify(typed(shop));
  const word = (field: Word, label: string, least: number, more: { list?: string; placeholder?: string } = {}) => (
    <input
      {...more}
      aria-label={label}
      aria-invalid={faultAt(faults, field) !== undefined}
      className={`px-1 text-center ${LINE}`}
      style={{ width: `${Math.max(least, now[field]?.length ?? 0) + (more.list ? 4 : 1)}ch` }}
      disabled={!lead.may}
      value={now[field] ?? ""}
      onChange={(e) => setNow((then) => ({ ...then, [field]: e.target.value }))}
    />
  );
  const unit = (field: Unit, label: string, after: string) => (
    <span className="whitespace-nowrap">
      <OneOf
        label={label}
        value={now[field]}
        of={UNITS[field].map((u) => [u, wordOf(u)] as const)}
        shut={!lead.may}
        choose={(u) => setNow((then) => ({ ...then, [field]: u }))}
      />
      {after}
    </span>
  );
  return (
    <form
      className="px-5 pt-3 pb-4"
      aria-label="The shop"
      onSubmit={(e) => {
        e.preventDefault();
        say.mutate();
      }}
    >
      <p className="max-w-[980px] text-head leading-[42px] font-[560]">
        This is {word("name", "Name of the shop", 12, { placeholder: "your shop" })}. It reckons in{" "}
        {word("currency", "Currency of the shop", 3, { list: "currencies" })}
        <Beside>{nameOf("currency", now.currency)}</Beside> and lives by the clock of{" "}
        {word("zone", "Clock of the shop", 10, { list: "zones" })}. Days are written{" "}
        <OneOf
          label="How days are written"
          value={now.dayOrder}
          of={DAYS}
          shut={!lead.may}
          choose={(dayOrder) => setNow((then) => ({ ...then, dayOrder }))}
        />
        . Bolts are drawn down in {unit("torque", "Unit of torque", ",")} heat is read in{" "}
        {unit("temperature", "Unit of temperature", ",")} pressure in {unit("pressure", "Unit of pressure", ",")} what
        is pumped in {unit("volume", "Unit of volume", ".")} An hour at the bench costs{" "}
        {word("labourPerHour", "What an hour at the bench costs", 4)}, after hours{" "}
        {word("overtimePerHour", "What an hour after hours costs", 4)}.
      </p>
      <p className="max-w-[980px] pt-1.5 text-title leading-9 font-[560]">
        A pump is to be watched from {word("watchFromPct", "Chance to watch from, percent", 2)} % chance of failing
        within 30 days, renewed from {word("renewFromPct", "Chance to renew from, percent", 2)} %. A habit is told when
        it costs {word("worthAYear", "What a habit costs a year to be told", 3)} a year or more.
      </p>
      <datalist id="currencies">
        {Intl.supportedValuesOf("currency").map((c) => (
          <option key={c} value={c}>
            {nameOf("currency", c)}
          </option>
        ))}
      </datalist>
      <datalist id="zones">
        {Intl.supportedValuesOf("timeZone").map((z) => (
          <option key={z} value={z} />
        ))}
      </datalist>
      {faults.map((f) => (
        <Sentence key={f.path}>{f.message}</Sentence>
      ))}
      {!same && (
        <p className="flex items-center gap-4 pt-2">
          <button type="submit" className="press go px-6" disabled={say.isPending}>
            Keep it
          </button>
          <span className="text-body text-soft">
            {now.currency !== shop.currency && "Amounts that stand are not converted. "}
            {now.zone !== shop.zone && "Times that stand stay the same moments."}
          </span>
        </p>
      )}
    </form>
  );
}

function Beside({ children }: { children: ReactNode }) {
  return <span className="pl-1.5 text-body font-normal text-soft">{children}</span>;
}

/** What the browser calls it in words; empty where it knows it not. */
function nameOf(type: "currency", code: string | undefined): string {
  try {
    return new Intl.DisplayNames("en", { type, fallback: "none" }).of(code ?? "") ?? "";
  } catch {
    return "";
  }
}

interface OneOfProps<V extends string> {
  label: string;
  value: V | undefined;
  of: readonly (readonly [V, string])[];
  shut: boolean;
  choose: (value: V) => void;
}

function OneOf<V extends string>({ label, value, of, shut, choose }: OneOfProps<V>) {
  return (
    <select
      aria-label={label}
      className={`px-1 ${LINE}`}
      value={value}
      disabled={shut}
      onChange={(e) => choose(e.target.value as V)}
    >
      {of.map(([v, words]) => (
        <option key={v} value={v}>
          {words}
        </option>
      ))}
    </select>
  );
}
