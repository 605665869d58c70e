import { QueryClientProvider } from "@tanstack/react-query";
import { BrowserRouter, Route, Routes } from "react-router";
import { serverState } from "./api/away";
import { Hatches } from "./drawing/Hatches";
import { SettingsProvider } from "./parts/settings";
import { TopBar } from "./parts/TopBar";
import { AwayNotice, Lost } from "./parts/States";
import { Bench } from "./places/bench/Bench";
import { BenchList } from "./places/bench/BenchList";
import { Floor } from "./places/floor/Floor";
import { Library } from "./places/library/Library";
import { SheetDesk } from "./places/library/SheetDesk";
import { Pump } from "./places/pump/Pump";
import { WetEnds } from "./places/wetends/WetEnds";
import { WetEndsList } from "./places/wetends/WetEndsList";

const queries = serverState();

export function App() {
  return (
    <QueryClientProvider client={queries}>
      <SettingsProvider>
        <BrowserRouter>
          <Hatches />
          <TopBar />
          <AwayNotice />
          <Routes>
            <Route path="/" element={<Floor />} />
            <Route path="/floor" element={<Floor />} />
            <Route path="/pumps/:tag" element={<Pump />} />
            <Route path="/bench" element={<BenchList />} />
            <Route path="/bench/:id" element={<Bench />} />
            <Route path="/wet-ends" element={<WetEndsList />} />
            <Route path="/wet-ends/:tag" element={<WetEnds />} />
            <Route path="/library" element={<Library />} />
            <Route path="/library/:id" element={<SheetDesk />} />
            <Route path="*" element={<Lost />} />
          </Routes>
        </BrowserRouter>
      </SettingsProvider>
    </QueryClientProvider>
  );
}
