package isokinon.server.db.pumps;

/**
 * Where an energy is cut at a position.
 *
 * @param pump tag of the position
 * @param hazard id of the hazard on the sheet
 * @param place which valve, isolator or lock, as it is labelled there
 */
public record PumpEnergyRow(String pump, String hazard, String place) {}
