import { Menu, MenuButton, MenuItem, MenuItems } from "@headlessui/react";
import { NavLink, useLocation, useNavigate } from "react-router";
import { api } from "../api/client";
import { cover, heard, useStanding } from "../api/session";
import { FindBox } from "./FindBox";
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
  // On a phone the job in hand needs the height more than the find box, which the other places have.
  const job = /^\/bench\/./.test(path);
  return (
    <header className="flex min-h-12 flex-wrap items-stretch border-b-[1.5px] border-ink bg-card">
      <NavLink to="/" className="flex h-12 items-center gap-2.5 pr-3 pl-5" aria-label="Isokinon, to the floor">
        <svg width="30" height="22" viewBox="0 0 30 22" fill="none" stroke="var(--ink)" strokeWidth="2.4" aria-hidden>
          <path d="M8.5,1V4.5C8.5,7 3.5,6.6 3.5,11C3.5,15.4 8.5,15 8.5,17.5V21" />
          <path d="M21.5,1V4.5C21.5,7 26.5,6.6 26.5,11C26.5,15.4 21.5,15 21.5,17.5V21" />
          <path d="M3.5,11H26.5" stroke="var(--accent)" />
        </svg>
        <span className={`word text-lead ${job ? "max-[760px]:hidden" : ""}`}>Isokinon</span>
      </NavLink>
      <PlacesMenu here={here} />
      <nav className="flex max-[760px]:hidden" aria-label="Places">
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
      <div className="ml-auto flex items-stretch max-[760px]:contents">
        <div className={job ? "flex max-[760px]:hidden" : "contents"}>
          <FindBox />
        </div>
        <div
          className={`flex border-l border-line ${job ? "" : "max-[760px]:order-last max-[760px]:border-t"}`}
          role="group"
          aria-label="Torque unit"
        >
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

/** On a phone the places are one button, which names the place that is open. */
function PlacesMenu({ here }: { here: (to: string) => boolean }) {
  const go = useNavigate();
  const now = PLACES.find(([, to]) => here(to))?.[0] ?? "Places";
  return (
    <div className="hidden flex-1 max-[760px]:flex">
      <Menu>
        <MenuButton
          aria-label={`${now}, other places`}
          className="flex h-12 min-w-0 flex-1 items-center gap-2 border-l border-line px-3 text-body font-[720]"
        >
          {now}
          <svg width="11" height="7" viewBox="0 0 11 7" aria-hidden>
            <path d="M0,0H11L5.5,7Z" fill="var(--ink)" />
          </svg>
        </MenuButton>
        <MenuItems anchor="bottom start" className="z-30 w-60 border-[1.5px] border-ink bg-card outline-none">
          {PLACES.map(([name, to]) => (
            <Item key={to} say={name} onClick={() => void go(to)} />
          ))}
        </MenuItems>
      </Menu>
    </div>
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
