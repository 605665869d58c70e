import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from "react";
import { torqueUnit } from "../text/shop";

/** What this device remembers: its name, which torque unit, which theme. */
interface Settings {
  device: string;
  setDevice: (device: string) => void;
  unit: "N·m" | "ft·lbf";
  setUnit: (unit: "N·m" | "ft·lbf") => void;
  night: boolean;
  setNight: (night: boolean) => void;
  /** Whether a step is shown so that it is read from two metres. */
  big: boolean;
  setBig: (big: boolean) => void;
  /** Whether a step shown so is read aloud. */
  aloud: boolean;
  setAloud: (aloud: boolean) => void;
}

const Context = createContext<Settings | null>(null);

function useStored(key: string, first: string): [string, (value: string) => void] {
  const [value, setValue] = useState(() => localStorage.getItem(key) ?? first);
  useEffect(() => localStorage.setItem(key, value), [key, value]);
  return [value, setValue];
}

export function SettingsProvider({ children }: { children: ReactNode }) {
  const [device, setDevice] = useStored("isokinon.device", "");
  const [unit, setUnit] = useStored("isokinon.unit", "");
  const [theme, setTheme] = useStored("isokinon.theme", "day");
  const [big, setBig] = useStored("isokinon.large", "");
  const [aloud, setAloud] = useStored("isokinon.aloud", "");
  useEffect(() => {
    document.documentElement.dataset["theme"] = theme;
  }, [theme]);
  const settings = useMemo<Settings>(
    () => ({
      device,
      setDevice,
      unit: unit === "ft·lbf" || unit === "N·m" ? unit : torqueUnit(),
      setUnit,
      night: theme === "night",
      setNight: (night) => setTheme(night ? "night" : "day"),
      big: big === "yes",
      setBig: (on) => setBig(on ? "yes" : ""),
      aloud: aloud === "yes",
      setAloud: (on) => setAloud(on ? "yes" : ""),
    }),
    [device, setDevice, unit, setUnit, theme, setTheme, big, setBig, aloud, setAloud],
  );
  return <Context value={settings}>{children}</Context>;
}

export function useSettings(): Settings {
  const settings = useContext(Context);
  if (!settings) throw new Error("useSettings outside of SettingsProvider");
  return settings;
}
