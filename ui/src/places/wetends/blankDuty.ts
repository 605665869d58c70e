import type { DutyForm } from "../../api/types";

/** Where a duty is begun that nobody has written down: water, everything else not known. */
export const BLANK: DutyForm = {
  title: null,
  exposures: [
    {
      fluid: "water",
      name: "Water",
      concentrationPct: 100,
      usualC: 20,
      temperatureC: 20,
      share: 1,
      kind: "process",
      note: null,
    },
  ],
  abrasion: "none",
  suctionLiftM: 0,
  solidsPct: null,
  solidsMohs: null,
  solidsMm: null,
  pressureBar: null,
  viscosityMpas: null,
  densityKgM3: null,
  ambientC: null,
  food: null,
  zone: null,
  runsDry: null,
  chlorideMgL: null,
  phLow: null,
  phHigh: null,
  chlorineMgL: null,
  stopCost: 300,
};
