import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from "react";

/** What this device remembers: who stands at it, which torque unit, which theme. */
interface Settings {
  who: string;
  setWho: (who: string) => void;
  unit: "N·m" | "ft·lbf";
  setUnit: (unit: "N·m" | "ft·lbf") => void;
  night: boolean;
  setNight: (night: boolean) => void;
}

const Context = createContext<Settings | null>(null);

function useStored(key: string, first: string): [string, (value: string) => void] {
  const [value, setValue] = useState(() => localStorage.getItem(key) ?? first);
  useEffect(() => localStorage.setItem(key, value), [key, value]);
  return [value, setValue];
}

export function SettingsProvider({ children }: { children: ReactNode }) {
  const [who, setWho] = useStored("isokinon.who", "");
  const [unit, setUnit] = useStored("isokinon.unit", "N·m");
  const [theme, setTheme] = useStored("isokinon.theme", "day");
  useEffect(() => {
    document.documentElement.dataset["theme"] = theme;
  }, [theme]);
  const settings = useMemo<Settings>(
    () => ({
      who,
      setWho,
      unit: unit === "ft·lbf" ? "ft·lbf" : "N·m",
      setUnit,
      night: theme === "night",
      setNight: (night) => setTheme(night ? "night" : "day"),
    }),
    [who, setWho, unit, setUnit, theme, setTheme],
  );
  return <Context value={settings}>{children}</Context>;
}

export function useSettings(): Settings {
  const settings = useContext(Context);
  if (!settings) throw new Error("useSettings outside of SettingsProvider");
  return settings;
}
