import { Menu, MenuButton, MenuItem, MenuItems } from "@headlessui/react";
import { useQuery } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { NavLink, useLocation, useNavigate } from "react-router";
import { api } from "../api/client";
import { cover, heard, useStanding } from "../api/session";
import { useSettings } from "./settings";

const PLACES = [
  ["Floor", "/"],
  ["Bench", "/bench"],
  ["Symptoms", "/symptoms"],
  ["Wet ends", "/wet-ends"],
  ["Stores", "/stores"],
  ["Life", "/life"],
  ["Diary", "/diary"],
  ["Library", "/library"],
  ["Set-up", "/setup"],
] as const;

export function TopBar() {
  const { unit, setUnit, night, setNight } = useSettings();
  const path = useLocation().pathname;
  const here = (to: string) =>
    to === "/" ? path === "/" || path.startsWith("/floor") || path.startsWith("/pumps") : path.startsWith(to);
  return (
    <header className="flex min-h-12 flex-wrap items-stretch border-b-[1.5px] border-ink bg-card">
      <NavLink to="/" className="flex h-12 items-center gap-2.5 pr-3 pl-5" aria-label="Isokinon, to the floor">
        <svg width="30" height="22" viewBox="0 0 30 22" fill="none" stroke="var(--ink)" strokeWidth="2.4" aria-hidden>
          <path d="M8.5,1V4.5C8.5,7 3.5,6.6 3.5,11C3.5,15.4 8.5,15 8.5,17.5V21" />
          <path d="M21.5,1V4.5C21.5,7 26.5,6.6 26.5,11C26.5,15.4 21.5,15 21.5,17.5V21" />
          <path d="M3.5,11H26.5" stroke="var(--accent)" />
        </svg>
        <span className="word text-lead">Isokinon</span>
      </NavLink>
      <nav className="flex" aria-label="Places">
        {PLACES.map(([name, to]) => (
          <NavLink
            key={to}
            to={to}
            className={`relative flex h-12 items-center px-[13px] text-body ${
              here(to)
                ? "font-[720] after:absolute after:inset-x-[13px] after:-bottom-[1.5px] after:h-[5px] after:bg-ink"
                : "font-[560] text-soft"
            }`}
          >
            {name}
          </NavLink>
        ))}
      </nav>
      <div className="ml-auto flex items-stretch">
        <Find />
        <div className="flex border-l border-line" role="group" aria-label="Torque unit">
          {(["N·m", "ft·lbf"] as const).map((u) => (
            <button
              key={u}
              type="button"
              aria-pressed={unit === u}
              onClick={() => setUnit(u)}
              className={`m relative h-12 px-[13px] text-small ${
                unit === u
                  ? "font-semibold after:absolute after:inset-x-3 after:bottom-[9px] after:h-0.5 after:bg-ink"
                  : "text-muted"
              }`}
            >
              {u}
            </button>
          ))}
        </div>
        <button
          type="button"
          className="flex h-12 w-12 items-center justify-center border-l border-line"
          aria-label={night ? "Paper by day" : "Dark for the night shift"}
          title={night ? "Paper by day" : "Dark for the night shift"}
          onClick={() => setNight(!night)}
        >
          <svg width="20" height="20" viewBox="0 0 20 20" aria-hidden>
            <circle cx="10" cy="10" r="7.2" fill="none" stroke="var(--ink)" strokeWidth="1.6" />
            <path d={night ? "M10,2.8A7.2,7.2 0 0 0 10,17.2Z" : "M10,2.8A7.2,7.2 0 0 1 10,17.2Z"} fill="var(--ink)" />
          </svg>
        </button>
        <Who />
      </div>
    </header>
  );
}

function Find() {
  const [text, setText] = useState("");
  const [miss, setMiss] = useState("");
  const go = useNavigate();
  const floor = useQuery({ queryKey: ["floor"], queryFn: api.floor });
  const pumps = floor.data?.areas.flatMap((a) => a.pumps) ?? [];
  function submit(e: FormEvent) {
    e.preventDefault();
    const wanted = text.trim().toUpperCase();
    // A scanner at the shelf reads the lot's number from its label.
    if (/^(L|K)-[0-9]+$/.test(wanted)) {
      setText("");
      void go(`/stores?lot=${wanted}`);
      return;
    }
    const found =
      pumps.find((p) => p.tag === wanted) ??
      pumps.find((p) => `${p.dutyTitle} ${p.material}`.toUpperCase().includes(wanted));
    if (wanted && found) {
      setText("");
      void go(`/pumps/${found.tag}`);
    } else if (wanted) {
      setMiss(`No pump or duty matches ${text.trim().slice(0, 30)}.`);
    }
  }
  return (
    <form
      onSubmit={submit}
      className="relative flex w-[206px] items-center gap-2.5 border-l border-line px-3.5 max-[760px]:hidden"
    >
      <svg width="22" height="18" viewBox="0 0 22 18" fill="none" stroke="var(--ink)" strokeWidth="1.5" aria-hidden>
        <path d="M1,5V1H5M17,1H21V5M21,13V17H17M5,17H1V13" />
        <path d="M6,5V13M9,5V13M11.5,5V13M16,5V13" strokeWidth="1.6" />
        <path d="M13.5,5V13" strokeWidth="0.9" />
      </svg>
      <input
        aria-label="Scan or find a tag or duty"
        placeholder="Scan or find a tag"
        className="h-11 w-full bg-transparent text-body"
        value={text}
        list="tags"
        onChange={(e) => {
          setText(e.target.value);
          setMiss("");
        }}
      />
      <datalist id="tags">
        {pumps.map((p) => (
          <option key={p.tag} value={p.tag}>
            {p.dutyTitle}
          </option>
        ))}
      </datalist>
      {miss && (
        <p role="alert" className="absolute top-12 right-0 left-0 z-20 border border-ink bg-card p-3 text-body">
          {miss}
        </p>
      )}
    </form>
  );
}

/** Who stands here: touched to change person, to lock, or for one's own PIN; a lead sets people up. */
function Who() {
  const { session } = useStanding();
  const go = useNavigate();
  const who = session?.initials ?? "";
  return (
    <Menu>
      <MenuButton
        aria-label={`${who} stands here`}
        className="h-12 min-w-14 border-l border-line px-3 text-body font-bold"
      >
        {who}
      </MenuButton>
      <MenuItems anchor="bottom end" className="z-30 w-60 border-[1.5px] border-ink bg-card outline-none">
        <Item say="Change person" onClick={cover} />
        <Item say="Lock this device" onClick={() => void api.lock().then(heard)} />
        <Item say="My PIN, this device" onClick={() => void go("/me")} />
        {session?.rights.includes("lead") && <Item say="People" onClick={() => void go("/people")} />}
      </MenuItems>
    </Menu>
  );
}

function Item({ say, onClick }: { say: string; onClick: () => void }) {
  return (
    <MenuItem>
      <button
        type="button"
        onClick={onClick}
        className="flex min-h-12 w-full items-center border-b border-line2 px-4 text-left text-lead font-[600] data-focus:bg-wash"
      >
        {say}
      </button>
    </MenuItem>
  );
}
